<?php

declare(strict_types=1);

namespace App\Http;

use App\Seasons\EditedSeason;
use App\Seasons\History;
use App\Seasons\KeptSeason;
use Illuminate\Http\JsonResponse;
use JollyPenny\Core\Pictures\Moved;
use JollyPenny\Core\Pictures\SeasonPictures;
use JollyPenny\Core\Results\SeasonCosting;

/** A season as it is kept, with the figures of one set-up or of all, what a screen draws of them, and what undo would do. */
final readonly class SeasonState
{
    public function __construct(private History $history)
    {
    }

    /**
     * @param  mixed  $setup  id of the set-up on screen, or null for all
     * @param  array<string, mixed>  $more  what else the answer tells
     */
    public function answer(KeptSeason|EditedSeason $season, mixed $setup, array $more = []): JsonResponse
    {
        $kept = $season instanceof EditedSeason ? $season->kept : $season;
        if ($setup !== null && ! in_array($setup, array_column($kept->file->setups, 'id'), true)) {
            // It may just have been taken out, or its adding undone: the first one's figures then.
            $setup = $kept->file->setups[0]->id ?? null;
        }
        $setup = is_string($setup) ? $setup : null;
        $began = hrtime(true);
        $result = (new SeasonCosting($kept->file))->result($setup);
        $pictures = SeasonPictures::of($result['setups'], $kept->file);
        if ($season instanceof EditedSeason && $setup !== null) {
            $more['moved'] = Moved::since($season->before, $setup, $pictures[$setup]);
        }
        $core = (hrtime(true) - $began) / 1e6;
        $answer = Json::of([
            'id' => $kept->model->id,
            'revision' => $kept->model->revision,
            'season' => $kept->document,
            'result' => $result,
            'pictures' => (object) $pictures,
            'history' => $this->history->words($kept->model),
            ...$more,
        ]);
        $total = (microtime(true) - (float) $_SERVER['REQUEST_TIME_FLOAT']) * 1000;
        $answer->headers->set('Server-Timing', sprintf('core;dur=%.1f, total;dur=%.1f', $core, $total));

        return $answer;
    }
}
