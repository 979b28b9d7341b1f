<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\Season as SeasonFile;
use JollyPenny\Core\Season\Setup;
use stdClass;

/** Models to season file. Every key is there, so that screens need no defaults of their own. */
final class SeasonAssembler
{
    public function document(Season $season): stdClass
    {
        if ($season->document !== null && $season->document_revision === $season->revision) {
            $kept = json_decode($season->document, false, 64, JSON_THROW_ON_ERROR);
            if ($kept instanceof stdClass) {
                return $kept;
            }
        }
        $document = $this->assemble($season);
        Season::query()->whereKey($season->id)->where('revision', $season->revision)->toBase()
            ->update(['document' => self::encode($document), 'document_revision' => $season->revision]);

        return $document;
    }

    /** As it is kept beside the tables: floats stay floats, keys in their order. */
    public static function encode(stdClass $document): string
    {
        return json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }

    /** Out of the tables. */
    public function assemble(Season $season): stdClass
    {
        $tables = Tables::get();
        $document = (object) ['format' => SeasonFile::FORMAT, 'version' => SeasonFile::VERSION];
        $this->fill($document, $season->getAttributes(), $tables->columns, $tables->nullable);
        foreach ($tables->lists as $path => $table) {
            $value = $this->rows($season->id, $table)[''] ?? [];
            if ($path === 'electricity.windows') {
                $document->electricity->windows = $value;
            } else {
                $document->{$path} = $value;
            }
        }

        return $document;
    }

    /** @return array<string, list<mixed>|stdClass> the file's lists by the key of the row they belong to */
    private function rows(int $season, Table $table): array
    {
        $children = array_map(fn (Table $child): array => $this->rows($season, $child), $table->children);
        /** @var array<string, list<mixed>> $grouped */
        $grouped = [];
        /** @var array<string, stdClass> $maps */
        $maps = [];
        foreach ((new $table->model)->newQuery()->toBase()->where('season_id', $season)->orderBy('position')->get() as $record) {
            $values = get_object_vars($record);
            $parent = implode("\n", array_map(fn (string $column): string => $this->text($values[$column]), $table->parents));
            if ($table->kind === Table::IDS) {
                $grouped[$parent][] = $values['item'];
            } elseif ($table->kind === Table::MAP) {
                $maps[$parent] ??= new stdClass;
                $maps[$parent]->{$this->text($values['crop'])} = $values['method'] ?? Setup::NURSERY;
            } else {
                $grouped[$parent][] = $this->row($values, $table, $children);
            }
        }

        return $table->kind === Table::MAP ? $maps : $grouped;
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  array<string, array<string, mixed>>  $children
     */
    private function row(array $values, Table $table, array $children): stdClass
    {
        $row = new stdClass;
        $this->fill($row, $values, $table->columns, $table->nullable);
        $own = $table->keyed ? $this->text($values['key'])
            : implode("\n", array_map(fn (string $column): string => $this->text($values[$column] ?? ''), [...$table->parents, 'position']));
        foreach ($table->children as $key => $child) {
            $row->{$key} = $children[$key][$own] ?? ($child->kind === Table::MAP ? new stdClass : []);
        }
        // What the tables say otherwise than the file: a supply used as a mix, waiting for emergence, buying.
        if (array_key_exists('mix_supply', $values)) {
            $row->mix = $values['mix'] ?? $values['mix_supply'];
            $row->days ??= RowReader::EMERGENCE;
        }
        if (isset($table->children['overrides'])) {
            $row->method ??= Setup::NURSERY;
        }

        return $row;
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  list<Column>  $columns
     * @param  list<string>  $nullable
     */
    private function fill(stdClass $row, array $values, array $columns, array $nullable): void
    {
        foreach ($columns as $column) {
            $value = $column->toFile($values[$column->name] ?? null);
            if ($value === null && ($column->name === 'meta' || str_starts_with($column->name, 'sow_s'))) {
                continue;
            }
            $target = $row;
            foreach (array_slice($column->keys, 0, -1) as $key) {
                $target = $target->{$key} ??= new stdClass;
            }
            $target->{$column->keys[count($column->keys) - 1]} = $value;
        }
        foreach ($nullable as $path) {
            $keys = explode('.', $path);
            $last = array_pop($keys);
            $target = $row;
            foreach ($keys as $key) {
                $target = $target->{$key};
            }
            $target->{$last} ??= null;
            if ($target->{$last} instanceof stdClass && array_filter(get_object_vars($target->{$last}), fn (mixed $value): bool => $value !== null) === []) {
                $target->{$last} = null;
            }
        }
    }

    private function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
