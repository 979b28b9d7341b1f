import type { QueryClient } from '@tanstack/react-query';
import type { SeasonLine, SeasonState } from '../api/types';
import { learn } from './queue';

interface Known {
  seasons?: SeasonLine[];
  state?: SeasonState & { id: number };
}

/** The page brings what would be asked for first; what is known is shown at once and renewed behind. */
export function knowFromPage(queries: QueryClient): void {
  const { seasons, state } = JSON.parse(document.getElementById('known')?.textContent ?? '{}') as Known;
  if (seasons) queries.setQueryData(['seasons'], { seasons });
  if (state) learn(queries, state.id, state);
}

/** The page's own words for the answer give way to the first screen. */
export const dropEarlyWords = (): void => document.getElementById('early')?.remove();
