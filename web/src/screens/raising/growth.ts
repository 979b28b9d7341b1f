import { answered, client } from '../../api/client';
import type { Growth as Grown, Method } from '../../api/types';
import { useOfRevision } from '../../season/useOfRevision';

export type Growth = Grown;

const DAY = 86_400_000;
/** A stage is never drawn narrower, so that its words have room. */
const LEAST = 150;

/** How a method grows, for one crop, in the set-up on screen. */
export const useGrowth = (season: number, setup: string, method: string, crop: string | null, revision: number) =>
  useOfRevision(['growth', season, setup, method, crop], revision, () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/methods/{method}/growth', {
        params: { path: { season, setup, method }, query: { crop: crop ?? undefined } },
      }),
    ),
  );

/** Where each stage begins on the ground, and the last one's end: by its days, none too narrow. */
export function widths(method: Method, growth: Growth, wide: number): number[] {
  const days = method.stages.map((_, index) => {
    const { from, to } = growth.stages[index] ?? {};
    return from && to ? Math.max(1, (Date.parse(to) - Date.parse(from)) / DAY) : 10;
  });
  const all = days.reduce((sum, one) => sum + one, 0);
  const spare = Math.max(0, wide - LEAST * days.length - 40);
  const at = [0];
  for (const one of days) at.push((at.at(-1) ?? 0) + LEAST + (spare * one) / all);
  return at;
}
