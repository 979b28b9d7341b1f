<?php

declare(strict_types=1);

namespace App\Seasons;

use stdClass;

/** What goes with a row that is taken out: a set-up's word on a crop that is no more, a crop's offer, a set-up's lamp. */
final class Cascade
{
    /** Lists in which a row of another may be named by its id: list and key. */
    private const NAMED = [
        'nursery' => [['crops', 'nursery']],
        'lights' => [['setups', 'lights']],
        'mats' => [['setups', 'mats']],
        'appliances' => [['setups', 'appliances']],
        'gear' => [['setups', 'gear'], ['methods', 'needs']],
    ];

    /** @return list<Change> in the order in which they have to be made before the removal */
    public static function before(stdClass $document, Change $removal): array
    {
        $keys = $removal->path->keys;
        if (count($keys) !== 2 || $removal->to !== null) {
            return [];
        }
        [$list, $id] = $keys;
        $changes = [];
        /** @var list<stdClass> $setups */
        $setups = $list === 'crops' ? $document->setups : [];
        foreach ($setups as $setup) {
            if (isset($setup->overrides->{$id})) {
                $overrides = clone $setup->overrides;
                unset($overrides->{$id});
                $changes[] = Change::in($document, new DocumentPath(['setups', $setup->id, 'overrides']), $overrides);
            }
        }
        foreach (self::NAMED[$list] ?? [] as [$other, $key]) {
            /** @var stdClass $row */
            foreach ($document->{$other} ?? [] as $row) {
                if (in_array($id, $row->{$key} ?? [], true)) {
                    $changes[] = Change::in($document, new DocumentPath([$other, $row->id, $key]), array_values(array_diff($row->{$key}, [$id])));
                }
            }
        }

        return $changes;
    }
}
