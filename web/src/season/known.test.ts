// @vitest-environment jsdom
import { QueryClient } from '@tanstack/react-query';
import { beforeEach, expect, it, vi } from 'vitest';

const kept = new Map<string, { key: unknown; data: unknown }>();
/** Resolves when the device has been read. */
let read: () => void;
/** What a device of somebody else's takes to be cleared. */
let clearing = Promise.resolve();
vi.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: () => new Promise((resolve) => (read = () => resolve([...kept.entries()]))),
  setMany: (rows: [string, { key: unknown; data: unknown }][]) =>
    Promise.resolve(rows.forEach(([name, row]) => kept.set(name, row))),
  delMany: (names: string[]) => Promise.resolve(names.forEach((name) => kept.delete(name))),
  clear: () => clearing.then(() => kept.clear()),
}));
vi.mock('./logbox', () => ({ logbox: { forget: () => Promise.resolve() } }));
vi.stubGlobal('__BUILD__', 'this');

const answer = (queries: QueryClient, key: unknown[], data: unknown) =>
  queries.fetchQuery({ queryKey: key, queryFn: () => Promise.resolve(data) });

beforeEach(() => {
  kept.clear();
  localStorage.clear();
  document.head.innerHTML = '';
  clearing = Promise.resolve();
});

it('keeps what came while the device was still being read, and what comes after', async () => {
  const { keepKnown } = await import('./known');
  const queries = new QueryClient();
  const keeping = keepKnown(queries);
  await answer(queries, ['season', 7], { name: 'early' });
  read();
  await keeping;
  await answer(queries, ['log', 7], { entries: [] });
  await vi.waitFor(() => expect([...kept.keys()].sort()).toEqual(['["log",7]', '["season",7]']));
});

it('shows what was kept, and forgets what another build has kept', async () => {
  const { keepKnown } = await import('./known');
  const row = (key: unknown[], build: string) => ({ key, data: { build }, at: Date.now() - 1000, build });
  kept.set('["season",7]', row(['season', 7], 'this'));
  kept.set('["season",8]', row(['season', 8], 'another'));
  const queries = new QueryClient();
  const keeping = keepKnown(queries);
  read();
  await keeping;
  expect(queries.getQueryData(['season', 7])).toEqual({ build: 'this' });
  expect(queries.getQueryData(['season', 8])).toBeUndefined();
  expect([...kept.keys()]).toEqual(['["season",7]']);
});

it('keeps what came while another garden was still being cleared from the device', async () => {
  const { keepKnown } = await import('./known');
  document.head.innerHTML = '<meta name="garden" content="mine">';
  let cleared = () => {};
  clearing = new Promise((resolve) => (cleared = resolve));
  kept.set('["season",1]', { key: ['season', 1], data: 'of another' });
  const queries = new QueryClient();
  const keeping = keepKnown(queries);
  await answer(queries, ['season', 7], { name: 'early' });
  await new Promise((resolve) => setTimeout(resolve, 20));
  cleared();
  await vi.waitFor(() => expect(kept.size).toBe(0));
  read();
  await keeping;
  await vi.waitFor(() => expect([...kept.keys()]).toEqual(['["season",7]']));
});
