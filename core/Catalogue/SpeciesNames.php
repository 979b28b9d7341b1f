<?php

declare(strict_types=1);

namespace JollyPenny\Core\Catalogue;

/** Finds the species that words mean: "paste tomatoes", "chillies", "aubergine". */
final readonly class SpeciesNames
{
    /** Other names of species. */
    private const ALSO = [
        'aubergine' => 'eggplant',
        'bean' => 'snap_bean',
        'beetroot' => 'beet',
        'bell of ireland' => 'bells_of_ireland',
        'bell pepper' => 'sweet_pepper',
        'bok choy' => 'pak_choi',
        'butter bean' => 'lima_bean',
        'chili' => 'hot_pepper',
        'chilli' => 'hot_pepper',
        'coriander' => 'cilantro',
        'corn' => 'sweet_corn',
        'courgette' => 'summer_squash',
        'cuke' => 'cucumber',
        'green bean' => 'snap_bean',
        'lupine' => 'lupin',
        'maize' => 'sweet_corn',
        'melon' => 'muskmelon',
        'pak choy' => 'pak_choi',
        'pepper' => 'sweet_pepper',
        'scabiosa' => 'scabious',
        'scallion' => 'bunching_onion',
        'silverbeet' => 'chard',
        'spring onion' => 'bunching_onion',
        'sprout' => 'brussels_sprouts',
        'squash' => 'winter_squash',
        'tagetes' => 'marigold',
        'viola' => 'pansy',
        'zucchini' => 'summer_squash',
    ];

    /** Kinds and varieties that tell the species and keep their name. */
    private const KINDS = [
        'cayenne' => 'hot_pepper',
        'habanero' => 'hot_pepper',
        'jalapeno' => 'hot_pepper',
        'napa' => 'chinese_cabbage',
        'poblano' => 'hot_pepper',
        'romaine' => 'lettuce',
        'salad' => 'lettuce',
    ];

    private const PLAIN_LETTERS = ['á' => 'a', 'à' => 'a', 'â' => 'a', 'ä' => 'a', 'ã' => 'a', 'å' => 'a', 'ç' => 'c', 'é' => 'e',
        'è' => 'e', 'ê' => 'e', 'ë' => 'e', 'í' => 'i', 'ì' => 'i', 'î' => 'i', 'ï' => 'i', 'ñ' => 'n', 'ó' => 'o', 'ò' => 'o',
        'ô' => 'o', 'ö' => 'o', 'õ' => 'o', 'ú' => 'u', 'ù' => 'u', 'û' => 'u', 'ü' => 'u'];

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
        foreach (self::KINDS + $this->names() as $name => $id) {
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
        $lower = strtr(mb_strtolower((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $words)), self::PLAIN_LETTERS);
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
