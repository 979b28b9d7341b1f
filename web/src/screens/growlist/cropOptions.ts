import { useMemo } from 'react';
import type { Season, SpeciesFacts } from '../../api/types';
import { useCatalogue } from '../../season/useCatalogue';

const LETTERS = 2;
const SHOWN = 10;

export interface CropOption {
  value: string;
  name: string;
  hint: string;
  body: { species?: string; lot?: string };
}

const weeks = (facts: SpeciesFacts): string => {
  if (facts.raising === 'root' || facts.raising === 'bed') return 'sown where it grows';
  const span = facts.weeksFrom === facts.weeksTo ? facts.weeksFrom : `${facts.weeksFrom} to ${facts.weeksTo}`;
  return `${span} weeks before planting out`;
};

/** Whether one of its words begins so. */
const begins = (name: string, wish: string): boolean => {
  const lower = name.toLowerCase();
  return lower.startsWith(wish) || lower.split(/[\s-]+/).some((word) => word.startsWith(wish));
};

/** Seed in the drawer and species of the catalogue whose names begin as typed; none for what looks like a list. */
export function useCropOptions(season: Season, typed: string): CropOption[] {
  const { data: catalogue } = useCatalogue();
  return useMemo(() => {
    const wish = typed.trim().toLowerCase();
    if (wish.length < LETTERS || /[\d,;]/.test(wish)) return [];
    const lots = season.seed_lots.filter((lot) => begins(lot.variety, wish));
    const species = (catalogue?.species ?? []).filter((facts) => begins(facts.name, wish));
    return [
      ...lots.map((lot) => ({
        value: `lot-${lot.id}`,
        name: lot.variety,
        hint: `seed of ${lot.packed_for} in your drawer`,
        body: { lot: lot.id },
      })),
      ...species.map((facts) => ({
        value: `species-${facts.id}`,
        name: facts.name,
        hint: weeks(facts),
        body: { species: facts.id },
      })),
    ].slice(0, SHOWN);
  }, [typed, season.seed_lots, catalogue]);
}
