import type { Path, Season, Setup } from '../../api/types';

const LISTS = ['lights', 'mats', 'appliances'] as const;
export type List = (typeof LISTS)[number];
type Row = Season[List][number];

/** Lamps bought together are called "Lamp", "Lamp 2", "Lamp 3". */
const nameless = (name: string): string => name.replace(/ \d+$/, '');

/** Everything that could tell two of them apart, also whether the set-up uses them. */
const looks = (row: Row, isUsed: boolean): string => JSON.stringify({ ...row, id: null, name: nameless(row.name), isUsed });

export interface Alike {
  list: List;
  /** The first of them, which speaks for all. */
  row: Row;
  ids: string[];
  /** Without the number that tells one from the next, where there are several. */
  name: string;
}

/** Lamps, mats and fans of one place; those that differ in nothing stand together. */
export function alikeAt(season: Season, setup: Setup, place: string): Alike[] {
  return LISTS.flatMap((list) => {
    const groups = new Map<string, Alike>();
    for (const row of season[list] as Row[]) {
      if (row.place !== place) continue;
      const key = looks(row, setup[list].includes(row.id));
      const group = groups.get(key);
      if (group) {
        group.ids.push(row.id);
        group.name = nameless(group.row.name);
      } else groups.set(key, { list, row, ids: [row.id], name: row.name });
    }
    return [...groups.values()];
  });
}

interface Change {
  path: Path;
  to: unknown;
}

/** Another number of them: copies of the first, or the last ones taken out. The set-up that uses them uses the copies too. */
export function changedCount(season: Season, setup: string, { list, row, ids, name }: Alike, count: number): Change[] {
  if (count < ids.length) return ids.slice(count).map((id) => ({ path: [list, id], to: null }));
  const taken = new Set(LISTS.flatMap((one) => season[one].map(({ id }) => id)));
  const copies: string[] = [];
  for (let n = 2; ids.length + copies.length < count; n++) {
    const id = `${row.id}-${n}`;
    if (!taken.has(id)) copies.push(id);
  }
  const used = season.setups.find(({ id }) => id === setup)?.[list] ?? [];
  return [
    ...copies.map((id, at) => ({ path: [list, id], to: { ...row, id, name: `${name} ${ids.length + at + 1}` } })),
    ...(used.includes(row.id) ? [{ path: ['setups', setup, list], to: [...used, ...copies] }] : []),
  ];
}
