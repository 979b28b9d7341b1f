import { MutationCache, onlineManager, QueryClient, type Mutation } from '@tanstack/react-query';
import { answered, awayRefusal, client, Refusal, words, worthRetrying, seen } from '../api/client';
import type { Change, Path, Season, SeasonState } from '../api/types';
import { conflicts, onTopOf } from './conflicts';
import { at, put } from './document';
import { setupOf, take, whole, type Entry } from './entry';
import { refusals } from './refusals';
import { shownSetup } from './shownSetup';

/** The kind of mutations that are kept over a reload. */
export const CHANGE = 'change';
const RUN = 'run';
const RETRY_MS = 3000;
/** What is known stays within reach, for when the connection is gone; older revisions go at once (see known.ts). */
const A_DAY_MS = 86_400_000;

/** Values of a season on their way to the server. */
export interface Pending {
  season: number;
  changes: Change[];
  label: string;
}

export const keys = {
  season: (season: number) => ['season', season] as const,
  figures: (season: number, setup: string | null) => ['season', season, 'figures', setup] as const,
  change: (season: number) => [CHANGE, season] as const,
  run: (season: number) => [RUN, season] as const,
};

/** All that is asked of one season goes one after the other. */
const scope = (season: number) => ({ id: `season-${season}` });

/** Changes whose refusal a field or a caller waits to hear; any other's is told in the till strip. */
const attended = new WeakSet<Mutation<unknown, unknown, unknown, unknown>>();

const ask = (season: number, setup: string | null): Promise<SeasonState> =>
  answered(client.GET('/api/seasons/{season}', { params: { path: { season }, query: { setup: setup ?? undefined } } }));

/** The set-up on screen, of which an answer is to bring the figures. */
export function onScreen(queries: QueryClient, season: number): string | null {
  const entry = queries.getQueryData<Entry>(keys.season(season));
  return entry ? setupOf(entry, shownSetup.get(season)) : shownSetup.get(season);
}

/** Sends changes; where another window changed the same meanwhile, the person chooses. */
async function send(queries: QueryClient, { season, changes, label }: Pending): Promise<SeasonState> {
  const setup = onScreen(queries, season);
  const known = () => queries.getQueryData<Entry>(keys.season(season));
  for (let now = changes; ;) {
    try {
      const knows = known()?.revision ?? null;
      const answer = await answered(
        client.PATCH('/api/seasons/{season}', { params: { path: { season } }, body: { changes: now, label, setup, knows } }),
      );
      return whole(known(), answer) ?? { ...(await ask(season, setup)), moved: answer.moved };
    } catch (error) {
      const found = error instanceof Refusal && error.problem.status === 409 ? error.problem.conflicts : undefined;
      if (found === undefined) throw error;
      if (!(await conflicts.ask(found))) return ask(season, setup);
      now = onTopOf(now, found);
    }
  }
}

export function newQueryClient(): QueryClient {
  const queries = new QueryClient({
    defaultOptions: {
      queries: { staleTime: 30_000, gcTime: A_DAY_MS, retry: (_, error) => worthRetrying(error), retryDelay: RETRY_MS },
    },
    mutationCache: new MutationCache({
      onError: (error, variables, _context, mutation) => {
        const season = mutation.options.mutationKey?.[1];
        if (error instanceof Refusal && error.gone) void queries.invalidateQueries({ queryKey: ['season', season] });
        if (mutation.options.mutationKey?.[0] === CHANGE && !attended.has(mutation))
          refusals.tell((variables as Pending).label, words(error));
      },
    }),
  });
  queries.setMutationDefaults([CHANGE], {
    mutationFn: (pending: Pending) => send(queries, pending),
    onSuccess: (state: SeasonState, { season, label }: Pending) => learn(queries, season, state, label),
    retry: (_, error) => worthRetrying(error),
    retryDelay: RETRY_MS,
  });
  return queries;
}

/** What an answer tells is known from then on. */
export function learn(queries: QueryClient, season: number, state: SeasonState, label?: string): Entry {
  const entry = take(queries.getQueryData<Entry>(keys.season(season)), state, label);
  queries.setQueryData<Entry>(keys.season(season), entry);
  seen.set(String(season), entry.revision);
  const setup = setupOf(entry, shownSetup.get(season));
  if (setup !== null && entry.figures[setup]?.revision !== entry.revision) {
    void queries.invalidateQueries({ queryKey: keys.figures(season, setup) });
  }
  return entry;
}

/** A season with the figures of a set-up, as the server has it. A set-up that is gone gives way to the first. */
export async function fetchSeason(queries: QueryClient, season: number, setup: string | null): Promise<number> {
  try {
    return learn(queries, season, await ask(season, setup)).revision;
  } catch (error) {
    if (setup === null || !(error instanceof Refusal) || error.problem.status !== 404) throw error;
    return learn(queries, season, await ask(season, null)).revision;
  }
}

const pendingOf = (queries: QueryClient, season: number): Pending[] =>
  queries
    .getMutationCache()
    .findAll({ mutationKey: keys.change(season), status: 'pending' })
    .map(({ state }) => state.variables as Pending);

/** The season with what is on its way on top of what the server has. */
export const withPending = (season: Season, pending: Pending[]): Season =>
  pending.reduce((shown, { changes }) => changes.reduce((document, { path, to }) => put(document, path, to), shown), season);

/**
 * Saves values; resolves when they are saved, or kept for a server that is away. Rejects what cannot be used.
 */
export function change(
  queries: QueryClient,
  season: number,
  changes: { path: Path; to: unknown }[],
  label: string,
): Promise<void> {
  const entry = queries.getQueryData<Entry>(keys.season(season));
  const shown = entry && withPending(entry.season, pendingOf(queries, season));
  const pending: Pending = {
    season,
    label,
    changes: changes.map(({ path, to }) => ({ path, from: at(shown, path) ?? null, to })),
  };
  const mutation = queries
    .getMutationCache()
    .build<SeasonState, Error, Pending, unknown>(queries, { mutationKey: keys.change(season), scope: scope(season) });
  const attending = mutation as unknown as Mutation<unknown, unknown, unknown, unknown>;
  attended.add(attending);
  return new Promise((resolve, reject) => {
    const kept = () => {
      if (onlineManager.isOnline()) return;
      attended.delete(attending);
      stop();
      resolve();
    };
    const stop = onlineManager.subscribe(kept);
    mutation
      .execute(pending)
      .then(() => resolve(), reject)
      .finally(stop);
    kept();
  });
}

/**
 * Something the server makes of the season: crops added, rounds, undo. It waits for the changes before it, never for the server.
 * Without a label the season's history says what was done.
 */
export function run(
  queries: QueryClient,
  season: number,
  label: string | null,
  request: () => Promise<SeasonState>,
): Promise<SeasonState> {
  if (!onlineManager.isOnline() && pendingOf(queries, season).length > 0) return Promise.reject(awayRefusal());
  const mutation = queries.getMutationCache().build<SeasonState, Error, undefined, unknown>(queries, {
    mutationKey: keys.run(season),
    scope: scope(season),
    mutationFn: request,
    networkMode: 'always',
    retry: false,
    onSuccess: (state) => {
      learn(queries, season, state, label ?? state.history.undo ?? '');
    },
  });
  return mutation.execute(undefined);
}
