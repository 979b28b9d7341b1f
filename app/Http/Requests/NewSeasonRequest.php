<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Seasons\DemoSeason;
use Illuminate\Foundation\Http\FormRequest;
use JollyPenny\Core\Advising\FirstList;
use JollyPenny\Core\Catalogue\PriceLevel;
use JollyPenny\Core\Drafting\PastedLine;
use JollyPenny\Core\Drafting\Starter;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\File\SeasonReader;
use stdClass;

/** A new season: {"from": "demo"}, {"from": "file", "text": "…"} or {"from": "answers", "last_frost", "rate", "have", …}. */
final class NewSeasonRequest extends FormRequest
{
    /** @var list<PastedLine> lines of the first list that have to be asked about */
    public array $asked = [];

    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'in:demo,file,answers'],
            'demo' => ['nullable', 'in:'.implode(',', DemoSeason::NAMES)],
            'text' => ['required_if:from,file', 'string', 'max:'.JsonText::MAX_BYTES],
            'name' => ['nullable', 'string', 'max:200'],
            'last_frost' => ['required_if:from,answers', 'date_format:Y-m-d'],
            'first_frost' => ['nullable', 'date_format:Y-m-d', 'after:last_frost'],
            'frostless' => ['nullable', 'boolean'],
            'rate' => ['required_if:from,answers', 'numeric', 'between:0,1000'],
            'currency' => ['nullable', 'in:'.implode(',', array_keys(PriceLevel::all()))],
            'metric' => ['nullable', 'boolean'],
            'have' => ['nullable', 'array'],
            'list' => ['nullable', 'string', 'max:20000'],
            'have.*' => ['in:'.implode(',', array_keys(Starter::THINGS))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'last_frost.*' => 'Give the date of your last frost as year-month-day: 2027-05-28.',
            'first_frost.after' => 'The first frost comes after the last one: give the date in the autumn that follows, or leave it open.',
            'first_frost.*' => 'Give the date of your first frost as year-month-day, 2027-10-08, or leave it open.',
            'currency.*' => 'The catalogue has no prices in that currency. Choose one of the list; your own prices come later.',
            'rate.*' => 'Give the price of a kWh as a number from 0 to 1000.',
            'text.max' => 'The file is over 5 MB. A season is far smaller: check that it is the right file.',
            'list.max' => 'The list is too long. Give at most 20,000 letters; add the rest afterwards.',
            'text.required_if' => 'The file is empty. Give a season file.',
        ];
    }

    /**
     * The new season's document, checked.
     *
     * @throws InvalidSeason
     */
    public function document(): stdClass
    {
        $document = match ($this->string('from')->value()) {
            'file' => JsonText::parse($this->string('text')->value()),
            'answers' => $this->answers(),
            default => DemoSeason::document($this->demo()),
        };
        (new SeasonReader)->readDocument($document);

        return $document;
    }

    /** Which of the made-up seasons; empty for any other. */
    public function demo(): string
    {
        return $this->string('from')->value() === 'demo' ? $this->string('demo')->value() ?: DemoSeason::NAMES[0] : '';
    }

    private function answers(): stdClass
    {
        $frost = Day::parse($this->string('last_frost')->value());
        /** @var list<string> $have */
        $have = array_values((array) $this->input('have', []));

        $document = Starter::season($this->string('name')->value() ?: 'Spring '.$frost->year(), $frost, $this->float('rate'),
            $this->string('currency')->value() ?: 'USD', $this->boolean('metric'), $have,
            $this->filled('first_frost') ? Day::parse($this->string('first_frost')->value()) : null, $this->boolean('frostless'));
        $this->asked = FirstList::add($document, $this->string('list')->value());

        return $document;
    }
}
