<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Parts\Part;

/** How one list of the season file lies in its table. */
final readonly class Table
{
    /** A list of objects, a list of ids, or an object of ids by id. */
    public const ROWS = 'rows';

    public const IDS = 'ids';

    public const MAP = 'map';

    /**
     * @param  class-string<Part>  $model
     * @param  list<Column>  $columns
     * @param  array<string, Table>  $children  by key
     * @param  list<string>  $parents  columns that name the row above
     * @param  list<string>  $nullable  nested objects, by column prefix, that may be null
     */
    public function __construct(
        public string $model,
        public string $kind,
        public array $columns = [],
        public array $children = [],
        public array $parents = [],
        public array $nullable = [],
        public bool $keyed = false,
    ) {
    }
}
