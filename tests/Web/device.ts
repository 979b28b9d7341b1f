import { vi } from 'vitest';

// A device's own store, which jsdom has not: everything is forgotten with the test. To be imported before the application.
vi.mock('idb-keyval', () => {
  const kept = new Map<unknown, unknown>();
  return {
    createStore: () => undefined,
    set: async (key: unknown, value: unknown) => void kept.set(key, value),
    setMany: async (rows: [unknown, unknown][]) => rows.forEach(([key, value]) => kept.set(key, value)),
    delMany: async (names: unknown[]) => names.forEach((key) => kept.delete(key)),
    entries: async () => [...kept.entries()],
    clear: async () => kept.clear(),
  };
});
