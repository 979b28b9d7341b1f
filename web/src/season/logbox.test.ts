// @vitest-environment jsdom
import { onlineManager, QueryClient } from '@tanstack/react-query';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Job, LogEntry } from '../api/types';

// What a phone keeps, as a plain map: the browser's own store is not there in a test.
const kept = new Map<number, unknown>();
vi.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: () => Promise.resolve([...kept.entries()]),
  set: (key: number, value: unknown) => Promise.resolve(void kept.set(key, value)),
  delMany: (keys: number[]) => Promise.resolve(keys.forEach((key) => kept.delete(key))),
  clear: () => Promise.resolve(kept.clear()),
}));

const SEASON = 7;
const sown = { on: '2027-04-11', kind: 'sown' as const, crop: 'kale', count: 12, job: 'kale-sow' };
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

let sent: (LogEntry & { waited?: boolean })[];
let answer: () => Response;
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
  sent = [];
  renews = true;
  answer = () => json({ refused: [] });
  onlineManager.setOnline(true);
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) => {
      sent.push(...((await request.clone().json()) as { entries: LogEntry[] }).entries);
      return answer();
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
