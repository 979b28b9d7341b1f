<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use stdClass;

/**
 * A season with some of its values changed, as an edit would change them; many such may be had of one season. Rows that no edit touches
 * are the season's own: with two hundred crops a quarter of all advice was spent on reading them again.
 */
final class Altered
{
    /** @var array<array-key, string> by key of the document, packed: unpacked anew for every change, which is quicker than written anew */
    private array $packed = [];

    /** @var array<array-key, array<array-key, string>> rows by list and id, packed */
    private array $rows = [];

    /** @var array<string, array<array-key, object>> rows by list and id */
    private array $known = [];

    private readonly RowReader $reader;

    public function __construct(private readonly Season $season)
    {
        $this->reader = new RowReader();
        $document = SeasonSchema::get()->complete((new SeasonWriter)->document($season));
        foreach (get_object_vars($document) as $key => $value) {
            $rows = self::byId($value);
            if ($rows === null) {
                $this->packed[$key] = serialize($value);
            } else {
                $this->rows[$key] = array_map(serialize(...), $rows);
            }
        }
        foreach (get_object_vars($season) as $name => $value) {
            $key = RowReader::keyOf($name);
            if (isset($this->rows[$key])) {
                $this->known[$key] = self::byId($value) ?? [];
            }
        }
    }

    /** @return ?array<array-key, object> null for what is no list, is empty, or has rows without an id */
    private static function byId(mixed $list): ?array
    {
        $rows = [];
        foreach (is_array($list) ? $list : [] as $row) {
            $id = is_object($row) ? $row->id ?? null : null;
            if (! is_object($row) || ! is_string($id)) {
                return null;
            }
            $rows[$id] = $row;
        }

        return $rows === [] ? null : $rows;
    }

    /** @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits */
    public function with(array $edits): Season
    {
        $touched = [];
        foreach ($edits as ['path' => $keys]) {
            $touched[$keys[0]][$keys[1] ?? ''] = true;
        }
        $part = new stdClass;
        foreach ($touched as $key => $ids) {
            $part->{$key} = isset($this->rows[$key]) ? $this->list((string) $key, $ids) : self::unpacked($this->packed[$key] ?? serialize(null));
        }
        foreach ($edits as ['path' => $keys, 'to' => $to]) {
            (new DocumentPath($keys))->set($part, $to);
        }
        $known = function (string $list, stdClass $row) use ($touched): ?object {
            $id = is_string($row->id ?? null) ? $row->id : '';

            return isset($touched[$list][$id]) ? null : $this->known[$list][$id] ?? null;
        };

        return $this->season->with(...$this->reader->values(Season::class, $part, $known));
    }

    /**
     * @param  array<array-key, true>  $ids  of rows that an edit touches: of the others their ids are enough
     * @return list<mixed>
     */
    private function list(string $key, array $ids): array
    {
        $rows = [];
        foreach ($this->rows[$key] as $id => $packed) {
            $rows[] = isset($ids[$id]) ? self::unpacked($packed) : (object) ['id' => (string) $id];
        }

        return $rows;
    }

    private static function unpacked(string $packed): mixed
    {
        return unserialize($packed, ['allowed_classes' => [stdClass::class]]);
    }
}
