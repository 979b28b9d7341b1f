<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;
use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\ReadyMade;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Plan\Drafting\Things;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\SeasonReader;
use RuntimeException;
use stdClass;

/** Somebody who types a season into the screens, and writes the same into a season file, beside, in the file's own units. */
final class Gardener
{
    public readonly stdClass $file;

    private string $season = '';

    /** @param  list<string>  $have */
    public function __construct(
        private readonly BrowserTestCase $test,
        string $frost,
        string $rate,
        string $currency,
        bool $metric,
        array $have,
        string $list,
    ) {
        $this->file = Starter::season('By hand', Day::parse($frost), (float) $rate, $currency, $metric, $have);
        (new GrowList(new SeasonDraft($this->file)))->addPasted($list);
        $this->test->visit('/begin');
        $this->test->find('[data-question="1"]');
        $this->fill('[data-part="answers"] input[type="date"]', $frost);
        $this->next(2);
        $this->retype('[data-part="answers"] input[inputmode="decimal"]', $rate);
        $this->currency($currency);
        $this->test->click("[data-part='answers'] input[type='radio'][value='".($metric ? 'true' : 'false')."']");
        $this->next(3);
        foreach ($have as $thing) {
            $this->test->click("[data-part='answers'] input[type='checkbox'][value='{$thing}']");
        }
        $this->next(4);
        $this->test->find('[data-part="answers"] textarea')->sendKeys($list);
        $this->test->click('[data-part="answers"] button[type="submit"]');
        $this->test->find('[data-part="first-answer"] dd');
        $this->test->waitFor(fn () => preg_match('#^/seasons/\d+/#', $this->test->path()) === 1 ?: null, 'the new season');
        $this->season = (string) preg_replace('#^(/seasons/\d+)/.*#', '$1', $this->test->path());
        // What follows is typed into what is theirs, whichever set-up was recommended.
        $this->test->browser->executeScript('localStorage.setItem(arguments[0], "own")', ['jolly-penny-setup-'.basename($this->season)]);
        $this->screen('list');
    }

    /** The next question of a new garden. */
    private function next(int $question): void
    {
        $this->test->click('[data-part="answers"] button[type="submit"]');
        $this->test->find("[data-question='{$question}'] h1");
    }

    public function screen(string $name): void
    {
        $this->saved();
        $this->test->visit("{$this->season}/{$name}");
        $this->test->find('h1');
        $this->saved();
        $this->open();
    }

    /** Types a number or a name into a field, and writes it into the file. */
    public function types(string $field, string $typed, array $path, mixed $value): void
    {
        $this->reaches("input[name='{$field}']");
        $this->test->type($field, $typed);
        $this->put($path, $value);
    }

    /** Chooses in a list by its words. */
    public function picks(string $select, string $option, array $path, mixed $value): void
    {
        $this->open();
        $this->test->waitFor(function () use ($select, $option): ?bool {
            (new WebDriverSelect($this->test->find("select[name='{$select}']")))->selectByValue($option);

            return true;
        }, "{$option} in {$select}");
        $this->put($path, $value);
    }

    public function ticks(string $box, array $path, mixed $value): void
    {
        $this->open();
        $this->test->click("input[name='{$box}']");
        $this->put($path, $value);
    }

    /** Adds something of the catalogue, or of one's own. */
    public function adds(string $list, ?string $catalogue, int $count = 1, ?string $place = null, ?string $setup = null, string $button = ''): void
    {
        $this->saved();
        if ($count > 1) {
            $this->test->type(($button ?: $list).'.number', (string) $count);
        }
        $this->test->click('[data-add="'.($button ?: $list).'"]');
        $this->test->click("[data-menu-id\$='-{$list}:".($catalogue ?? 'own')."']");
        $this->saved();
        (new Things(new SeasonDraft($this->file)))->add($list, $catalogue, '', $place, $setup, $count);
        if ($list === 'places') {
            // A new place is gone to.
            $name = $this->file->places[count($this->file->places) - 1]->name;
            $this->test->waitFor(fn () => str_starts_with($this->test->text('h1'), $name) ?: null, $name);
        }
    }

    public function setUp(string $readyMade): void
    {
        $this->saved();
        $this->test->click('[data-add-setup]');
        $this->test->click("[data-menu-id\$='-made:{$readyMade}']");
        $this->saved();
        (new ReadyMade(new SeasonDraft($this->file)))->add($readyMade);
    }

    /** The method whose sentences are on screen. */
    public function reads(string $method): void
    {
        $this->test->click('[data-add-method]');
        $name = $this->row($this->file->methods, $method)->name;
        // By its key: two methods may have the same name.
        $this->test->click("[data-menu-id\$='-m:{$method}']");
        $this->test->waitFor(fn () => $this->test->find('input[name="method_name"]')->getAttribute('value') === $name ?: null, $name);
    }

    /** The place of the bench that is on screen. */
    public function goesTo(string $place): void
    {
        $name = $this->row($this->file->places, $place)->name;
        $this->test->click('.list-tools label:nth-of-type(2) .ant-select');
        $this->test->waitFor(fn () => $this->chosen($name, '.ant-select-item-option-content'), "\"{$name}\" among the places");
        $this->test->waitFor(fn () => str_starts_with($this->test->text('h1'), $name) ?: null, $name);
    }

    /** The set-up whose figures are on screen. */
    public function shows(string $setup): void
    {
        $name = $this->row($this->file->setups, $setup)->name;
        $this->test->click('.list-tools .ant-select');
        $this->test->waitFor(fn () => $this->chosen($name, '.ant-select-item-option-content'), "\"{$name}\" among the set-ups");
        $this->saved();
    }

    public function presses(string $css): void
    {
        $this->open();
        $this->test->click($css);
        $this->saved();
    }

    /** @param  list<string|int>  $path  rows by their id */
    public function put(array $path, mixed $value): void
    {
        $at = $this->file;
        $last = array_pop($path);
        foreach ($path as $step) {
            $next = is_array($at) ? (is_int($step) ? $at[$step] : $this->row($at, $step)) : ($at->{$step} ?? null);
            if ($next === null) {
                $next = $at->{$step} = new stdClass();
            }
            $at = $next;
        }
        $at->{$last} = $value;
    }

    /** @return array{array<string, mixed>, array<string, mixed>} what the screens' season comes to, and what the file does */
    public function bothComeTo(): array
    {
        $this->saved();
        $id = (int) preg_replace('/\D/', '', $this->season);
        $typed = $this->test->api("/api/seasons/{$id}/file");

        return [self::comesTo((string) json_encode($typed)), self::comesTo((string) json_encode($this->file))];
    }

    public function saved(): void
    {
        $this->test->waitFor(function (): ?bool {
            $status = $this->test->browser->findElements(WebDriverBy::cssSelector('[data-status]'))[0] ?? null;

            return $status === null || $status->getAttribute('data-status') === 'saved' ?: null;
        }, 'everything to be saved', 20);
    }

    /** @return array<string, mixed> */
    private static function comesTo(string $json): array
    {
        $season = (new SeasonReader())->readDocument(json_decode($json, false, 64, JSON_THROW_ON_ERROR));

        return json_decode((string) json_encode((new SeasonCosting($season))->result()), true);
    }

    /** @param  list<stdClass>  $rows */
    private function row(array $rows, string $id): stdClass
    {
        foreach ($rows as $row) {
            if (($row->id ?? null) === $id) {
                return $row;
            }
        }
        throw new RuntimeException("The file has no \"{$id}\": ".implode(', ', array_column($rows, 'id')));
    }

    /** Opens what is folded, until the field stands there: a screen may be drawn anew meanwhile. */
    private function reaches(string $css): void
    {
        $this->test->waitFor(function () use ($css): ?bool {
            $this->open();

            return ($this->test->browser->findElements(WebDriverBy::cssSelector($css))[0] ?? null)?->isDisplayed() ?: null;
        }, "{$css} to be reached");
    }

    private function open(): void
    {
        $this->test->browser->executeScript('document.querySelectorAll("main details").forEach((d) => { d.open = true; })');
    }

    private function chosen(string $words, string $css): ?bool
    {
        foreach ($this->test->browser->findElements(WebDriverBy::cssSelector($css)) as $item) {
            try {
                if (str_starts_with($item->getText(), $words)) {
                    $this->test->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$item]);
                    $item->click();

                    return true;
                }
            } catch (StaleElementReferenceException|\Facebook\WebDriver\Exception\ElementClickInterceptedException|\Facebook\WebDriver\Exception\ElementNotInteractableException) {
                return null;
            }
        }

        return null;
    }

    private function retype(string $css, string $text): void
    {
        $this->test->click($css);
        $this->test->find($css)->sendKeys([\Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $this->test->find($css)->sendKeys($text);
    }

    private function fill(string $css, string $value): void
    {
        $this->test->browser->executeScript(
            'const input = document.querySelector(arguments[0]); Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(input, arguments[1]);
            input.dispatchEvent(new Event("input", { bubbles: true }));',
            [$css, $value],
        );
    }

    private function currency(string $currency): void
    {
        $this->test->click('[data-part="answers"] .ant-select');
        $this->test->browser->getKeyboard()->sendKeys($currency);
        $this->test->waitFor(fn () => str_contains($this->test->text('.ant-select-item-option-active'), $currency) ?: null, $currency);
        $this->test->browser->getKeyboard()->sendKeys(\Facebook\WebDriver\WebDriverKeys::ENTER);
    }
}
