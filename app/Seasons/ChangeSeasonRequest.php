<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Http\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Plan\Editing\Change;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\JsonText;
use stdClass;

/** {"changes": [{"path": ["lights", "led", "hours_per_day"], "from": 16, "to": 14}], "label": "lamp hours", "setup": "bench"} */
final class ChangeSeasonRequest extends FormRequest
{
    private const MOST = 500;

    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'changes' => ['required', 'array', 'min:1', 'max:'.self::MOST],
            'changes.*.path' => ['required', 'array', 'min:1', 'max:8'],
            'setup' => ['nullable', 'string'],
            'label' => ['nullable', 'string', 'max:200'],
            'knows' => ['nullable', 'integer', 'min:0'],
        ];
    }

    public function label(): string
    {
        return Text::in($this, 'label');
    }

    /**
     * Read from the body itself, so that an object stays an object and a number a number.
     *
     * @return non-empty-list<Change>
     */
    public function changes(): array
    {
        $changes = [];
        $rows = JsonText::parse((string) $this->getContent())->changes ?? [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            $keys = $row instanceof stdClass && is_array($row->path ?? null) ? array_values($row->path) : [];
            if ($keys === [] || array_filter($keys, fn (mixed $key): bool => ! is_string($key) && ! is_int($key)) !== []) {
                throw ValidationException::withMessages(['changes' => 'Each change needs a path of keys.']);
            }
            $changes[] = new Change(new DocumentPath($keys), $row->from ?? null, $row->to ?? null);
        }

        return $changes === [] ? throw ValidationException::withMessages(['changes' => 'Name what is to change.']) : $changes;
    }
}
