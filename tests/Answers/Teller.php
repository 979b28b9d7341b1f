<?php

declare(strict_types=1);

namespace Tests\Answers;

use App\Models\User;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use RuntimeException;
use stdClass;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\FeatureTestCase;

/** Lives a story through the API and asks everything that can be asked of it. */
final class Teller
{
    /** Figures whose workings are asked of the API; those of all others come from the core, without costing the season anew for each. */
    private const FIGURES = ['cost', 'nothing', 'came_kept', 'came_wage', 'came_planned', 'came_prices', 'came_used', 'came_power', 'came_up', 'came_lived'];

    /** Routes that draw documents of what other routes say: not asked of each story. */
    private const PAPERS = ['labels', 'workbook'];

    /** Routes that do not move with the day, and take long: asked on the first. */
    private const ON_THE_FIRST_DAY = ['working', 'methodGrowth', 'cropChoices', 'seedWorth', 'pricesOf', 'guesses', 'labels', 'workbook'];

    /** What a made thing is called in paths that come after, by the path that made it. */
    private const MADE = ['/seasons' => 'season', '/weather' => 'place', '/seasons/{season}/devices' => 'device', '/seasons/{season}/work' => 'work'];

    /** Of a step's answer: the figures after the last step are asked for below, those in between would say most of them over and over. */
    private const FIGURES_OF_A_STEP = ['result' => true, 'pictures' => true];

    /** How far something is that takes long, as often as the clock lets it be told. */
    private const PROGRESS = ['done' => true, 'total' => true];

    /** Figures whose workings the screens ask for, besides those of a set-up. */
    private const ON_SCREENS = ['came_lived', 'g', 'seeds', 'p_enough', 'seed', 'mix'];

    /** Files to take along, which no screen draws. */
    private const TAKEN_ALONG = ['downloadSeason', 'resultFile', 'exportAccount'];

    /** Crops of which it is asked what takes long to say. */
    private const SOME = 2;

    private const JSON = ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'];

    /** @var array<string, string> what the path's words in braces stand for */
    private array $ids = [];

    private readonly Book $book;

    private function __construct(private readonly FeatureTestCase $test, private readonly Story $story)
    {
        $this->book = new Book;
    }

    /** @return array{Book, ?string} what is said, and the answers that screens are drawn from, where the story is one of theirs */
    public static function tell(FeatureTestCase $test, Story $story): array
    {
        $teller = new self($test, $story);
        try {
            $teller->live();
            $season = (string) $test->getJson("/api/seasons/{$teller->ids['season']}/file")->assertOk()->getContent();
            $screens = $story->drawsScreens ? $teller->forScreens(json_decode($season, flags: JSON_THROW_ON_ERROR)) : null;
            $teller->ask($season);
        } finally {
            Carbon::setTestNow();
        }

        return [$teller->book, $screens];
    }

    private function live(): void
    {
        $this->test->withoutMiddleware(ThrottleRequests::class);
        // What takes long is worked out at once.
        config(['queue.default' => 'sync']);
        Carbon::setTestNow("{$this->story->days[0]}T12:00:00Z");
        $this->test->actingAs(User::query()->create(['trial' => true]));
        foreach ($this->story->steps as $n => $step) {
            $body = (string) json_encode($step[2] ?? new stdClass, JSON_PRESERVE_ZERO_FRACTION);
            $response = $this->test->call($step[0], '/api'.$this->filled($step[1]), server: self::JSON, content: $this->filled($body));
            $answer = json_decode((string) $response->getContent());
            $answer instanceof stdClass
                && $answer = (object) array_diff_key(get_object_vars($answer), self::FIGURES_OF_A_STEP, self::PROGRESS);
            $this->book->value('step', sprintf('%03d', $n + 1)." {$step[0]} {$step[1]}",
                (object) ['status' => $response->getStatusCode(), 'answer' => $this->withoutNumbers($answer)]);
            $made = $answer->id ?? null;
            if (isset(self::MADE[$step[1]]) && is_int($made)) {
                $this->ids[self::MADE[$step[1]]] ??= (string) $made;
            }
        }
    }

    private function filled(string $text): string
    {
        return str_replace(array_map(fn (string $name): string => "{{$name}}", array_keys($this->ids)), $this->ids, $text);
    }

    private function forScreens(stdClass $document): string
    {
        $answers = new ScreenAnswers;
        [$day, $setup] = [$this->story->days[0], $this->story->setups[0]];
        $setups = array_column($document->setups, 'id');
        $values = [
            ...array_map(fn (string $id): array => [$id], $this->ids),
            ...$this->values($document),
            'on' => [$day],
            'showSeason.setup' => [null, ...$setups],
            'guesses.setup' => $setups,
            'ranked' => ['false', 'true'],
            'methodGrowth.crop' => [null, ...array_column($document->crops, 'id')],
            'method' => array_column($document->methods, 'id'),
            'figure' => [...Explained::OF_A_SETUP, ...self::ON_SCREENS],
            'working.crop' => [null, $document->crops[0]->id],
            'goingOut.crop' => [null],
            'cover' => ['0'],
            'find' => [null],
            'up' => [null],
            'seasons' => ['5'],
            'price_rise' => ['0', '0.03'],
        ];
        foreach (Routes::all(true) as $route) {
            $isDrawn = $route->type === 'application/json' && ! in_array($route->name, self::TAKEN_ALONG, true);
            if ($isDrawn && $this->isInReach($route)) {
                foreach ($route->requests($values) as $path) {
                    $response = $this->test->get($path, ['Accept' => 'application/json']);
                    $response->getStatusCode() !== 200 || $answers->add($path, self::contentOf($response));
                }
            }
        }

        return $answers->text($day, $setup);
    }

    private function ask(string $season): void
    {
        $values = [...array_map(fn (string $id): array => [$id], $this->ids), ...$this->values(json_decode($season, flags: JSON_THROW_ON_ERROR))];
        foreach ($this->story->days as $n => $day) {
            Carbon::setTestNow("{$day}T12:00:00Z");
            foreach (Routes::all($this->story->asksAll) as $route) {
                foreach ($this->asks($route, $n === 0) ? $route->requests(['on' => [$day], ...$values]) : [] as $asked => $path) {
                    $asked = trim(preg_replace('/\s+/', ' ', str_replace($day, '', $asked))." {$day}");
                    $this->hear($route->name, $asked, $route->type, $this->test->get($path, ['Accept' => 'application/json']));
                }
            }
        }
        $this->commandLine($season);
    }

    /** @return array<string, list<?string>> */
    private function values(stdClass $document): array
    {
        $setups = $this->story->setups;
        $other = array_values(array_diff(array_column($document->setups, 'id'), [$setups[0]]))[0] ?? $setups[0];
        $crops = array_column($document->crops, 'id');
        $setup = array_column($document->setups, null, 'id')[$setups[0]];
        $used = array_diff(array_unique([$setup->method, ...array_values(get_object_vars($setup->overrides ?? new stdClass))]), ['nursery']);
        $methods = array_unique([...$used, ...array_slice(array_column($document->methods, 'id'), 0, self::SOME)]);

        return ['setup' => $setups, 'crop' => $crops, 'sowAgain.crop' => array_slice($crops, 0, self::SOME), 'goingOut.crop' => [null, $crops[0]],
            'methodGrowth.crop' => [null, $crops[0]], 'working.crop' => [null], 'method' => array_values($methods),
            'figure' => self::FIGURES, 'working.setup' => [$setups[0]],
            'format' => [$this->story->asksAll ? 'ods' : 'xlsx'], 'from' => [$setups[0]], 'to' => [$other]];
    }

    /** A story without a place of the weather or something worked out has nothing to ask of it; and none has a picture. */
    private function isInReach(Routes $route): bool
    {
        $missing = array_filter(['token', 'place', 'work'], fn (string $name): bool => ! isset($this->ids[$name]) && str_contains($route->path, "{{$name}}"));

        return $missing === [];
    }

    private function asks(Routes $route, bool $isFirstDay): bool
    {
        return $this->isInReach($route) && ! in_array($route->name, $this->story->leaves, true)
            && ($isFirstDay || ! in_array($route->name, self::ON_THE_FIRST_DAY, true))
            && ($this->story->drawsPapers || ! in_array($route->name, self::PAPERS, true));
    }

    private function hear(string $route, string $asked, string $type, TestResponse $response): void
    {
        $status = $response->getStatusCode();
        $content = self::contentOf($response);
        $status < 500 || throw new RuntimeException("{$route} {$asked}: {$content}");
        match (true) {
            $status >= 400 => $this->book->value($route, $asked, (object) ['status' => $status, 'refused' => json_decode($this->steady($content))]),
            $content === '' => $this->book->text($route, $asked, "status {$status}"),
            $type === 'application/json' => $this->book->value($route, $asked, self::withoutProgress($route, json_decode($this->steady($content)))),
            $type === 'application/pdf' => $this->book->text($route, $asked, $this->steady(Papers::textOfPdf($content))),
            $type === 'application/octet-stream' => $this->book->value($route, $asked, Papers::cellsOfWorkbook($content)),
            default => $this->book->text($route, $asked, $this->steady($content)),
        };
    }

    private static function contentOf(TestResponse $response): string
    {
        return (string) ($response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : $response->getContent());
    }

    private static function withoutProgress(string $route, mixed $answer): mixed
    {
        return $route === 'work' && $answer instanceof stdClass ? (object) array_diff_key(get_object_vars($answer), self::PROGRESS) : $answer;
    }

    private function withoutNumbers(mixed $answer): mixed
    {
        return json_decode($this->steady((string) json_encode($answer, JSON_PRESERVE_ZERO_FRACTION)));
    }

    /** Without what is numbered or drawn anew for each garden. */
    private function steady(string $text): string
    {
        $season = $this->ids['season'] ?? '-';

        return (string) preg_replace(["#(seasons\\\\?/|season-|jolly-penny-|UID:){$season}\\b#", '#(\b\d+\|)?\b[A-Za-z0-9]{48}\b#'], ['$1#', '###'], $text);
    }

    private function commandLine(string $season): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'season');
        file_put_contents($file, $season);
        try {
            (new CommandLine($file, $this->story->setups))->tell($this->book, $this->story->commands);
            $this->story->leaves === [] && Explained::tell($this->book, $season, $this->story->setups);
        } finally {
            unlink($file);
        }
    }
}
