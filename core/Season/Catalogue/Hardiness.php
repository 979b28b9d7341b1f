<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/** How much cold a species is left out in, and what soil it wants to be set into, °C. */
final readonly class Hardiness
{
    /** Of what the catalogue does not know: what frost kills is like a tomato, what it does not like a lettuce. Common practice, no source. */
    private const LIKE = ['tender' => 'tomato', 'hardy' => 'lettuce'];

    /**
     * @param  float  $standsC  lowest air before it is hardened off
     * @param  float  $hardenedC  lowest air once it is
     * @param  float  $soilC  of the bed it is set into
     */
    private function __construct(public float $standsC, public float $hardenedC, public float $soilC, public string $source)
    {
    }

    public static function forSpecies(?SpeciesFacts $species, bool $isTender): self
    {
        /** @var ?array<string, array<string, string|int|float|bool|null>> $rows what ships does not change while it runs */
        static $rows = null;
        $rows ??= array_column(CatalogueFile::rows('cold'), null, 'species');
        $row = $rows[$species->id ?? ''] ?? $rows[self::LIKE[$isTender ? 'tender' : 'hardy']];

        return new self((float) $row['stands_c'], (float) $row['hardened_c'], (float) $row['soil_c'], (string) $row['source']);
    }

    /** Lowest air it is left out in, with so much of its hardening off behind it (0 to 1). */
    public function limit(float $hardened): float
    {
        return $this->standsC + min(1.0, max(0.0, $hardened)) * ($this->hardenedC - $this->standsC);
    }
}
