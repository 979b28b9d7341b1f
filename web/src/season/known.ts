import type { Query, QueryClient, QueryKey } from '@tanstack/react-query';
import { clear, createStore, delMany, entries, setMany } from 'idb-keyval';
import { logbox } from './logbox';

/** What was seen last is kept on the device, so that it can be looked at without a connection. */
const WAIT_MS = 400;
/** Answers kept at most, the newest of them; and for so long. */
const MOST = 120;
const A_WHILE_MS = 30 * 86_400_000;
/** Whose they are: a garden's mark, as the page says it. */
const OWNER = 'jolly-penny-garden';

interface Kept {
  key: QueryKey;
  data: unknown;
  at: number;
  /** Which build kept it: an answer to another may have another shape. */
  build: string;
}

const store = createStore('jolly-penny', 'known');

/** What is asked for, whatever the revision: of these only the newest answer is worth keeping. */
const nameOf = (key: QueryKey): string => JSON.stringify(key.filter((part) => !isRevision(part)));
const isRevision = (part: unknown): part is { revision: number } =>
  typeof part === 'object' && part !== null && 'revision' in part;

/** The newest answer to the same question about any revision. */
export function newest<T>(queries: QueryClient, key: QueryKey): T | undefined {
  const same = queries
    .getQueryCache()
    .findAll({ queryKey: key, predicate: ({ queryKey, state }) => nameOf(queryKey) === nameOf(key) && state.data !== undefined });
  same.sort((a, b) => b.state.dataUpdatedAt - a.state.dataUpdatedAt);
  return same[0]?.state.data as T | undefined;
}

/** Answers about revisions before, which nobody looks at any more. */
function dropOlder(queries: QueryClient, query: Query): void {
  if (!query.queryKey.some(isRevision)) return;
  const cache = queries.getQueryCache();
  for (const other of cache.findAll({ predicate: (one) => nameOf(one.queryKey) === nameOf(query.queryKey) }))
    if (other !== query && !other.isActive() && other.state.data !== undefined) cache.remove(other);
}

/** What the last change did was told when it was made. */
const atRest = (data: unknown): unknown =>
  typeof data === 'object' && data !== null && 'last' in data ? { ...data, last: null } : data;

async function restore(queries: QueryClient): Promise<void> {
  const all = (await entries<string, Kept>(store)).sort(([, a], [, b]) => b.at - a.at);
  const old = all.filter(([, { at, build }], n) => n >= MOST || Date.now() - at > A_WHILE_MS || build !== __BUILD__);
  await delMany(
    old.map(([name]) => name),
    store,
  );
  for (const [, { key, data, at, build }] of all) {
    if (build !== __BUILD__ || queries.getQueryData(key) !== undefined) continue;
    queries.setQueryData(key, atRest(data), { updatedAt: at });
    // Worth showing, and worth asking for again.
    void queries.invalidateQueries({ queryKey: key, exact: true, refetchType: 'none' });
  }
}

let keeping = true;

/** Forgets what is kept on this device. */
export async function forgetKnown(): Promise<void> {
  localStorage.removeItem(OWNER);
  await clear(store).catch(() => undefined);
}

/** The same for good, when somebody leaves: what this page still learns is not kept either. */
export async function leaveNothing(): Promise<void> {
  keeping = false;
  await logbox.forget();
  return forgetKnown();
}

/** Shows what was known, and keeps what becomes known. Where the device keeps nothing, it goes without. */
export async function keepKnown(queries: QueryClient): Promise<void> {
  // Whatever comes from here on is kept, also while the device's store is still being made, cleared and read.
  const started = Date.now();
  const garden = document.querySelector<HTMLMetaElement>('meta[name="garden"]')?.content ?? '';
  if (garden !== '' && garden !== localStorage.getItem(OWNER)) {
    await forgetKnown();
    localStorage.setItem(OWNER, garden);
  }
  await restore(queries).catch(() => undefined);
  const changed = new Map<string, Query>();
  let timer: number | undefined;
  const write = () => {
    timer = undefined;
    if (!keeping) return;
    const rows = [...changed].map(([name, { queryKey, state }]): [string, Kept] => [
      name,
      { key: queryKey, data: state.data, at: state.dataUpdatedAt, build: __BUILD__ },
    ]);
    changed.clear();
    void setMany(rows, store).catch(() => undefined);
  };
  const keep = (query: Query) => {
    if (query.meta?.passing === true) return;
    dropOlder(queries, query);
    changed.set(nameOf(query.queryKey), query);
    timer ??= window.setTimeout(write, WAIT_MS);
  };
  // Answers that arrived while the store was still being read are kept too.
  queries
    .getQueryCache()
    .findAll({ predicate: ({ state }) => state.status === 'success' && state.dataUpdatedAt >= started })
    .forEach(keep);
  queries.getQueryCache().subscribe((event) => {
    if (event.type === 'updated' && event.action.type === 'success') keep(event.query);
  });
  window.addEventListener('pagehide', () => timer !== undefined && write());
}
