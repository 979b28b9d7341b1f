import { useDeferredValue, useMemo } from 'react';
import { factsOf } from '../../season/site';
import type { OnScreen } from '../../season/SeasonContext';
import { sortLines, type Order, type ShownLine } from './order';

const saysOf = ({ crop, facts: { lot, species, method }, result }: ShownLine) => [
  lot.variety,
  species?.name,
  method?.name,
  crop.id,
  result.verdict?.replace('_', ' '),
];

/** The lines that are shown: those in which the words stand, in their order. */
export function useLines({ season, reckoned: base, cropResult, picture }: OnScreen, order: Order, filter: string): ShownLine[] {
  const wish = useDeferredValue(filter.trim().toLowerCase());
  return useMemo(() => {
    const facts = factsOf(season);
    const reckoned = new Map(base.crops.map((crop) => [crop.id, crop.wanted]));
    const all = season.crops.flatMap((crop): ShownLine[] => {
      const [result, drawn] = [cropResult(crop.id), picture(crop.id)];
      const known = facts(crop, result);
      return result && drawn && known
        ? [{ crop, reckoned: reckoned.get(crop.id) ?? crop.wanted, result, picture: drawn, facts: known }]
        : [];
    });
    const found = all.filter((line) => wish === '' || saysOf(line).some((text) => text?.toLowerCase().includes(wish)));
    return sortLines(found, order);
  }, [season, base, cropResult, picture, order, wish]);
}

/** How many lines are of each variety: two rounds of one are told apart by their day. */
export function useLinesOfVariety({ season: { crops, seed_lots: lots } }: OnScreen): ReadonlyMap<string, number> {
  return useMemo(() => {
    const varieties = new Map(lots.map(({ id, variety }) => [id, variety]));
    const lines = new Map<string, number>();
    for (const { lot } of crops) {
      const variety = varieties.get(lot) ?? lot;
      lines.set(variety, (lines.get(variety) ?? 0) + 1);
    }
    return lines;
  }, [crops, lots]);
}
