<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\Setup;
use stdClass;

/** Season file to models. Takes documents that have passed the core's checks. */
final class SeasonStore
{
    private const BATCH = 200;

    /** @var array<array-key, mixed> ids of the document's mixes: what else a stage names as its mix is a supply */
    private array $mixes = [];

    public function import(User $user, stdClass $document): Season
    {
        return DB::transaction(function () use ($user, $document): Season {
            DB::statement('SET CONSTRAINTS ALL DEFERRED');
            /** @var Season $season */
            $season = $user->seasons()->create($this->values($document, Tables::get()->columns));
            foreach (Tables::get()->lists as $path => $table) {
                $this->insert($season->id, $table, $this->listAt($document, $path));
            }

            return $season->refresh();
        });
    }

    /**
     * Writes the parts of a changed document that changes have touched.
     *
     * @param  list<DocumentPath>  $paths
     */
    public function save(Season $season, stdClass $document, array $paths): void
    {
        DB::statement('SET CONSTRAINTS ALL DEFERRED');
        $touched = $moved = [];
        $own = false;
        foreach ($paths as $path) {
            [$list, $id] = $path->touches();
            if (! isset(Tables::get()->lists[$list]) || $id === null) {
                $own = true;

                continue;
            }
            $touched[$list][$id] = $id;
            $moved[$list] = ($moved[$list] ?? false) || $path->isRow($document);
        }
        if ($own) {
            $season->fill($this->values($document, Tables::get()->columns));
            $windows = Tables::get()->lists['electricity.windows'];
            (new $windows->model)->newQuery()->where('season_id', $season->id)->delete();
            $this->insert($season->id, $windows, $this->listAt($document, 'electricity.windows'));
        }
        // In the order in which rows can name each other.
        foreach (array_intersect_key(Tables::get()->lists, $touched) as $list => $table) {
            foreach ($touched[$list] as $id) {
                $this->saveRow($season->id, $table, $this->listAt($document, $list), $id);
            }
            if ($moved[$list]) {
                $this->number($season->id, $table, $this->listAt($document, $list));
            }
        }
        $season->revision++;
        // A new row has not all its keys yet: the tables say it in full.
        $whole = ! in_array(true, $moved, true);
        $season->document = $whole ? SeasonAssembler::encode($document) : null;
        $season->document_revision = $whole ? $season->revision : null;
        $season->save();
    }

    /**
     * Rows stand in the database in the document's order.
     *
     * @param  array<int, mixed>  $rows
     */
    private function number(int $season, Table $table, array $rows): void
    {
        $name = (new $table->model)->getTable();
        DB::update("UPDATE {$name} SET position = o.place - 1 FROM json_array_elements_text(?) WITH ORDINALITY AS o (key, place) WHERE season_id = ? AND {$name}.key = o.key AND position <> o.place - 1",
            [json_encode(array_column($rows, 'id'), JSON_THROW_ON_ERROR), $season]);
    }

    /** @param  array<int, mixed>  $rows */
    private function saveRow(int $season, Table $table, array $rows, string $id): void
    {
        $query = (new $table->model)->newQuery()->where('season_id', $season);
        foreach ($rows as $position => $row) {
            if (! $row instanceof stdClass || $row->id !== $id) {
                continue;
            }
            $values = ['season_id' => $season, 'position' => $position, ...$this->values($row, $table->columns, $table)];
            (clone $query)->upsert([$values], ['season_id', 'key'], array_keys($values));
            foreach ($table->children as $child) {
                (new $child->model)->newQuery()->where('season_id', $season)->where($child->parents[0], $id)->delete();
            }
            $this->insertChildren($season, $table, [$position => $row]);

            return;
        }
        (clone $query)->where('key', $id)->delete();
    }

    /**
     * @param  array<int, mixed>  $rows
     * @param  array<string, string|int>  $parent
     */
    private function insert(int $season, Table $table, array $rows, array $parent = []): void
    {
        $records = [];
        foreach ($rows as $position => $row) {
            $records[] = ['season_id' => $season, ...$parent, 'position' => $position, ...match (true) {
                $table->kind === Table::IDS => ['item' => $row],
                $row instanceof stdClass => $this->values($row, $table->columns, $table),
                default => [],
            }];
        }
        foreach (array_chunk($records, self::BATCH) as $batch) {
            (new $table->model)->newQuery()->insert($batch);
        }
        $this->insertChildren($season, $table, $rows, $parent);
    }

    /**
     * @param  array<int, mixed>  $rows
     * @param  array<string, string|int>  $above
     */
    private function insertChildren(int $season, Table $table, array $rows, array $above = []): void
    {
        foreach ($table->children as $key => $child) {
            foreach ($rows as $position => $row) {
                if (! $row instanceof stdClass) {
                    continue;
                }
                $own = $table->keyed ? [$child->parents[0] => $row->id] : [...$above, 'stage' => $position];
                $list = $row->{$key} ?? [];
                if ($child->kind === Table::MAP) {
                    $this->insertMap($season, $child, (array) $list, $own);
                } else {
                    $this->insert($season, $child, array_values((array) $list), $own);
                }
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $map
     * @param  array<string, string|int>  $parent
     */
    private function insertMap(int $season, Table $table, array $map, array $parent): void
    {
        $records = [];
        foreach ($map as $crop => $method) {
            $records[] = ['season_id' => $season, ...$parent, 'position' => count($records), 'crop' => (string) $crop,
                'method' => $method === Setup::NURSERY ? null : $method];
        }
        (new $table->model)->newQuery()->insert($records);
    }

    /**
     * @param  list<Column>  $columns
     * @return array<string, string|int|bool|null>
     */
    private function values(stdClass $row, array $columns, ?Table $table = null): array
    {
        $values = [];
        foreach ($columns as $column) {
            $value = $row;
            foreach ($column->keys as $key) {
                $value = $value instanceof stdClass && property_exists($value, $key) ? $value->{$key} : ($value === null ? null : $column->default);
            }
            $values[$column->name] = $column->toDatabase($value);
        }
        if ($table !== null && array_key_exists('mix', $values)) {
            $mixes = $this->mixes;
            $values['mix_supply'] = $values['mix'] !== null && ! isset($mixes[$values['mix']]) ? $values['mix'] : null;
            $values['mix'] = $values['mix_supply'] === null ? $values['mix'] : null;
            $values['days'] = $values['days'] === RowReader::EMERGENCE ? null : $values['days'];
        }
        if (isset($table->children['overrides']) && $values['method'] === Setup::NURSERY) {
            $values['method'] = null;
        }

        return $values;
    }

    /** @return array<int, mixed> */
    private function listAt(stdClass $document, string $path): array
    {
        $list = $path === 'electricity.windows' ? $document->electricity->windows ?? [] : $document->{$path} ?? [];
        if ($path === 'mixes' || $path === 'methods') {
            $this->mixes = array_column((array) ($document->mixes ?? []), 'id', 'id');
        }

        return array_values((array) $list);
    }
}
