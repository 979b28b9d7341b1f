const KEY = 'jolly-penny-setup-';

const listeners = new Set<() => void>();

/** Which set-up of a season is on screen, as this device remembers it. */
export const shownSetup = {
  get: (season: number): string | null => localStorage.getItem(KEY + season),
  set: (season: number, setup: string): void => {
    localStorage.setItem(KEY + season, setup);
    listeners.forEach((listener) => listener());
  },
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};
