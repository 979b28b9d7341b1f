import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';
import type { WrittenEntry } from '../../api/types';
import { useLog } from '../../season/useLog';

/** All that is written down in a season, what waits on this device at the end. */
export function useEntries(season: number): { entries: WrittenEntry[] | null; error: Error | null } {
  const { data, error } = useQuery({
    queryKey: ['log', season],
    queryFn: () => answered(client.GET('/api/seasons/{season}/log', { params: { path: { season } } })),
  });
  const { entries: waiting } = useLog(season);
  if (!data) return { entries: null, error };
  const known = new Set(data.entries.map(({ id }) => id));
  const more = waiting.filter(({ id }) => !known.has(id));
  const back = new Set(more.flatMap(({ kind, corrects }) => (kind === 'undo' && corrects ? [corrects] : [])));
  return {
    entries: [
      ...data.entries.map((one) => (back.has(one.id) ? { ...one, stands: false } : one)),
      ...more.map((one) => ({ ...one, stands: one.kind !== 'undo' })),
    ],
    error,
  };
}
