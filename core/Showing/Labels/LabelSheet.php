<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Labels;

use JollyPenny\Core\Season\Catalogue\CatalogueFile;

/** A sheet of labels by its measures, in millimetres: columns and rows of labels with gaps between, from the top left corner. */
final readonly class LabelSheet
{
    /** @param  bool  $stick  narrow, written along, and cut with a point */
    private function __construct(
        public string $id,
        public string $name,
        public float $paper_width_mm,
        public float $paper_height_mm,
        public int $columns,
        public int $rows,
        public float $width_mm,
        public float $height_mm,
        public float $left_mm,
        public float $top_mm,
        public float $gap_x_mm,
        public float $gap_y_mm,
        public bool $stick,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(fn (array $row): self => new self(
            id: (string) $row['id'],
            name: (string) $row['name'],
            paper_width_mm: (float) $row['paper_width_mm'],
            paper_height_mm: (float) $row['paper_height_mm'],
            columns: (int) $row['columns'],
            rows: (int) $row['rows'],
            width_mm: (float) $row['width_mm'],
            height_mm: (float) $row['height_mm'],
            left_mm: (float) $row['left_mm'],
            top_mm: (float) $row['top_mm'],
            gap_x_mm: (float) $row['gap_x_mm'],
            gap_y_mm: (float) $row['gap_y_mm'],
            stick: $row['stick'] === true,
        ), CatalogueFile::rows('label-sheets'));
    }

    /** @return positive-int */
    public function labelsOnPage(): int
    {
        return max(1, $this->columns * $this->rows);
    }

    /**
     * Left and top of the label at a place of its page, counted row by row from 0.
     *
     * @return array{float, float} millimetres
     */
    public function corner(int $place): array
    {
        return [
            $this->left_mm + ($place % $this->columns) * ($this->width_mm + $this->gap_x_mm),
            $this->top_mm + intdiv($place, $this->columns) * ($this->height_mm + $this->gap_y_mm),
        ];
    }
}
