import type { Change } from '../api/types';

/** Changes that wait to be sent, kept over a reload. Each window has its own. */
export interface Pending { id: string; changes: Change[]; label: string }

const PREFIX = 'jolly-penny-outbox';
const WINDOW = Math.random().toString(36).slice(2);
const keyOf = (season: number): string => `${PREFIX}-${season}-${WINDOW}`;

export function keepOutbox(season: number, pending: Pending[]): void {
  if (pending.length === 0) localStorage.removeItem(keyOf(season));
  else localStorage.setItem(keyOf(season), JSON.stringify(pending));
}

/** What a window left behind: sending it again where it was sent already changes nothing. */
export function adoptOutbox(season: number): Pending[] {
  const found: Pending[] = [];
  for (const key of Object.keys(localStorage).filter((name) => name.startsWith(`${PREFIX}-${season}-`))) {
    try {
      found.push(...(JSON.parse(localStorage.getItem(key) ?? '[]') as Pending[]));
    } catch {
      // What cannot be read cannot be sent.
    }
    localStorage.removeItem(key);
  }
  return found;
}
