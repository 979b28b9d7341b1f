import type { QueryClient } from '@tanstack/react-query';
import type { SeasonLine, SeasonState } from '../api/types';
import { setupOf } from './entry';
import { keys, learn } from './queue';
import { shownSetup } from './shownSetup';

/** What the page brought with it is not asked for again while the page is new. */
const NEW_MS = 15_000;
let brought = false;
export const stillNew = (): number => (brought ? Math.max(0, NEW_MS - performance.now()) : 0);

interface Known {
  seasons?: SeasonLine[];
  state?: SeasonState & { id: number };
}

/** The page brings what would be asked for first; what is known is shown at once and renewed behind. */
export function knowFromPage(queries: QueryClient): void {
  const { seasons, state } = JSON.parse(document.getElementById('known')?.textContent ?? '{}') as Known;
  if (seasons) queries.setQueryData(['seasons'], { seasons });
  if (!state) return;
  const entry = learn(queries, state.id, state);
  const setup = setupOf(entry, shownSetup.get(state.id));
  // Only the figures of the set-up that was brought are here.
  if (setup !== null && entry.figures[setup]?.revision === entry.revision)
    queries.setQueryData(keys.figures(state.id, setup), entry.revision);
  brought = true;
  // Whoever comes back to the window wants what another has changed meanwhile.
  const forget = () => (brought = false);
  document.addEventListener('visibilitychange', forget, { once: true });
  window.addEventListener('focus', forget, { once: true });
}

/** The page's own words for the answer give way to the first screen. */
export const dropEarlyWords = (): void => document.getElementById('early')?.remove();
