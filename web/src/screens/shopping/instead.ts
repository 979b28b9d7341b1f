import { KINDS } from '../../api/core.generated';
import type { Season } from '../../api/types';

interface Kind {
  list: keyof Season & string;
  name: string;
  price: string;
  /** How big one is: what a pack holds, or its watts. */
  size: string | null;
}

/** Where a kind of thing stands in a season, and under which keys; of what is in no list of it there is none. */
export function kindOf(kind: string): Kind | undefined {
  const found = kind in KINDS ? KINDS[kind as keyof typeof KINDS] : undefined;
  return found === undefined || found.list === null ? undefined : found;
}

/** The row of a season, as far as it is there. */
export function rowOf(season: Season, kind: string, id: string): Record<string, unknown> | undefined {
  const list = kindOf(kind)?.list;
  if (list === undefined) return undefined;
  return (season[list] as unknown as Record<string, unknown>[]).find((one) => one['id'] === id);
}
