import type { Season, Supply } from '../api/types';
import { useCatalogue } from './useCatalogue';

/** What supplies are good for, as far as the catalogue knows them: no feed is offered as soil, no label as feed. */
export function useSupplies(season: Season) {
  const { data } = useCatalogue();
  const known = new Map(data?.things.supplies?.map((one) => [one.id, one]));
  const mixed = new Set(season.mixes.flatMap(({ parts, additives }) => [...parts, ...additives].map(({ supply }) => supply)));
  for (const { stages } of season.methods)
    for (const { mix, top_dressing } of stages) for (const id of [mix, top_dressing?.supply]) if (id) mixed.add(id);
  const knownAs = ({ meta }: Supply) => known.get((meta as { catalogue?: string } | undefined)?.catalogue ?? '');
  const doseOf = (row: Supply): number | null => knownAs(row)?.dose_per_l ?? null;
  const isFed = (row: Supply): boolean => row.id === season.feed?.supply;
  const kindIs = (row: Supply, ...kinds: string[]): boolean => kinds.includes(knownAs(row)?.kind ?? 'own');
  return {
    doseOf,
    /** What pots are filled or topped with. */
    media: season.supplies.filter(
      (row) => row.unit === 'L' && (mixed.has(row.id) || (kindIs(row, 'medium', 'own') && !isFed(row))),
    ),
    /** What goes into a mix besides. */
    additives: season.supplies.filter((row) => kindIs(row, 'medium', 'additive', 'own') && !isFed(row)),
    /** What plants are fed with; a bottle of one's own only where it is in no mix. */
    feeds: season.supplies.filter(
      (row) => isFed(row) || doseOf(row) !== null || (kindIs(row, 'own') && row.unit !== 'each' && !mixed.has(row.id)),
    ),
  };
}
