<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/** Finds the species that words mean: "paste tomatoes", "chillies", "aubergine" (catalogue/species-names.csv). */
final class SpeciesNames
{
    /** Names of one species that kinds of another may stand beside: "cayenne pepper" is a hot one. */
    private const WIDER = [
        'sweet_pepper' => ['hot_pepper', 'chinense_pepper'],
        'hot_pepper' => ['chinense_pepper'],
        'tomato' => ['cherry_tomato'],
        'cabbage' => ['chinese_cabbage'],
    ];

    private const PLAIN_LETTERS = ['á' => 'a', 'à' => 'a', 'â' => 'a', 'ä' => 'a', 'ã' => 'a', 'å' => 'a', 'ç' => 'c', 'é' => 'e',
        'è' => 'e', 'ê' => 'e', 'ë' => 'e', 'í' => 'i', 'ì' => 'i', 'î' => 'i', 'ï' => 'i', 'ñ' => 'n', 'ó' => 'o', 'ò' => 'o',
        'ô' => 'o', 'ö' => 'o', 'õ' => 'o', 'ú' => 'u', 'ù' => 'u', 'û' => 'u', 'ü' => 'u'];

    /** Words that end in s and are no plurals. */
    private const SINGULAR = ['chives', 'brussels', 'cosmos', 'asparagus', 'cos'];

    private const NEAREST = 3;

    /** @var array<string, list<array{name: string, species: list<string>}>> what the names file holds, by kind, the longest name first */
    private array $names;

    /** @param  array<string, SpeciesFacts>  $species  by id */
    public function __construct(private readonly array $species)
    {
        $names = ['name' => [], 'type' => [], 'alone' => [], 'which' => [], 'not' => []];
        foreach (CatalogueFile::rows('species-names') as $row) {
            $names[(string) $row['kind']][(string) $row['name']] = explode(' ', (string) $row['species']);
        }
        foreach ($species as $id => $facts) {
            $names['name'][self::plain($facts->name)] ??= [$id];
            $names['name'][str_replace('_', ' ', $id)] ??= [$id];
        }
        $this->names = [];
        foreach ($names as $kind => $byName) {
            uksort($byName, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
            $this->names[$kind] = array_map(fn (string $name, array $ids): array => ['name' => $name, 'species' => $ids], array_keys($byName), $byName);
        }
    }

    /** The species whose name stands in the words; null where none does, or the words mean another plant. */
    public function find(string $words): ?SpeciesFacts
    {
        $plain = self::plain($words);
        $name = $this->match('name', $plain);
        $other = $this->match('not', $plain) ?? $this->match('which', $plain);
        if ($other !== null && strlen($other['name']) >= strlen($name['name'] ?? '')) {
            return null;
        }
        $type = $this->match('type', $plain) ?? ($name === null ? null : $this->match('alone', $plain));
        foreach ($name === null ? $this->names['alone'] : [] as $alone) {
            if ($alone['name'] === $plain) {
                return $this->species[$alone['species'][0]] ?? null;
            }
        }
        if ($name !== null && ($type === null || ! in_array($type['species'][0], self::WIDER[$name['species'][0]] ?? [], true))) {
            return $this->species[$name['species'][0]] ?? null;
        }

        return $this->species[$type['species'][0] ?? ''] ?? null;
    }

    /**
     * Species that the words may mean where they name none for certain: those that share the name, or that are nearest by name.
     *
     * @return list<SpeciesFacts> at most three
     */
    public function nearest(string $words): array
    {
        $plain = self::plain($words);
        $isOfSeveral = $this->isOfSeveral($words);
        $ids = ($this->match($isOfSeveral ? 'which' : 'not', $plain))['species'] ?? [];
        if (! $isOfSeveral && count($ids) < self::NEAREST) {
            $far = [];
            foreach ($this->names['name'] as ['name' => $name, 'species' => $species]) {
                foreach (explode(' ', $plain) as $word) {
                    $distance = levenshtein(substr($word, 0, 60), $name) / max(strlen($word), strlen($name), 1);
                    $far[$species[0]] = min($far[$species[0]] ?? 1.0, $distance);
                }
            }
            asort($far);
            $ids = [...$ids, ...array_keys($far)];
        }
        $found = array_filter(array_map(fn (string $id): ?SpeciesFacts => $this->species[$id] ?? null, array_values(array_unique($ids))));

        return array_slice(array_values($found), 0, self::NEAREST);
    }

    /** Whether the words are of several species at once: "squash". */
    public function isOfSeveral(string $words): bool
    {
        return $this->find($words) === null && $this->match('not', self::plain($words)) === null && $this->match('which', self::plain($words)) !== null;
    }

    /** Whether all the words are a kind or a variety that tells the species: "cayenne". */
    public function isKind(string $words): bool
    {
        return ($this->match('type', self::plain($words))['name'] ?? null) === self::plain($words);
    }

    /** What of the words is not the species' name: the variety. */
    public function variety(string $words, SpeciesFacts $species): string
    {
        $plain = self::plain($words);
        $own = [];
        foreach ($this->names['name'] as ['name' => $name, 'species' => $ids]) {
            if ($ids[0] === $species->id || in_array($species->id, self::WIDER[$ids[0]] ?? [], true)) {
                $own = [...$own, ...(self::holds($plain, $name) ? explode(' ', $name) : [])];
            }
        }
        $left = array_filter(preg_split('/\s+/u', trim($words)) ?: [], fn (string $word): bool => self::plain($word) === '' || ! in_array(self::plain($word), $own, true));

        return (string) preg_replace('/^[\s"\'“”‘’.,:;=()\[\]–—*-]+|[\s"\'“”‘’.,:;=()\[\]–—*-]+$/u', '', implode(' ', $left));
    }

    /** @return ?array{name: string, species: list<string>} the longest of the names that stands in the words */
    private function match(string $kind, string $plain): ?array
    {
        foreach ($this->names[$kind] ?? [] as $name) {
            if (self::holds($plain, $name['name'])) {
                return $name;
            }
        }

        return null;
    }

    private static function holds(string $words, string $name): bool
    {
        return str_contains(" {$words} ", " {$name} ");
    }

    /** A name however it was spelled: lower case, one blank between words, each word in the singular. */
    public static function plain(string $words): string
    {
        $lower = strtr(mb_strtolower((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $words)), self::PLAIN_LETTERS);
        $singular = array_map(
            fn (string $word): string => match (true) {
                preg_match('/(tomato|potato)es$/', $word) === 1 => substr($word, 0, -2),
                preg_match('/(rad|squ)(i|a)shes$/', $word) === 1 => substr($word, 0, -2),
                in_array($word, self::SINGULAR, true) => $word,
                str_ends_with($word, 'ies') && strlen($word) > 5 => substr($word, 0, -3).'y',
                preg_match('/[^su]s$/', $word) === 1 && strlen($word) > 3 => substr($word, 0, -1),
                default => $word,
            },
            explode(' ', trim($lower)),
        );

        return implode(' ', $singular);
    }
}
