import type { Season } from '../../api/types';

interface Row {
  list: keyof Season & string;
  name: string;
  price: string;
  /** How much a pack holds, where a pack holds something. */
  holds: string | null;
}

/** Where a kind of thing stands in a season, and under which keys. */
export const ROWS: Record<string, Row> = {
  seed: { list: 'seed_lots', name: 'variety', price: 'packet_price', holds: 'seeds_per_packet' },
  supply: { list: 'supplies', name: 'name', price: 'pack_price', holds: 'pack_amount' },
  container: { list: 'containers', name: 'name', price: 'pack_price', holds: 'units_per_pack' },
  trayware: { list: 'trayware', name: 'name', price: 'price', holds: null },
  light: { list: 'lights', name: 'name', price: 'price', holds: 'watts' },
  mat: { list: 'mats', name: 'name', price: 'price', holds: 'watts' },
  appliance: { list: 'appliances', name: 'name', price: 'price', holds: 'watts' },
  gear: { list: 'gear', name: 'name', price: 'price', holds: null },
  nursery: { list: 'nursery', name: 'name', price: 'price', holds: 'plants' },
};

/** The row of a season, as far as it is there. */
export function rowOf(season: Season, kind: string, id: string): Record<string, unknown> | undefined {
  const row = ROWS[kind];
  if (row === undefined) return undefined;
  return (season[row.list] as unknown as Record<string, unknown>[]).find((one) => one['id'] === id);
}
