import { skipToken, useIsMutating, useMutationState, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { createContext, useContext, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { answered, client, Refusal, words } from '../api/client';
import type { CropPicture, CropResult, Path, Season, SeasonState, Setup, SetupPicture, SetupResult } from '../api/types';
import { setupOf, type Entry, type LastChange } from './entry';
import { change, fetchSeason, keys, onScreen, run, withPending, type Pending } from './queue';
import { stillNew } from './fromPage';
import { lastStep } from './lastStep';
import { refusals } from './refusals';
import { useOnline } from './useOnline';
import { shownSetup } from './shownSetup';

/** What can be done with the season of the page. */
export interface SeasonActions {
  id: number;
  /** Saves values; the caller (a field) shows what is refused. */
  change: (changes: { path: Path; to: unknown }[], label: string) => Promise<void>;
  /** Saves values; what is refused is told in the till strip. */
  apply: (changes: { path: Path; to: unknown }[], label: string) => void;
  /** Something the server makes of the season; the caller shows what is refused. */
  run: (label: string | null, request: () => Promise<SeasonState>) => Promise<SeasonState>;
  /** The same; what is refused is told in the till strip. */
  attempt: (label: string | null, request: () => Promise<SeasonState>) => void;
  undo: () => void;
  redo: () => void;
  show: (setup: string) => void;
}

function actionsOf(queries: QueryClient, id: number): SeasonActions {
  const speak = (label: string, done: Promise<unknown>) =>
    void done.catch((error: unknown) => refusals.tell(label, words(error)));
  const history = () => queries.getQueryData<Entry>(keys.season(id))?.history;
  const step = (path: '/api/seasons/{season}/undo' | '/api/seasons/{season}/redo') =>
    answered(client.POST(path, { params: { path: { season: id }, query: { setup: onScreen(queries, id) ?? undefined } } }));
  const actions: SeasonActions = {
    id,
    change: (changes, label) => {
      lastStep.edited();
      return change(queries, id, changes, label);
    },
    apply: (changes, label) => speak(label, actions.change(changes, label)),
    run: (label, request) => {
      lastStep.edited();
      return run(queries, id, label, request);
    },
    attempt: (label, request) => speak(label ?? 'that', actions.run(label, request)),
    undo: () => actions.attempt(`undone: ${history()?.undo ?? ''}`, () => step('/api/seasons/{season}/undo')),
    redo: () => actions.attempt(history()?.redo ?? 'again', () => step('/api/seasons/{season}/redo')),
    show: (setup) => shownSetup.set(id, setup),
  };
  return actions;
}

const SeasonContext = createContext<SeasonActions | null>(null);
const SnapshotContext = createContext<Snapshot | null>(null);

/** The season of the page's address, for everything below. */
export function SeasonProvider({ id, children }: { id: number; children: ReactNode }) {
  const queries = useQueryClient();
  const actions = useMemo(() => actionsOf(queries, id), [queries, id]);
  const snapshot = useLatest(id);
  return (
    <SeasonContext value={actions}>
      <SnapshotContext value={snapshot}>{children}</SnapshotContext>
    </SeasonContext>
  );
}

export function useStore(): SeasonActions {
  const actions = useContext(SeasonContext);
  if (actions === null) throw new Error('There is no season here.');
  return actions;
}

type Status = 'fetching' | 'saved' | 'saving' | 'away' | 'missing' | 'deleted';

export interface Snapshot {
  entry: Entry | undefined;
  /** The season as it is shown: what the server has, and what is on its way there. */
  season: Season | null;
  setup: string | null;
  status: Status;
  /** Changes on their way. */
  waiting: number;
  last: LastChange | null;
}

function useLatest(id: number): Snapshot {
  const queries = useQueryClient();
  const online = useOnline();
  const { data: entry } = useQuery<Entry>({ queryKey: keys.season(id), queryFn: skipToken, staleTime: Infinity });
  const wish = useSyncExternalStore(shownSetup.subscribe, () => shownSetup.get(id));
  const setup = entry ? setupOf(entry, wish) : wish;
  const { error } = useQuery({
    queryKey: keys.figures(id, setup),
    queryFn: () => fetchSeason(queries, id, setup),
    staleTime: stillNew,
  });
  const pending = useMutationState({
    filters: { mutationKey: keys.change(id), status: 'pending' },
    select: ({ state }) => state.variables as Pending,
  });
  const running = useIsMutating({ mutationKey: keys.run(id) });
  const season = useMemo(() => (entry ? withPending(entry.season, pending) : null), [entry, pending]);
  const missing = entry === undefined && error instanceof Refusal && !error.away;
  const deleted = error instanceof Refusal && error.gone;
  const status: Status = deleted
    ? 'deleted'
    : missing
      ? 'missing'
      : !online
        ? 'away'
        : entry === undefined
          ? 'fetching'
          : pending.length > 0 || running > 0
            ? 'saving'
            : 'saved';
  const waiting = pending.length;
  return useMemo(
    () => ({ entry, season, setup, status, waiting, last: entry?.last ?? null }),
    [entry, season, setup, status, waiting],
  );
}

/** What this window knows of the season, and what is on its way; null where the page has none. */
export const useMaybeSnapshot = (): Snapshot | null => useContext(SnapshotContext);

export function useSnapshot(): Snapshot {
  const snapshot = useMaybeSnapshot();
  if (snapshot === null) throw new Error('There is no season here.');
  return snapshot;
}

export interface OnScreen {
  id: number;
  revision: number;
  season: Season;
  /** The season the figures were reckoned for; `season` may be ahead of it. */
  reckoned: Season;
  history: SeasonState['history'];
  setup: Setup;
  result: SetupResult;
  pictures: SetupPicture;
  cropResult: (crop: string) => CropResult | undefined;
  picture: (crop: string) => CropPicture | undefined;
}

/** The set-up on screen with its figures; null until they are here. */
export function useOnScreen(): OnScreen | null {
  const { id } = useStore();
  const { entry, season, setup: shown } = useSnapshot();
  return useMemo(() => {
    const setup = season?.setups.find((row) => row.id === shown);
    const figures = shown === null ? undefined : entry?.figures[shown];
    if (!entry || !season || !setup || !figures) return null;
    const results = new Map(figures.result.crops.map((crop) => [crop.id, crop]));
    return {
      id,
      revision: entry.revision,
      season,
      reckoned: entry.season,
      history: entry.history,
      setup,
      result: figures.result,
      pictures: figures.picture,
      cropResult: (crop) => results.get(crop),
      picture: (crop) => figures.picture.crops[crop],
    };
  }, [id, entry, season, shown]);
}
