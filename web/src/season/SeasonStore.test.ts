// @vitest-environment jsdom
import { beforeEach, expect, it, vi } from 'vitest';
import { SeasonStore } from './SeasonStore';

const till = (cost: number) => ({ per_finished: cost, nursery: 1, difference: 1 - cost, keep: 5, cash_now: 9, kwh: 3 });
const state = (hours: number, revision: number) => ({
  id: 7, revision, season: { name: 'A', lights: [{ id: 'led', hours_per_day: hours }], setups: [{ id: 's' }], crops: [] },
  result: { setups: [{ id: 's', crops: [] }] }, pictures: { s: { till: till(hours / 20), crops: {} } }, history: { undo: null, redo: null },
});
const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
const problem = (status: number, more: object = {}) => json({ type: 'about:blank', title: '', status, detail: 'No.', ...more }, status);

let answers: ((body: { changes: { from: unknown; to: number }[] }) => Response | Promise<Response>)[];
const sent: unknown[] = [];

beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  answers = [];
  vi.stubGlobal('fetch', vi.fn(async (request: Request) => {
    if (request.method === 'GET') return json(state(16, 1));
    const body = await request.json() as { changes: { from: unknown; to: number }[] };
    sent.push(body.changes[0]);
    const answer = answers.shift();
    if (!answer) throw new TypeError('no network');
    return answer(body);
  }));
});

async function loaded(): Promise<SeasonStore> {
  const store = new SeasonStore(7);
  await store.load();
  return store;
}

const change = (store: SeasonStore, to: number) => store.change([{ path: ['lights', 'led', 'hours_per_day'], to }], 'lamp hours');
const hours = (store: SeasonStore) => store.get().season?.lights[0]?.hours_per_day;

it('shows a change at once, and what it did when it is saved', async () => {
  const store = await loaded();
  answers.push(() => json(state(14, 2)));
  const saved = change(store, 14);
  expect(hours(store)).toBe(14);
  await saved;
  expect(store.get().last).toMatchObject({ label: 'lamp hours', before: { per_finished: 0.8 }, after: { per_finished: 0.7 } });
  expect(store.get().waiting).toBe(0);
});

it('goes back where a change cannot be used', async () => {
  const store = await loaded();
  answers.push(() => problem(422));
  await expect(change(store, 99)).rejects.toThrow('No.');
  expect(hours(store)).toBe(16);
});

it('keeps a change while the server is away, and a new window sends it', async () => {
  const store = await loaded();
  await change(store, 12);
  expect(store.get()).toMatchObject({ status: 'away', waiting: 1 });
  expect(hours(store)).toBe(12);
  store.dispose();
  answers.push(() => json(state(12, 2)));
  const next = await loaded();
  await vi.waitFor(() => expect(next.get()).toMatchObject({ status: 'saved', waiting: 0 }));
  expect(sent.at(-1)).toMatchObject({ from: 16, to: 12 });
});

it('sends one change after the other, each on top of the one before', async () => {
  const store = await loaded();
  answers.push(() => json(state(14, 2)), () => json(state(13, 3)));
  await Promise.all([change(store, 14), change(store, 13)]);
  expect(sent).toMatchObject([{ from: 16, to: 14 }, { from: 14, to: 13 }]);
});

it('lays a conflict before the person and sends the choice', async () => {
  const store = await loaded();
  answers.push(() => problem(409, { conflicts: [{ path: ['lights', 'led', 'hours_per_day'], was: 16, theirs: 10, yours: 12 }] }));
  const saved = change(store, 12);
  await vi.waitFor(() => expect(store.get().conflict).not.toBeNull());
  answers.push(() => json(state(12, 3)));
  await store.choose(true);
  await saved;
  expect(sent.at(-1)).toMatchObject({ from: 10, to: 12 });
});

it('lets the other window\'s value stand', async () => {
  const store = await loaded();
  answers.push(() => problem(409, { conflicts: [{ path: ['lights', 'led', 'hours_per_day'], was: 16, theirs: 10, yours: 12 }] }));
  const saved = change(store, 12);
  await vi.waitFor(() => expect(store.get().conflict).not.toBeNull());
  await store.choose(false);
  await saved;
  expect(sent).toHaveLength(1);
  expect(hours(store)).toBe(16);
});
