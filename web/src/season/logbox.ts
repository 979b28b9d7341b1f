import { onlineManager, type QueryClient, type QueryKey } from '@tanstack/react-query';
import { clear, createStore, delMany, entries, set } from 'idb-keyval';
import { answered, client, isFailure, words, worthRetrying } from '../api/client';
import { renew, renewSurely } from '../api/renew';
import type { components } from '../api/schema.generated';
import type { LogEntry } from '../api/types';

/**
 * What is written down on this device waits here until the server has it: kept in IndexedDB, sent in order, each once. The server
 * knows an entry again by its id, so that an answer lost on the way doubles nothing. Where the server fails on one entry, only what is of
 * the same crop, or was written in the same moment, waits with it.
 */
const AT_ONCE = 50;
const AGAIN_MS = 3000;
const LONGEST_MS = 300_000;
const LOCK = 'jolly-penny-log';

type NewPhoto = components['schemas']['NewPhoto'];

export interface Waiting {
  /** The order in which it was written. */
  n: number;
  season: number;
  /** Entries written by one press have the same number. */
  gesture?: number;
  entry?: LogEntry;
  photo?: NewPhoto & { id: string };
  /** Why the server did not take it; it is kept until somebody has seen that. */
  why?: string;
  /** It could not be sent when it was written: the server keeps it whatever it says. */
  late?: boolean;
  /** The server has it; it is shown as written until an answer shows it too. */
  sent?: boolean;
  /** The device could not store it: it lives in this page alone. */
  loose?: boolean;
}

const store = createStore('jolly-penny-log', 'waiting');
const channel = 'BroadcastChannel' in window ? new BroadcastChannel(LOCK) : null;
const listeners = new Set<() => void>();

let waiting: Waiting[] = [];
let last = 0;
let sending = false;
let timer: number | undefined;
let queries: QueryClient | null = null;

const show = (next: Waiting[]): void => {
  waiting = next;
  listeners.forEach((listener) => listener());
};

/** What this device keeps, other windows' entries too; what could not be stored stays in memory. */
async function reload(isStart = false): Promise<void> {
  const stored = await entries<number, Waiting>(store).catch(() => null);
  if (stored === null) return;
  const byN = new Map(waiting.map((one) => [one.n, one]));
  // What an earlier page left behind could not be sent then.
  for (const [, one] of stored) byN.set(one.n, { ...(isStart ? { late: true } : {}), ...byN.get(one.n), ...one });
  show([...byN.values()].sort((a, b) => a.n - b.n));
}

/** Later than any before it, so that entries of one moment keep their order. */
function next(): number {
  last = Math.max(last + 1, Date.now() * 100);
  return last;
}

async function put(items: Waiting[]): Promise<void> {
  show([...waiting, ...items]);
  await Promise.all(items.map((one) => set(one.n, one, store))).catch(() =>
    show(waiting.map((one) => (items.includes(one) ? { ...one, loose: true } : one))),
  );
  channel?.postMessage('written');
  void send();
}

async function drop(items: Waiting[]): Promise<void> {
  const gone = new Set(items.map(({ n }) => n));
  await delMany([...gone], store).catch(() => undefined);
  show(waiting.filter(({ n }) => !gone.has(n)));
  channel?.postMessage('sent');
}

/** Entries of a batch that the server refused or failed on. They are sent one by one, to find the one that is wrong. */
const alone = new Set<number>();
/** Crops and gestures on hold after the server failed on one of their entries: until when, and after how many failures. */
const held = new Map<string, { until: number; times: number }>();

const isOpen = ({ why, sent }: Waiting): boolean => why === undefined && sent !== true;

/** Entries of one lane keep their order: those of a crop, or of a job that several crops share. */
function laneOf({ season, entry, photo }: Waiting): string {
  const corrected = entry?.corrects == null ? undefined : waiting.find((one) => one.entry?.id === entry.corrects);
  if (corrected !== undefined) return laneOf(corrected);
  return `${season} ${entry?.crop ?? entry?.job ?? (photo ? 'photos' : '')}`;
}

const keysOfHeld = (one: Waiting): string[] => [laneOf(one), `gesture ${one.gesture ?? one.n}`];

function isHeld(one: Waiting): boolean {
  return keysOfHeld(one).some((key) => (held.get(key)?.until ?? 0) > Date.now());
}

function hold(one: Waiting): void {
  for (const key of keysOfHeld(one)) {
    const times = (held.get(key)?.times ?? 0) + 1;
    held.set(key, { times, until: Date.now() + Math.min(LONGEST_MS, AGAIN_MS * 2 ** (times - 1)) });
  }
}

/** The first entry the server has not acknowledged, with those that can share its request. */
function batch(): Waiting[] {
  const open = waiting.filter((one) => isOpen(one) && !isHeld(one));
  const first = open[0];
  if (first === undefined || first.photo || alone.has(first.n)) return open.slice(0, 1);
  const other = open.findIndex((one) => one.season !== first.season || one.photo !== undefined || alone.has(one.n));
  return open.slice(0, Math.min(AT_ONCE, other < 0 ? open.length : other));
}

/** Sends one batch; what is refused is kept with the reason. */
async function sendOne(items: Waiting[]): Promise<void> {
  const season = items[0]?.season ?? 0;
  const photo = items[0]?.photo;
  const refused = new Map<string, string>();
  try {
    if (photo) {
      const { id, ...body } = photo;
      await answered(client.PUT('/api/seasons/{season}/photos/{token}', { params: { path: { season, token: id } }, body }));
    } else {
      const body = { entries: items.flatMap(({ entry, late }) => (entry ? [late ? { ...entry, waited: true } : entry] : [])) };
      const { refused: some } = await answered(client.POST('/api/seasons/{season}/log', { params: { path: { season } }, body }));
      some.forEach(({ id, why }) => refused.set(id, why));
    }
  } catch (error) {
    if (worthRetrying(error)) throw error;
    if (items.length > 1) return items.forEach(({ n }) => alone.add(n));
    if (items[0] && isFailure(error)) return hold(items[0]);
    items.forEach(({ entry, photo: picture }) => refused.set(entry?.id ?? picture?.id ?? '', words(error)));
  }
  items.forEach((one) => {
    alone.delete(one.n);
    keysOfHeld(one).forEach((key) => held.delete(key));
  });
  const idOf = (one: Waiting) => one.entry?.id ?? one.photo?.id ?? '';
  const bad = items.flatMap((one) => {
    const why = refused.get(idOf(one));
    return why === undefined ? [] : [{ ...one, why }];
  });
  await Promise.all(bad.map((one) => set(one.n, one, store))).catch(() => undefined);
  const badN = new Map(bad.map((one) => [one.n, one]));
  show(waiting.map((one) => badN.get(one.n) ?? one));
  const good = items.filter((one) => !badN.has(one.n));
  await delMany(
    good.map(({ n }) => n),
    store,
  ).catch(() => undefined);
  // Shown as written until an answer shows it too: nothing that was done is offered again meanwhile.
  const goodN = new Set(good.map(({ n }) => n));
  show(waiting.map((one) => (goodN.has(one.n) ? { ...one, sent: true } : one)));
  if (batch().length === 0) await settle();
}

/** Asks for the answers that show what was sent, and forgets it then; where they cannot be had it stays, and is asked for later. */
async function settle(): Promise<void> {
  const sent = waiting.filter((one) => one.sent === true);
  if (queries) for (const season of new Set(sent.map((one) => one.season))) await renewSurely(queries, ...keysOf(season));
  await drop(sent);
}

/** What the log moves is asked for anew. */
export const renewLog = (client: QueryClient, season: number): Promise<void> => renew(client, ...keysOf(season));

const keysOf = (season: number): QueryKey[] => [
  ['today', season],
  ['trays', season],
  ['log', season],
];

/** Sends what waits, in order, from one window only. */
async function send(): Promise<void> {
  if (sending || !onlineManager.isOnline()) return;
  sending = true;
  const work = async () => {
    await reload();
    for (let items = batch(); items.length > 0; items = batch()) await sendOne(items);
    if (waiting.some((one) => one.sent === true)) await settle();
  };
  try {
    if ('locks' in navigator) await navigator.locks.request(LOCK, work);
    else await work();
  } catch {
    // Nobody is there: the same again later.
    show(waiting.map((one) => (one.sent === true ? one : { ...one, late: true })));
  } finally {
    sending = false;
  }
  window.clearTimeout(timer);
  timer = waiting.some((one) => isOpen(one) || one.sent === true) ? window.setTimeout(() => void send(), AGAIN_MS) : undefined;
}

const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');

export const logbox = {
  get: (): Waiting[] => waiting,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  /** Writes entries down, in the order given. */
  write: (season: number, facts: Omit<LogEntry, 'id' | 'at'>[]): Promise<void> => {
    const gesture = next();
    return put(
      facts.map((fact) => {
        const n = next();
        const at = new Date(Math.floor(n / 100)).toISOString().replace(/(\.\d{3})Z$/, `$1${String(n % 100).padStart(2, '0')}Z`);
        return { n, season, gesture, entry: { ...fact, id: newId(), at }, ...(onlineManager.isOnline() ? {} : { late: true }) };
      }),
    );
  },
  photograph: (season: number, photo: NewPhoto): Promise<void> => put([{ n: next(), season, photo: { ...photo, id: newId() } }]),
  /** It was seen that it was refused. */
  dismiss: (items: Waiting[]): Promise<void> => drop(items),
  forget: (): Promise<void> => {
    show([]);
    return clear(store).catch(() => undefined);
  },
};

/** Sends what an earlier page left behind, now and whenever the connection is back. */
export function keepLog(client: QueryClient): void {
  queries = client;
  void reload(true).then(send);
  onlineManager.subscribe(() => void send());
  document.addEventListener('visibilitychange', () => void send());
  channel?.addEventListener('message', ({ data }) => {
    if (data === 'written') void reload().then(send);
    else
      void entries<number, Waiting>(store)
        .then((stored) => {
          const known = new Map(waiting.map((one) => [one.n, one]));
          show(stored.map(([, one]) => ({ ...known.get(one.n), ...one })).sort((a, b) => a.n - b.n));
        })
        .catch(() => undefined);
  });
}
