<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Health\Timing;
use App\Http\Json;
use Illuminate\Http\JsonResponse;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Showing\Pictures\Moved;
use JollyPenny\Core\Showing\Pictures\SeasonPictures;
use JollyPenny\Core\Showing\Pictures\SetupPicture;
use JollyPenny\Core\Showing\Pictures\SetupTills;
use stdClass;
use Throwable;

/**
 * A season as it is kept, with the figures of one set-up, what a screen draws of them, and what undo would do.
 *
 * @phpstan-type ResultShape array{format: string, version: int, setups: list<SetupResult>}
 * @phpstan-type SeasonStateShape array{
 *     id: int,
 *     revision: int,
 *     season: Season,
 *     result: ResultShape,
 *     pictures: array<string, SetupPicture>,
 *     history: array{undo: ?string, redo: ?string},
 *     // a made-up season to look around in
 *     demo: bool,
 *     moved?: ?Moved,
 *     asked?: list<AskedCropShape>,
 *     added?: string,
 *     // no figures could be made of it
 *     unreckoned?: bool,
 * }
 * @phpstan-type ChangedSeasonShape array{
 *     id: int,
 *     revision: int,
 *     // the whole, or else `part`
 *     season?: Season,
 *     part?: SeasonPartShape,
 *     result: ResultShape,
 *     pictures: array<string, SetupPicture>,
 *     history: array{undo: ?string, redo: ?string},
 *     demo: bool,
 *     moved?: ?Moved,
 *     unreckoned?: bool,
 * }
 * @phpstan-type SeasonPartShape array{
 *     // the revision that it goes on from
 *     since: int,
 *     // keys of the season in which something changed, as they are now
 *     keys: array<string, mixed>,
 * }
 * @phpstan-type AskedCropShape array{
 *     // as it was written
 *     text: string,
 *     question: string,
 *     species: ?string,
 *     variety: string,
 *     wanted: ?int,
 *     // nothing in the catalogue is it for certain
 *     unknown: bool,
 *     nearest: list<array{id: string, name: string}>,
 * }
 */
final readonly class SeasonState
{
    public function __construct(private History $history)
    {
    }

    /**
     * @param  mixed  $setup  id of the set-up on screen; the first where there is none such
     * @param  array<string, mixed>  $more  what else the answer tells
     */
    public function answer(KeptSeason|EditedSeason $season, mixed $setup, array $more = []): JsonResponse
    {
        return $this->with($season, $setup, ['season' => ($season instanceof EditedSeason ? $season->kept : $season)->document], $more);
    }

    /**
     * To somebody who knows the revision before the change, only what it changed of the season. The figures are told whole: costs are
     * shared, so that hardly a crop's stay as they are.
     *
     * @param  mixed  $setup  id of the set-up on screen
     */
    public function changed(EditedSeason $season, mixed $setup, int $knows): JsonResponse
    {
        return $knows === $season->revisionBefore ? $this->with($season, $setup, ['part' => $season->part()]) : $this->answer($season, $setup);
    }

    /**
     * @param  array{season: stdClass}|array{part: array<string, mixed>}  $document
     * @param  array<string, mixed>  $more
     */
    private function with(KeptSeason|EditedSeason $season, mixed $setup, array $document, array $more = []): JsonResponse
    {
        $kept = $season instanceof EditedSeason ? $season->kept : $season;
        $undoes = $season instanceof EditedSeason ? $season->undoes : null;
        $ids = array_column($kept->file->setups, 'id');
        // It may just have been taken out, or its adding undone: the first one's figures then. Only what is on screen is reckoned.
        $setup = is_string($setup) && in_array($setup, $ids, true) ? $setup : $ids[0] ?? '';
        try {
            $result = $kept->costing->result($setup);
            $pictures = SeasonPictures::forSetups($result['setups'], $kept->file);
            $before = $season instanceof EditedSeason && $setup !== '' ? KeptTills::before($season, $setup) : null;
            $moved = $before === null ? null : Moved::since($before, $setup, $pictures[$setup]);
            KnownAnswers::keep($kept->model->id, $kept->costing->known);
            $setup === '' ?: KeptTills::put($kept->model, $setup, SetupTills::ofPicture($pictures[$setup]));
        } catch (Throwable $e) {
            report($e);
            // What there is can be seen, and the last change taken back.
            [$result, $pictures, $moved] = [['format' => 'jolly-penny/result', 'version' => 1, 'setups' => []], [], null];
            $more['unreckoned'] = true;
        }
        $more += $season instanceof EditedSeason ? ['moved' => $moved] : [];
        Timing::part('figures');
        $answer = Json::response([
            'id' => $kept->model->id,
            'revision' => $kept->model->revision,
            ...$document,
            'result' => $result,
            'pictures' => (object) $pictures,
            'history' => $undoes === null ? $this->history->words($kept->model) : ['undo' => $undoes, 'redo' => null],
            'demo' => $kept->model->demo === true,
            ...$more,
        ]);
        Timing::part('answer');

        return $answer;
    }
}
