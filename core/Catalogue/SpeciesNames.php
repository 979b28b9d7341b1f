<?php

declare(strict_types=1);

namespace JollyPenny\Core\Catalogue;

/** Finds the species that words mean: "paste tomatoes", "chillies", "aubergine". */
final readonly class SpeciesNames
{
    /** Other names people use. */
    private const ALSO = [
        'aubergine' => 'eggplant',
        'courgette' => 'summer_squash',
        'zucchini' => 'summer_squash',
        'chilli' => 'hot_pepper',
        'chili' => 'hot_pepper',
        'jalapeno' => 'hot_pepper',
        'bell pepper' => 'sweet_pepper',
        'pepper' => 'sweet_pepper',
        'corn' => 'sweet_corn',
        'maize' => 'sweet_corn',
        'bean' => 'snap_bean',
        'squash' => 'winter_squash',
        'melon' => 'muskmelon',
        'coriander' => 'cilantro',
        'scallion' => 'bunching_onion',
        'spring onion' => 'bunching_onion',
        'silverbeet' => 'chard',
        'beetroot' => 'beet',
        'bok choy' => 'pak_choi',
        'sprout' => 'brussels_sprouts',
        'salad' => 'lettuce',
        'sunflower' => 'sunflower',
        'lupine' => 'lupin',
        'tagetes' => 'marigold',
        'viola' => 'pansy',
        'napa' => 'chinese_cabbage',
    ];

    /** @param  array<string, SpeciesFacts>  $species  by id */
    public function __construct(private array $species)
    {
    }

    /** The species whose name stands in the words; the longest name wins. */
    public function find(string $words): ?SpeciesFacts
    {
        $words = ' '.self::plain($words).' ';
        $found = null;
        $length = 0;
        foreach ($this->names() as $name => $id) {
            if (strlen($name) > $length && str_contains($words, " {$name} ")) {
                $found = $this->species[$id] ?? $found;
                $length = strlen($name);
            }
        }

        return $found;
    }

    /** What of the words is not the species' name: the variety. */
    public function variety(string $words, SpeciesFacts $species): string
    {
        $left = [];
        $names = array_keys($this->names(), $species->id, true);
        foreach (preg_split('/\s+/u', trim($words)) ?: [] as $word) {
            $plain = self::plain($word);
            foreach ($names as $name) {
                if ($plain !== '' && in_array($plain, explode(' ', (string) $name), true)) {
                    continue 2;
                }
            }
            $left[] = $word;
        }

        return implode(' ', $left);
    }

    /** @return array<string, string> id by plain name */
    private function names(): array
    {
        $names = self::ALSO;
        foreach ($this->species as $id => $facts) {
            $names[self::plain($facts->name)] = $id;
            $names[str_replace('_', ' ', $id)] = $id;
        }

        return $names;
    }

    /** Lower case, one blank between words, each word in the singular. */
    private static function plain(string $words): string
    {
        $lower = mb_strtolower((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $words));
        $singular = array_map(
            fn (string $word): string => match (true) {
                preg_match('/(tomato|potato)es$/', $word) === 1 => substr($word, 0, -2),
                preg_match('/(rad|squ)(i|a)shes$/', $word) === 1 => substr($word, 0, -2),
                str_ends_with($word, 'ies') && strlen($word) > 5 => substr($word, 0, -3).'y',
                preg_match('/[^su]s$/', $word) === 1 && strlen($word) > 3 && ! in_array($word, ['chives', 'brussels', 'cosmos'], true) => substr($word, 0, -1),
                default => $word,
            },
            explode(' ', trim($lower)),
        );

        return implode(' ', $singular);
    }
}
