<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\CatalogueFile;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Catalogue\SpeciesNames;

/**
 * A grow list as people write it: "8 sweet pepper, 6 paste tomato, 24 lettuce", a line each, or cells of a spreadsheet. What it does not
 * understand for certain it asks, and never takes for something else.
 */
final readonly class PastedList
{
    public const MOST = 200;

    private const MOST_LETTERS = 200;

    private const AUTUMN = '/[(\[]?\b(?:for (?:the )?)?(?:autumn|fall)\b[)\]]?/iu';

    /** Words that say more of the crop before them. */
    private const OF_A_KIND = '/^(?:(?:red|white|yellow|purple|pink|blue|orange|green|black|gold(?:en)?|mixed|mix|dwarf|tall|early|late|giant|mini|baby|double|single|bush|pole|climbing|trailing|scented|cut flower)\s*)+$/iu';

    /** A comma, a word or a slash between two crops. */
    private const BETWEEN_CROPS = ',(?!\d{3}\b)(?!(?<=^\d,|^\d\d,|^\d\d\d,|, \d,|, \d\d,)\d{1,2}\s*\p{L})'
        .'|\s+(?:and|&|\+|plus)\s+(?=.*\p{L})'
        .'|(?<=[\p{L}\d\s])\/(?=\s*\p{L}|\s+\d)|(?<=[\p{L}\s])\/(?=\s*[\p{L}\d])';

    /** @var list<PastedLine> */
    public array $lines;

    private SpeciesNames $names;

    /** @param  array<string, SpeciesFacts>  $species  by id */
    public function __construct(string $text, array $species, private bool $metric = true)
    {
        $this->names = new SpeciesNames($species);
        $lines = [];
        foreach (preg_split('/[\r\n;]+/u', $text) ?: [] as $row) {
            foreach ($this->entries($row) as $entry) {
                $lines[] = $this->line($entry);
            }
        }
        $this->lines = array_slice($lines, 0, self::MOST);
    }

    /** @return list<string> the crops of one row: of a list of several, or of the cells of one */
    private function entries(string $row): array
    {
        // Bullets, boxes to tick and the numbers of a list are not of the crop.
        $row = (string) preg_replace('/^[\s"\']*(?:[•*·]|-(?=\s))?\s*(?:\[[ xX✓]?\])?\s*|[\s"\']+$/u', '', $row);
        $row = (string) preg_replace('/^#?\d+[.)]\s+(?=.*\d)|^#\d+\s+(?=.*\d)/u', '', $row);
        // A tab separates the cells of one spreadsheet row; a comma separates crops, unless it stands in a number: "1,200 leeks", "2,5 leeks".
        $row = trim((string) preg_replace('/\t+/u', ' ', $row));
        $row = (string) preg_replace(['/\b(?:an?|one|1) dozen and a half\b/iu', '/\b(?:half an?|half) dozen(?= (?:of )?each)|\bhalf a dozen(?= each)/iu', '/\bone(?= (?:of )?each)/iu', '/\bhundred and\b/iu'],
            ['18', '6', '1', 'hundred'], $row);
        // "2 each of basil and parsley", "basil and parsley, 2 each".
        $each = preg_match('/^(\d+(?: \p{L}+)?) (?:of )?each(?: of)?\b[:,]?|[,:]? (\d+) (?:of )?each$/iu', $row, $found) === 1 ? $found[2] ?? $found[1] : null;
        $row = $each === null ? $row : trim(str_replace($found[0], '', $row));
        $parts = preg_split('/'.self::BETWEEN_CROPS.'/u', $row) ?: [];
        $entries = [];
        foreach (array_filter(array_map(trim(...), $parts), fn (string $part): bool => $part !== '') as $part) {
            $last = array_key_last($entries);
            if ($last !== null && $this->goesWith($entries[$last], $part)) {
                $entries[$last] .= " {$part}";
            } else {
                $entries[] = $part;
            }
        }
        $parted = array_merge(...array_map(WrittenAmount::parted(...), array_map(fn (string $entry): string => $each === null ? $entry : "{$each} {$entry}", $entries)));

        return array_values(array_filter($parted, fn (string $entry): bool => preg_match('/\p{L}/u', $entry) === 1));
    }

    /** "Lettuce, Little Gem, 12": a cell that says more of the crop before it, and is none of its own. */
    private function goesWith(string $before, string $part): bool
    {
        $has = WrittenAmount::parse($before);
        $is = WrittenAmount::parse($part);
        if (preg_match('/\p{L}/u', $before) !== 1) {
            // A cell with the number before the one with the crop: "3, tomato".
            return ! self::saysHowMany($is);
        }
        if ($this->names->find($before) === null) {
            // A variety before its species: "Brandywine, tomato, 4".
            return ! self::saysHowMany($has) && $this->names->nearest($before) !== [] && ! self::isWhole($is);
        }
        if (preg_match(self::OF_A_KIND, $part) === 1) {
            return true;
        }
        $says = trim((string) preg_replace(self::AUTUMN, '', $is->words));
        if (! self::saysHowMany($is) && $this->isVarietyOf($says, $has->words)) {
            return true;
        }
        $isCrop = $says !== '' && ($this->names->find($says) !== null || $this->names->isOfSeveral($says)) && ! $this->names->isKind($says);

        return ! $isCrop && (self::saysHowMany($is) ? ! self::saysHowMany($has) : ! self::saysHowMany($has) || $says === '');
    }

    /** "Brandywine" after "12 tomato", which names no variety yet. */
    private function isVarietyOf(string $words, string $before): bool
    {
        $species = $this->names->find($before);

        return $species !== null && $this->names->find($words)?->id === $species->id
            && $this->names->variety($before, $species) === '' && $this->names->variety($words, $species) === $words;
    }

    private static function saysHowMany(WrittenAmount $amount): bool
    {
        return $amount->plants !== null || $amount->ask !== null;
    }

    private static function isWhole(WrittenAmount $amount): bool
    {
        return self::saysHowMany($amount) && preg_match('/\p{L}/u', $amount->words) === 1;
    }

    private function line(string $entry): PastedLine
    {
        $isAutumn = preg_match(self::AUTUMN, $entry) === 1;
        $amount = WrittenAmount::parse(trim((string) preg_replace(self::AUTUMN, ' ', $entry)));
        $instead = $this->notFromSeed($amount->words);
        $found = $instead === null ? $this->names->find($amount->words) : null;
        $variety = mb_substr($found === null ? $amount->words : $this->names->variety($amount->words, $found), 0, self::MOST_LETTERS);
        $question = $instead ?? ($found === null ? $this->which($amount->words) : $this->howMany($amount, $found));

        return new PastedLine($entry, $amount->plants, $found?->id, $variety, $isAutumn, $question,
            $found === null && $instead === null ? $this->names->nearest($amount->words) : [],
            $found === null && $instead === null && ! $this->names->isOfSeveral($amount->words));
    }

    private function which(string $words): string
    {
        if ($this->names->isOfSeveral($words)) {
            $names = array_map(fn (SpeciesFacts $facts): string => mb_strtolower($facts->name), $this->names->nearest($words));

            return "“{$words}” can be ".implode(' or ', array_slice($names, 0, 2)).'. Which is it?';
        }

        return "“{$words}” is not in the catalogue. What does it grow much like?";
    }

    private function howMany(WrittenAmount $amount, SpeciesFacts $species): ?string
    {
        if ($amount->ask === null) {
            return null;
        }
        $name = mb_strtolower($species->name);

        return match ($amount->ask) {
            'number' => "“{$amount->said}” is no number of plants. How many plants of {$name} do you want?",
            'many' => "“{$amount->said}” is more than a season can hold. How many plants of {$name} do you want, up to ".WrittenAmount::most().'?',
            'several' => "Which number is it for {$name}: {$amount->said}?",
            'vague' => "“{$amount->said}” {$name}: how many plants do you want?",
            'packet', 'seed', 'weight' => "“{$amount->said}” says how much seed. How many plants of {$name} do you want?",
            default => "“{$amount->said}” of {$name}: how many plants is that?".$this->room($amount->ask, $species),
        };
    }

    /** What room such plants want, where that helps to say how many there are. */
    private function room(string $measure, SpeciesFacts $species): string
    {
        if (! in_array($measure, ['row', 'length', 'bed', 'area'], true)) {
            return '';
        }
        [$what, $centimetres] = $this->metric ? ['A metre', 100.0] : ['Ten feet', 304.8];
        if ($measure === 'bed' || $measure === 'area') {
            return sprintf(' %s holds about %d.', $this->metric ? 'A square metre' : 'Ten square feet',
                max(1, (int) round(($this->metric ? 10_000.0 : 9_290.304) / $species->spacingCm ** 2)));
        }

        return sprintf(' %s of a row holds about %d.', $what, max(1, (int) round($centimetres / $species->spacingCm)));
    }

    /** What to do instead, where it is not raised from seed. */
    private function notFromSeed(string $words): ?string
    {
        foreach (CatalogueFile::rows('not-from-seed') as $row) {
            if (preg_match('/\b(?:'.$row['words'].')(?:e?s)?\b/iu', $words) === 1) {
                return "{$row['name']} is not raised from seed: {$row['instead']}.";
            }
        }

        return null;
    }
}
