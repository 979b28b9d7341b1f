import { answered, client } from '../api/client';
import type { Path } from '../api/types';
import { useOfRevision } from './useOfRevision';
import { useStore } from './SeasonContext';
import type { OnScreen } from './SeasonContext';

/** What of the plan is still the catalogue's and nobody has looked at; `ranked` has first what moves the answer most. */
export function useGuesses(shown: OnScreen | null, ranked: boolean, enabled = true) {
  const { id: season } = useStore();
  const setup = shown?.setup.id ?? '';
  const params = { path: { season, setup }, query: { ranked } };
  return useOfRevision(
    ['guesses', season, setup, ranked],
    shown?.revision ?? 0,
    () => answered(client.GET('/api/seasons/{season}/setups/{setup}/guesses', { params })),
    enabled && shown !== null,
  );
}

/** The changes that say a guess is right as it stands. */
export function knownNow(shown: OnScreen, path: Path): { path: Path; to: unknown }[] {
  const [list, id, key] = path as [string, string, string];
  if (key === undefined) {
    // An answer about the whole season: the season's own meta has what was put in for it.
    const { guess, ...meta } = (shown.season.meta ?? {}) as { guess?: Record<string, unknown> };
    const left = Object.entries(guess ?? {}).filter(([one]) => one !== path.join('.'));
    return [{ path: ['meta'], to: { ...meta, ...(left.length > 0 && { guess: Object.fromEntries(left) }) } }];
  }
  const rows = (shown.season as unknown as Record<string, { id: string; meta?: Record<string, unknown> }[]>)[list] ?? [];
  const { guess, ...meta } = rows.find((row) => row.id === id)?.meta ?? {};
  const known = Array.isArray(meta.known) ? (meta.known as string[]) : [];
  const to = list === 'places' ? (guess === key ? meta : { guess, ...meta }) : { ...meta, known: [...known, key] };
  return [{ path: [list, id, 'meta'], to }];
}
