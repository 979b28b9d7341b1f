<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\File\SeasonSchema;

/**
 * How many plants an entry of a list asks for, as people write it: "8", "1/2 dozen", "10-12", "x4", "two six-packs"; or a measure that is
 * no number of plants, which has to be asked: "3 rows", "1 pkt", "some".
 */
final readonly class WrittenAmount
{
    private const ONES = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9,
        'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'seventeen' => 17,
        'eighteen' => 18, 'nineteen' => 19];

    private const TENS = ['twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80,
        'ninety' => 90];

    private const FRACTIONS = ['½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4'];

    /** What is no number of plants, and what it is called in the question. */
    private const MEASURES = [
        'row' => 'rows?', 'packet' => 'packets?|pkts?|packs?|envelopes?|sachets?', 'length' => 'ft|feet|foot|metres?|meters?|m|yards?|yds?',
        'bed' => '(?:raised )?beds?|patch(?:es)?|plots?', 'area' => '(?:sq\.?|square) ?(?:ft|feet|foot|m|metres?|meters?)', 'tray' => 'trays?|flats?(?! (?:parsley|leaf|leaved|italian))',
        'bunch' => 'bunch(?:es)?|hills?|mounds?', 'pot' => 'pots?(?! marigold)|tubs?|containers?|boxes|box|bags?|punnets?', 'weight' => 'g|grams?|kg|oz|ounces?|lbs?|pounds?',
        'seed' => 'seeds?', 'handful' => 'handfuls?|pinch(?:es)?',
    ];

    private const VAGUE = 'every|per|\d+ (?:kinds?|sorts?|types?|varieties)|no(?!\.)|not|without|instead of|some|a few|few|lots(?: of)?|a lot of|plenty(?: of)?|several|many|loads(?: of)?|enough|a handful of|as many as possible';

    private const ABOUT = 'about|approx(?:imately)?\.?|around|roughly|circa|ca\.?|c\.|up to|at least|at most|max(?:imum)?\.?|min(?:imum)?\.?|say';

    private const PLANTS = 'plants?|seedlings?|starts?|transplants?|plugs?|plug plants?|clumps?|no\.?|nos\.?|pcs|pieces|each|ea\.?';

    /**
     * @param  ?int  $plants  null where no number stands there, or it has to be asked
     * @param  string  $words  the rest
     * @param  ?string  $ask  what has to be asked: a key of MEASURES, "vague", "number", "several" or "many"
     * @param  ?string  $said  the amount as it was written, where it is asked
     */
    private function __construct(public ?int $plants, public string $words, public ?string $ask = null, public ?string $said = null)
    {
    }

    /** @return list<string> an entry that holds several crops with a number each, parted: "2 tomato 3 basil" */
    public static function parted(string $entry): array
    {
        $entry = (string) preg_replace('/(?<=\s)[x×](?=\d)/u', '', self::inDigits($entry));
        if (preg_match('/^\d+\s*[x×]\s*\d/u', $entry) === 1) {
            return [$entry];
        }
        $amount = '(?<![\p{L}\d.\/,-])\d+(?:\s*(?:x|×))?(?=\s)';
        $first = preg_split("/(?<=\p{L})\s+(?={$amount}\s+\p{L})/u", $entry) ?: [$entry];
        if (count($first) > 1 && preg_match('/^\d/', $entry) === 1) {
            return $first;
        }
        // "tomato 2 basil 3": each number ends its crop.
        $last = preg_split('/(?<=\s\d|\s\d\d|\s\d\d\d)\s+(?=\p{L})/u', $entry) ?: [$entry];

        return count($last) > 1 && preg_match('/^\p{L}.*\d$/u', $entry) === 1 ? $last : [$entry];
    }

    public static function parse(string $entry): self
    {
        $text = ' '.self::inDigits($entry).' ';
        $text = (string) preg_replace('/(?<=[\s(~])(?:'.self::ABOUT.')(?=\s+\d)|~\s*(?=\d)/iu', '', $text);
        if (preg_match('/(?<=\s)-\d|(?<![\p{L}\d])\d+(?:\.\d+|,\d{1,2}(?!\d)|\s*[x×]\s*\d)|(?<![\p{L}\d])\d+ \d{3}\b/u', $text, $odd) === 1) {
            return new self(null, self::tidy(str_replace($odd[0], ' ', $text)), 'number', trim($odd[0]));
        }
        $text = (string) preg_replace_callback('/(?<![\p{L}\d])(\d+)?\s*(?:x\s*)?\b(six|four|6|4)[- ]?packs?\b(?:\s+of\b)?/iu',
            fn (array $m): string => ' '.((int) ($m[1] === '' ? 1 : $m[1])) * (in_array(strtolower($m[2]), ['six', '6'], true) ? 6 : 4).' ', $text);
        foreach (self::MEASURES as $what => $words) {
            if (preg_match("/(?<![\p{L}\d])((?:\d+(?: \d\/\d|\/\d)?|half an?|half|an?)\s*(?:(?:short|long|small|large|big|full|double|single|whole) )?(?:{$words}))\b(?:\s+of\b)?/iu", $text, $found) === 1) {
                return new self(null, self::tidy(str_replace($found[0], ' ', $text)), $what, trim($found[1]));
            }
        }
        if (preg_match('/(?<![\p{L}\d])('.self::VAGUE.')(?![\p{L}\d])/iu', $text, $found) === 1) {
            return new self(null, self::tidy(str_replace($found[0], ' ', $text)), 'vague', trim($found[1]));
        }

        if (preg_match('/(?<![\p{L}\d])(?:\d+ )?\d\/\d(?![\p{L}\d])/u', $text, $part) === 1) {
            return new self(null, self::tidy(str_replace($part[0], ' ', $text)), 'number', $part[0]);
        }

        return self::counted($text);
    }

    private static function counted(string $text): self
    {
        $number = '\d{1,3}(?:,\d{3})+|\d+';
        $around = "/(?<![\p{L}\d.\/])[(\[]?\s*(?:[x×*=:]\s*)?({$number})\s*[)\]]?\s*(?:(?:x|×|\*)(?!\p{L}))?\s*:?\s*(?:(?:".self::PLANTS.')\b)?(?:\s*of\b)?(?=[\s,.;]|$)/iu';
        $found = preg_match_all($around, $text, $matches);
        if ($found === 0 || $found === false) {
            $plain = (string) preg_replace('/(?<![\p{L}\d])(?:'.self::PLANTS.')(?:\s+of)?(?=\s)/iu', ' ', $text);
            // "a pumpkin" is one.
            $one = preg_match('/^\s*an?\s+/iu', $text) === 1;

            return new self($one ? 1 : null, self::tidy((string) preg_replace('/^\s*an?\s+/iu', '', $plain)));
        }
        if ($found > 1) {
            return new self(null, self::tidy((string) preg_replace($around, ' ', $text)), 'several', implode(', ', $matches[1]));
        }
        $plants = (int) str_replace(',', '', $matches[1][0]);
        $words = self::tidy((string) preg_replace('/(?<=\s)(?:'.self::PLANTS.')(?=\s|$)/iu', ' ', str_replace($matches[0][0], ' ', $text)));

        return match (true) {
            $plants < 1 => new self(null, $words, 'number', $matches[1][0]),
            $plants > self::most() => new self(null, $words, 'many', $matches[1][0]),
            default => new self($plants, $words),
        };
    }

    /** As many plants of a crop as a season can hold. */
    public static function most(): int
    {
        $most = SeasonSchema::get()->at(['crops', 0, 'wanted'])->maximum ?? null;

        return is_int($most) ? $most : PHP_INT_MAX;
    }

    /** Numbers in words, fractions and dozens as digits. */
    private static function inDigits(string $entry): string
    {
        $text = strtr($entry, self::FRACTIONS);
        $ones = implode('|', array_keys(self::ONES));
        $tens = implode('|', array_keys(self::TENS));
        $value = fn (string $word): int => self::ONES[mb_strtolower($word)] ?? self::TENS[mb_strtolower($word)] ?? 0;
        $atEdge = fn (string $pattern): string => "/^\s*(?:{$pattern})(?=\s|$)/iu";
        $text = (string) preg_replace_callback($atEdge("({$tens})[- ]({$ones})"), fn (array $m): string => (string) ($value($m[1]) + $value($m[2])), $text);
        $text = (string) preg_replace_callback($atEdge("({$tens}|{$ones})(?!-pack)"), fn (array $m): string => (string) $value($m[1]), $text);
        // A number in words at the end, after what separates it: "basil = four".
        $text = (string) preg_replace_callback("/(?<=[=:(,-] )({$tens}|{$ones})\)?\s*$/iu", fn (array $m): string => (string) $value($m[1]), $text);
        $text = (string) preg_replace_callback("/^\s*(?:a|one|1) hundred(?:(?: and)? ({$tens}|{$ones}))?\b/iu", fn (array $m): string => (string) (100 + $value($m[1] ?? '')), $text);
        $text = (string) preg_replace(['/\b(?:a )?couple(?: of)?\b/iu', '/\b(?:a )?pair(?: of)?\b/iu', '/\.{2,}|…/u'], ['2', '2', ' '], $text);
        // A range takes its larger number.
        $text = (string) preg_replace('/(?<![\p{L}\d])(\d+)\s*(?:-|–|—|to|or)\s*(\d+)(?![\p{L}\d])/iu', '$2', $text);
        $text = (string) preg_replace(['/\b(?:an?|one|1) dozen and a half\b/iu', '/(?<=\d)\+(?=\s)/u'], ['18', ''], $text);
        $dozens = fn (array $m): string => (string) (int) round(12 * self::number($m[1]));

        return trim((string) preg_replace_callback('/(?<![\p{L}\d])(\d+ \d\/\d|\d\/\d|\d+|half an?|half|an?|)\s*(?:dozens?|doz\.?|dz\.?)(?![\p{L}])(?:\s+of\b)?/iu', $dozens, $text));
    }

    private static function number(mixed $written): float
    {
        $said = is_string($written) ? trim($written) : '';
        if (preg_match('/^(?:(\d+) )?(\d)\/(\d)$/', $said, $parts) === 1) {
            return (float) $parts[1] + (float) $parts[2] / max(1.0, (float) $parts[3]);
        }

        return match (true) {
            is_numeric($said) => (float) $said,
            str_starts_with(mb_strtolower($said), 'half') => 0.5,
            default => 1.0,
        };
    }

    private static function tidy(string $words): string
    {
        return (string) preg_replace(['/\s+/u', '/^[\s×*=–—:.,;()\[\]…~#-]+|[\s×*=–—:.,;()\[\]…~#-]+$/u', '/^x\s+|\s+x$/u'], [' ', '', ''], $words);
    }
}
