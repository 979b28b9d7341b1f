<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season as SeasonFile;
use stdClass;

/** Changes values of a season and keeps them, all or none, in one transaction. */
final class SeasonEditor
{
    public function __construct(private readonly SeasonAssembler $assembler, private readonly SeasonStore $store)
    {
    }

    /**
     * @param  non-empty-list<Change>  $changes
     * @return array{Season, stdClass, SeasonFile} as kept: model, document, value objects
     *
     * @throws InvalidSeason where a value cannot be used
     * @throws RevisionConflict where a value was changed elsewhere since
     */
    public function apply(int $season, array $changes): array
    {
        return DB::transaction(function () use ($season, $changes): array {
            /** @var Season $model */
            $model = Season::query()->whereKey($season)->lockForUpdate()->firstOrFail();
            $document = $this->assembler->document($model);
            foreach ($changes as $change) {
                if (json_encode($change->path->get($document)) !== json_encode($change->from)
                    && json_encode($change->path->get($document)) !== json_encode($change->to)) {
                    throw new RevisionConflict($model->revision);
                }
                $change->path->set($document, $change->to);
            }
            $file = (new SeasonReader)->readDocument($document);
            $this->store->save($model, $document, array_map(fn (Change $change): array => $change->path->touches(), $changes));

            return [$model, $document, $file];
        });
    }
}
