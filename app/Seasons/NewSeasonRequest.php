<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Http\Text;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use JollyPenny\Core\Deciding\Advising\FirstList;
use JollyPenny\Core\Plan\Drafting\GuessedAnswers;
use JollyPenny\Core\Plan\Drafting\PastedLine;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
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

    /** @return array<string, list<string|Closure>> */
    public function rules(): array
    {
        return [
            'from' => ['bail', 'required', 'string', 'in:demo,file,answers'],
            'demo' => ['nullable', 'in:'.implode(',', DemoSeason::NAMES)],
            'text' => ['required_if:from,file', 'string', 'max:'.JsonText::MAX_BYTES],
            'name' => ['nullable', 'string', 'max:200'],
            'last_frost' => ['bail', 'nullable', 'required_if:from,answers', 'string', 'date_format:Y-m-d'],
            'first_frost' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', $this->isAfterLastFrost(...)],
            'frostless' => ['nullable', 'boolean'],
            'rate' => ['required_if:from,answers', 'nullable', 'numeric', 'between:0,1000'],
            'currency' => ['nullable', 'in:'.implode(',', array_keys(PriceLevel::all()))],
            'metric' => ['nullable', 'boolean'],
            'have' => ['nullable', 'array'],
            'guessed' => ['nullable', 'array'],
            'guessed.*' => ['in:'.implode(',', GuessedAnswers::PATHS)],
            'list' => ['nullable', 'string', 'max:20000'],
            'have.*' => ['in:'.implode(',', array_keys(Starter::THINGS))],
        ];
    }

    /** The framework's own rule fails on what is no text. */
    private function isAfterLastFrost(string $attribute, string $value, Closure $fail): void
    {
        if (Text::in($this, 'last_frost') >= $value) {
            $fail('The first frost comes after the last one: give the date in the autumn that follows, or leave it open.');
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'last_frost.*' => 'Give the date of your last frost as year-month-day: 2027-05-28.',
            'first_frost.*' => 'Give the date of your first frost as year-month-day, 2027-10-08, or leave it open.',
            'currency.*' => 'The catalogue has no prices in that currency. Choose one of the list; your own prices come later.',
            'rate.*' => 'Give the price of a kWh as a number from 0 to 1000.',
            'text.max' => 'The file is over 5 MB. A season is far smaller: check that it is the right file.',
            'list.max' => 'The list is too long. Give at most 20,000 letters; add the rest afterwards.',
            'text.required_if' => 'The file is empty. Give a season file.',
            'from.*' => 'A season begins from one of these: demo, file, answers.',
            'demo.*' => 'There is no such example. Choose from these: '.implode(', ', DemoSeason::NAMES).'.',
            'have.*' => 'There is no such equipment. Choose from these: '.implode(', ', array_keys(Starter::THINGS)).'.',
            'guessed.*' => 'These answers can be guesses: '.implode(', ', GuessedAnswers::PATHS).'.',
        ];
    }

    /**
     * The new season's document, checked.
     *
     * @throws InvalidSeason
     */
    public function document(): stdClass
    {
        $document = match (Text::in($this, 'from')) {
            'file' => JsonText::parse(Text::in($this, 'text')),
            'answers' => $this->answers(),
            default => DemoSeason::document($this->demo()),
        };
        (new SeasonReader)->readDocument($document);

        return $document;
    }

    /** Which of the made-up seasons; empty for any other. */
    public function demo(): string
    {
        return Text::in($this, 'from') === 'demo' ? Text::in($this, 'demo') ?: DemoSeason::NAMES[0] : '';
    }

    private function answers(): stdClass
    {
        $frost = Day::parse(Text::in($this, 'last_frost'));
        /** @var list<string> $have */
        $have = array_values((array) $this->input('have', []));

        $document = Starter::season(Text::in($this, 'name') ?: 'Spring '.$frost->year(), $frost, $this->float('rate'),
            Text::in($this, 'currency') ?: 'USD', $this->boolean('metric'), $have,
            $this->filled('first_frost') ? Day::parse(Text::in($this, 'first_frost')) : null, $this->boolean('frostless'));
        /** @var list<string> $guessed */
        $guessed = array_values((array) $this->input('guessed', []));
        GuessedAnswers::mark($document, $guessed);
        $this->asked = FirstList::add($document, Text::in($this, 'list'));

        return $document;
    }
}
