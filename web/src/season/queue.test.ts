// @vitest-environment jsdom
import { onlineManager, type QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { SeasonState } from '../api/types';
import { conflicts } from './conflicts';
import type { Entry } from './entry';
import { keepOutbox } from './outbox';
import { change, CHANGE, fetchSeason, keys, learn, newQueryClient, run } from './queue';
import { refusals } from './refusals';

const SEASON = 7;
const state = (hours: number, revision: number, moved?: number): SeasonState =>
  ({
    id: SEASON,
    revision,
    season: { name: 'A', lights: [{ id: 'led', hours_per_day: hours }], setups: [{ id: 's' }], crops: [] },
    result: { setups: [{ id: 's', crops: [] }] },
    pictures: { s: { till: {}, crops: {}, wanted: 0 } },
    history: { undo: null, redo: null },
    ...(moved === undefined ? {} : { moved: { setup: 's', till: { per_finished: moved }, crops: {} } }),
  }) as unknown as SeasonState;

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
const problem = (status: number, more: object = {}) =>
  json({ type: 'about:blank', title: '', status, detail: 'No.', ...more }, status);

type Answer = () => Response | Promise<Response>;
let answers: Answer[];
let sent: { from: unknown; to: unknown }[];
/** What a window does when nothing is there to answer. */
const nobody = (): never => {
  throw new TypeError('no network');
};

beforeEach(() => {
  vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 40 });
  localStorage.clear();
  sessionStorage.clear();
  sent = [];
  answers = [];
  onlineManager.setOnline(true);
  refusals.dismiss();
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) => {
      if (request.method === 'GET') return json(state(16, 1));
      const body = request.method === 'PATCH' ? ((await request.json()) as { changes: { from: unknown; to: unknown }[] }) : null;
      if (body?.changes[0]) sent.push(body.changes[0]);
      return (answers.shift() ?? nobody)();
    }),
  );
});

afterEach(() => {
  vi.useRealTimers();
});

async function opened(): Promise<QueryClient> {
  const queries = newQueryClient();
  queries.mount();
  await fetchSeason(queries, SEASON, null);
  return queries;
}

const set = (queries: QueryClient, to: number) =>
  change(queries, SEASON, [{ path: ['lights', 'led', 'hours_per_day'], to }], 'lamp hours');
const known = (queries: QueryClient) => queries.getQueryData<Entry>(keys.season(SEASON));
const hours = (queries: QueryClient) => known(queries)?.season.lights[0]?.hours_per_day;
const waiting = (queries: QueryClient) => queries.getMutationCache().findAll({ mutationKey: [CHANGE], status: 'pending' }).length;

it('saves a change and knows by how much it moved the till', async () => {
  const queries = await opened();
  answers.push(() => json(state(14, 2, -0.1)));
  await set(queries, 14);
  expect(hours(queries)).toBe(14);
  expect(known(queries)?.last).toMatchObject({ label: 'lamp hours', setup: 's', till: { per_finished: -0.1 } });
});

it('hands a refusal to the field, and changes nothing', async () => {
  const queries = await opened();
  answers.push(() => problem(422));
  await expect(set(queries, 99)).rejects.toThrow('No.');
  expect(hours(queries)).toBe(16);
  expect(refusals.get()).toBeNull();
});

it('sends one change after the other, each on top of the one before', async () => {
  const queries = await opened();
  answers.push(
    () => json(state(14, 2)),
    () => json(state(13, 3)),
  );
  await Promise.all([set(queries, 14), set(queries, 13)]);
  expect(sent).toMatchObject([
    { from: 16, to: 14 },
    { from: 14, to: 13 },
  ]);
});

it('lets no slow older answer overwrite a newer one', async () => {
  const queries = await opened();
  learn(queries, SEASON, state(12, 5));
  learn(queries, SEASON, state(16, 3));
  expect(hours(queries)).toBe(12);
  expect(known(queries)?.revision).toBe(5);
});

it('keeps a change while the server is away, and sends it when it is back', async () => {
  const queries = await opened();
  await set(queries, 12);
  expect(onlineManager.isOnline()).toBe(false);
  expect(waiting(queries)).toBe(1);
  answers.push(() => json(state(12, 2)));
  await vi.waitFor(() => expect(hours(queries)).toBe(12), 10_000);
  expect(waiting(queries)).toBe(0);
  expect(onlineManager.isOnline()).toBe(true);
});

it('keeps a change over a reload, and the next window sends it', async () => {
  const queries = await opened();
  await keepOutbox(queries, [CHANGE]);
  await set(queries, 12);
  await vi.waitFor(() => expect(Object.keys(localStorage).filter((key) => key.includes('outbox'))).toHaveLength(1));
  const left = { ...localStorage };
  // The window is gone: nothing of it runs any more, and what it had written stays.
  queries.unmount();
  queries.getMutationCache().clear();
  await vi.advanceTimersByTimeAsync(5000);
  Object.assign(localStorage, left);
  answers.push(() => json(state(12, 2)));
  onlineManager.setOnline(true);
  const next = newQueryClient();
  next.mount();
  await keepOutbox(next, [CHANGE]);
  await vi.waitFor(() => expect(hours(next)).toBe(12), 10_000);
  expect(sent.at(-1)).toMatchObject({ from: 16, to: 12 });
});

it('takes over what a window that is gone has left, and nothing of one that lives', async () => {
  const left = (to: number) =>
    JSON.stringify({
      clientState: {
        mutations: [
          {
            mutationKey: ['change', SEASON],
            scope: { id: `season-${SEASON}` },
            state: {
              status: 'pending',
              isPaused: true,
              failureCount: 0,
              submittedAt: 1,
              variables: {
                season: SEASON,
                label: 'lamp hours',
                changes: [{ path: ['lights', 'led', 'hours_per_day'], from: 16, to }],
              },
            },
          },
        ],
      },
    });
  localStorage.setItem('jolly-penny-outbox-gone', left(9));
  localStorage.setItem('jolly-penny-outbox-alive', left(8));
  const held = new Set(['jolly-penny-outbox-alive']);
  vi.stubGlobal('navigator', {
    locks: {
      request: async (name: string, _: object, work: (lock: object | null) => unknown) => {
        const free = !held.has(name);
        if (free) held.add(name);
        void work(free ? {} : null);
      },
    },
  });
  answers.push(() => json(state(9, 2)));
  const queries = await opened();
  await keepOutbox(queries, [CHANGE]);
  await vi.waitFor(() => expect(hours(queries)).toBe(9));
  expect(sent).toHaveLength(1);
  expect(localStorage.getItem('jolly-penny-outbox-alive')).not.toBeNull();
  expect(localStorage.getItem('jolly-penny-outbox-gone')).toBeNull();
  vi.unstubAllGlobals();
});

it('tells in the till strip what was kept and could not be used after all', async () => {
  const queries = await opened();
  await set(queries, 99);
  answers.push(() => problem(422));
  await vi.waitFor(() => expect(refusals.get()).toEqual({ label: 'lamp hours', why: 'No.' }), 10_000);
  expect(hours(queries)).toBe(16);
});

it('refuses at once what the server would have to make while it is away and changes wait before it', async () => {
  const queries = await opened();
  await set(queries, 12);
  await expect(run(queries, SEASON, 'undone', async () => state(16, 2))).rejects.toThrow('does not answer');
});

it('says that it was not done where undo finds no server', async () => {
  const queries = await opened();
  const { answered, client } = await import('../api/client');
  const undo = () => answered(client.POST('/api/seasons/{season}/undo', { params: { path: { season: SEASON } } }));
  await expect(run(queries, SEASON, 'undone', undo)).rejects.toThrow('does not answer');
  expect(onlineManager.isOnline()).toBe(false);
});

it.each([
  [true, 10, 12],
  [false, 12, 16],
])('lays a conflict before the person and does as they choose', async (mine, from, kept) => {
  const queries = await opened();
  answers.push(() =>
    problem(409, { conflicts: [{ path: ['lights', 'led', 'hours_per_day'], was: 16, theirs: 10, yours: 12, gone: false }] }),
  );
  const saved = set(queries, 12);
  await vi.waitFor(() => expect(conflicts.get()).not.toBeNull());
  answers.push(() => json(state(12, 3)));
  conflicts.get()?.choose(mine);
  await saved;
  expect(sent.at(-1)).toMatchObject(mine ? { from, to: 12 } : { from: 16, to: from });
  expect(hours(queries)).toBe(kept);
});

const part = (since: number, hours: number): object => {
  const { season, ...others } = state(hours, since + 1);
  return { ...others, part: { since, keys: { lights: season.lights } } };
};

it('puts what an answer tells of the season on top of what it knows', async () => {
  const queries = await opened();
  const before = known(queries)?.season;
  answers.push(() => json(part(1, 14)));
  await set(queries, 14);
  expect(hours(queries)).toBe(14);
  expect(known(queries)?.season).toEqual({
    name: 'A',
    lights: [{ id: 'led', hours_per_day: 14 }],
    setups: [{ id: 's' }],
    crops: [],
  });
  expect(known(queries)?.season.setups).toBe(before?.setups);
});

it('asks for the whole season where what it knows is not what the answer goes on from', async () => {
  const queries = await opened();
  answers.push(() => {
    // Meanwhile another answer told of a later revision.
    learn(queries, SEASON, state(12, 5));
    return json(part(1, 14));
  });
  vi.mocked(fetch).mockImplementationOnce(async (request) => {
    sent.push(((await (request as Request).json()) as { changes: typeof sent }).changes[0] ?? { from: 0, to: 0 });
    return (answers.shift() ?? nobody)();
  });
  vi.mocked(fetch).mockImplementationOnce(async () => json(state(14, 6)));
  await set(queries, 14);
  expect(hours(queries)).toBe(14);
  expect(known(queries)?.revision).toBe(6);
});
