<?php

declare(strict_types=1);

namespace App\Pages;

use App\Http\Json;
use App\Models\User;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonShelf;
use App\Seasons\SeasonState;
use Illuminate\Http\Request;
use JollyPenny\Core\Season\Units\MoneyWords;
use Throwable;

/**
 * What a page says before its code is there: the season's answer in words, and what the code would ask for first, so that it need not. On
 * a slow line the code takes seconds, the answer one.
 */
final readonly class EarlyAnswer
{
    /** Longer lists take the page too long: their code asks for them, and shows that it waits. */
    private const MOST_CROPS = 60;

    public function __construct(private SeasonState $state)
    {
    }

    /** @return array{name: string, setup: string, figures: list<array{string, string}>, known: string}|array{} nothing where the page is about no season */
    public function for(Request $request): array
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return [];
        }
        try {
            if (! $request->is('/', 'seasons/*')) {
                return [];
            }
            $lines = SeasonShelf::lines($user);
            $season = $user->seasons()->find($this->shown($request, $lines) ?? 0);
            $isQuick = $season !== null && $season->crops <= self::MOST_CROPS;

            return $isQuick ? $this->answer(KeptSeason::fromModel($season), $lines, $request->getPreferredLanguage() ?? 'en') : [];
        } catch (Throwable $e) {
            // The page can do without.
            report($e);

            return [];
        }
    }

    /** @param  list<array<string, mixed>>  $lines */
    private function shown(Request $request, array $lines): ?int
    {
        if (preg_match('#^seasons/(\d{1,18})(/|$)#', $request->path(), $found) === 1) {
            return (int) $found[1];
        }
        $line = $request->path() === '/' ? array_filter($lines, fn (array $line): bool => $line['archived'] === false) : [];

        return $line === [] ? null : array_values($line)[0]['id'];
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return array{name: string, setup: string, figures: list<array{string, string}>, known: string}
     */
    private function answer(KeptSeason $kept, array $lines, string $language): array
    {
        $state = (string) $this->state->answer($kept, null)->getContent();
        $known = '{"seasons":'.Json::response($lines)->getContent().",\"state\":{$state}}";

        return [
            'name' => $kept->file->name,
            'setup' => $kept->file->setups[0]->name ?? '',
            'figures' => self::figures($kept, $state, $language),
            // A "<" would end the script it stands in.
            'known' => str_replace('<', '\u003c', $known),
        ];
    }

    /** @return list<array{string, string}> the three figures of the till, as far as there are any */
    private static function figures(KeptSeason $kept, string $state, string $language): array
    {
        $pictures = json_decode($state, true, 64, JSON_THROW_ON_ERROR)['pictures'] ?? [];
        $till = $pictures[$kept->file->setups[0]->id ?? '']['till'] ?? null;
        if ($till === null || $till['per_finished'] === null) {
            return [];
        }
        $money = new MoneyWords($kept->file->currency, $language);
        $figures = [['Cost per finished seedling', $money->fine($till['per_finished'])]];
        if ($till['same'] !== null && $till['nursery'] !== null) {
            $figures[] = ['Same plants: grow', $money->fine($till['same'])];
            $figures[] = ['Same plants: nursery', $money->fine($till['nursery'])];
        }
        if ($till['keep'] !== null) {
            $figures[] = [$till['keep'] < 0 ? 'You pay more' : 'You save', $money->format(abs($till['keep']))];
        }

        return $figures;
    }
}
