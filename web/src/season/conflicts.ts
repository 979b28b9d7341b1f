import type { Change, Conflict } from '../api/types';

/** Two windows changed the same, and the person is asked which value stays. */
export interface Asked {
  conflicts: Conflict[];
  choose: (mine: boolean) => void;
}

let asked: Asked | null = null;
const listeners = new Set<() => void>();

const set = (next: Asked | null): void => {
  asked = next;
  listeners.forEach((listener) => listener());
};

export const conflicts = {
  get: (): Asked | null => asked,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  /** True where the person's own values are to be used. */
  ask: (found: Conflict[]): Promise<boolean> =>
    new Promise((resolve) => {
      set({
        conflicts: found,
        choose: (mine) => {
          set(null);
          resolve(mine);
        },
      });
    }),
};

/** The changes on top of the other window's values. */
export const onTopOf = (changes: Change[], found: Conflict[]): Change[] =>
  changes.map((change) => {
    const theirs = found.find(({ path }) => JSON.stringify(path) === JSON.stringify(change.path));
    return theirs ? { ...change, from: theirs.theirs } : change;
  });
