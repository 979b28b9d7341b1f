// @vitest-environment jsdom
import { onlineManager, QueryClient } from '@tanstack/react-query';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Job, LogEntry } from '../api/types';

// What a phone keeps, as a plain map: the browser's own store is not there in a test.
const kept = new Map<number, unknown>();
let isFull = false;
vi.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: () => Promise.resolve([...kept.entries()]),
  set: (key: number, value: unknown) => (isFull ? Promise.reject(new Error('full')) : Promise.resolve(void kept.set(key, value))),
  delMany: (keys: number[]) => Promise.resolve(keys.forEach((key) => kept.delete(key))),
  clear: () => Promise.resolve(kept.clear()),
}));

/** Windows of one browser hear each other; a test has one window, opened again and again. */
const ears = new Set<(event: { data: unknown }) => void>();
class Channel {
  private ear: ((event: { data: unknown }) => void) | null = null;
  addEventListener(_: string, ear: (event: { data: unknown }) => void) {
    ears.add((this.ear = ear));
  }
  postMessage(data: unknown) {
    ears.forEach((ear) => ear !== this.ear && setTimeout(() => ear({ data })));
  }
}

const SEASON = 7;
const sown = { on: '2027-04-11', kind: 'sown' as const, crop: 'kale', count: 12, job: 'kale-sow' };
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

let sent: (LogEntry & { waited?: boolean })[];
let answer: (entries: LogEntry[]) => Response;
/** The server's jobs can be had. */
let renews: boolean;

async function opened() {
  vi.resetModules();
  const { keepLog, logbox } = await import('./logbox');
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.mount();
  const ask = () => (renews ? Promise.resolve({}) : Promise.reject(new Error('away')));
  // A screen that shows the jobs is open.
  await queries.fetchQuery({ queryKey: ['today', SEASON, 'bench'], queryFn: () => Promise.resolve({}) });
  const { QueryObserver } = await import('@tanstack/react-query');
  new QueryObserver(queries, { queryKey: ['today', SEASON, 'bench'], queryFn: ask, staleTime: Infinity }).subscribe(
    () => undefined,
  );
  keepLog(queries);
  return logbox;
}

const until = (check: () => boolean) => vi.waitFor(() => expect(check()).toBe(true), { timeout: 9000, interval: 20 });

beforeEach(() => {
  kept.clear();
  ears.clear();
  vi.stubGlobal('BroadcastChannel', Channel);
  sent = [];
  renews = true;
  isFull = false;
  answer = () => json({ refused: [] });
  onlineManager.setOnline(true);
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) => {
      const { entries } = (await request.clone().json()) as { entries: LogEntry[] };
      sent.push(...entries);
      return answer(entries);
    }),
  );
});

it('sends what was written once, and forgets it when an answer shows it', async () => {
  const logbox = await opened();
  await logbox.write(SEASON, [sown]);
  await until(() => logbox.get().length === 0);
  expect(sent).toHaveLength(1);
  expect(sent[0]?.waited).toBeUndefined();
  expect(kept.size).toBe(0);
});

it('shows what was sent as done until an answer shows it too, and sends it no second time', async () => {
  const logbox = await opened();
  renews = false;
  await logbox.write(SEASON, [sown]);
  await until(() => logbox.get().some((one) => one.sent === true));
  const { withWaiting } = await import('./useLog');
  const job = { id: 'kale-sow', done_on: null, entries: [], counted: null } as unknown as Job;
  const entries = logbox.get().flatMap(({ entry }) => (entry ? [entry] : []));
  expect(withWaiting([job], entries)[0]?.done_on).toBe('2027-04-11');
  renews = true;
  await until(() => logbox.get().length === 0);
  expect(sent).toHaveLength(1);
}, 15_000);

it('says of what could not be sent at once that it waited', async () => {
  const logbox = await opened();
  onlineManager.setOnline(false);
  await logbox.write(SEASON, [sown]);
  expect(sent).toHaveLength(0);
  onlineManager.setOnline(true);
  await until(() => logbox.get().length === 0);
  // Windows of the tests before are open still, and send the same entry: it is one by its id.
  expect(new Set(sent.map(({ id }) => id)).size).toBe(1);
  expect(sent.every(({ waited }) => waited === true)).toBe(true);
});

it('keeps what an earlier page left behind, and sends it as waited', async () => {
  kept.set(1, { n: 1, season: SEASON, entry: { ...sown, id: 'earlier-page-1', at: '2027-04-11T08:00:00Z' } });
  const logbox = await opened();
  await until(() => logbox.get().length === 0 && sent.length === 1);
  expect(sent[0]).toMatchObject({ id: 'earlier-page-1', waited: true });
});

it('keeps what was refused with the reason, and lets the rest go on past it', async () => {
  const logbox = await opened();
  answer = () => json({ refused: [{ id: sent[0]?.id, why: '7 are there, not 40.' }] });
  await logbox.write(SEASON, [
    { ...sown, kind: 'planted', count: 40 },
    { ...sown, crop: 'leek' },
  ]);
  await until(() => logbox.get().length === 1);
  expect(logbox.get()[0]?.why).toContain('7 are there');
  await logbox.dismiss(logbox.get());
  expect(logbox.get()).toHaveLength(0);
});

it('tries again where an answer was lost, with the same id', async () => {
  const logbox = await opened();
  let lost = true;
  answer = () => {
    if (!lost) return json({ refused: [] });
    lost = false;
    throw new TypeError('no network');
  };
  await logbox.write(SEASON, [sown]);
  await until(() => logbox.get().length === 0);
  expect(sent.length).toBeGreaterThanOrEqual(2);
  expect(new Set(sent.map(({ id }) => id)).size).toBe(1);
}, 15_000);

it('goes on past an entry on which the server fails, but for what is of the same crop or press', async () => {
  const logbox = await opened();
  onlineManager.setOnline(false);
  let broken = true;
  answer = (entries) =>
    broken && entries.some(({ crop }) => crop === 'kale')
      ? json({ type: 'about:blank', title: 'Fault', status: 500, detail: 'That did not work.' }, 500)
      : json({ refused: [] });
  await logbox.write(SEASON, [sown, { ...sown, crop: 'chard', job: 'chard-sow' }]);
  await logbox.write(SEASON, [{ ...sown, crop: 'leek', job: 'leek-sow' }]);
  await logbox.write(SEASON, [{ ...sown, kind: 'up', count: 7, job: 'kale-look' }]);
  onlineManager.setOnline(true);
  await until(() => !logbox.get().some(({ entry }) => entry?.crop === 'leek'));
  // Of kale nothing is lost and nothing refused: it waits, in its order.
  const left = () => logbox.get().flatMap(({ entry, why }) => (entry?.crop === 'kale' ? [[entry.kind, why]] : []));
  expect(left()).toEqual([
    ['sown', undefined],
    ['up', undefined],
  ]);
  broken = false;
  await until(() => logbox.get().length === 0);
  const last = sent.filter(({ crop }) => crop === 'kale').slice(-2);
  expect(last.map(({ kind }) => kind)).toEqual(['sown', 'up']);
}, 20_000);

it('finds the one that a whole batch was refused for', async () => {
  const logbox = await opened();
  answer = (entries) =>
    entries.some(({ crop }) => crop === 'kale')
      ? json({ type: 'about:blank', title: 'No', status: 422, detail: 'There is no kale.' }, 422)
      : json({ refused: [] });
  await logbox.write(SEASON, [sown, { ...sown, crop: 'leek', job: 'leek-sow' }]);
  await until(() => logbox.get().length === 1);
  expect(logbox.get()[0]).toMatchObject({ why: 'There is no kale.', entry: { crop: 'kale' } });
  expect(sent.some(({ crop }) => crop === 'leek')).toBe(true);
});

it('says what a full device could not store, and sends it all the same', async () => {
  const logbox = await opened();
  isFull = true;
  onlineManager.setOnline(false);
  await logbox.write(SEASON, [sown]);
  expect(logbox.get()[0]?.loose).toBe(true);
  expect(kept.size).toBe(0);
  onlineManager.setOnline(true);
  await until(() => logbox.get().length === 0);
  expect(sent.length).toBeGreaterThanOrEqual(1);
});

it('shows in one window what was written in the other, and writes it once', async () => {
  const here = await opened();
  const there = await opened();
  onlineManager.setOnline(false);
  await here.write(SEASON, [sown]);
  await until(() => there.get().length === 1);
  onlineManager.setOnline(true);
  await until(() => here.get().length === 0 && there.get().length === 0);
  expect(new Set(sent.map(({ id }) => id)).size).toBe(1);
});
