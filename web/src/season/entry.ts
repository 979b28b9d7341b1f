import type { ChangedSeason, Season, SeasonState, SetupPicture, SetupResult, TillMove } from '../api/types';

/** What the last change did to the till of a set-up. */
export interface LastChange {
  label: string;
  setup: string;
  till: TillMove;
  crops: Record<string, TillMove>;
}

/** What this window knows of a season: its newest revision, and the figures of each set-up with the revision they are of. */
export interface Entry {
  revision: number;
  season: Season;
  history: SeasonState['history'];
  figures: Record<string, Figures>;
  last: LastChange | null;
  /** No figures could be made of it; what there is can be seen, and the last change taken back. */
  unreckoned: boolean;
  /** Made up, to look around in. */
  demo: boolean;
}

interface Figures {
  revision: number;
  result: SetupResult;
  picture: SetupPicture;
}

/** What an answer adds to what is known; an older answer that comes late adds nothing. */
export function take(known: Entry | undefined, state: SeasonState, label?: string): Entry {
  if (known !== undefined && state.revision < known.revision) return known;
  const figures: Entry['figures'] = {};
  for (const { id } of state.season.setups) {
    const result = state.result.setups.find((row) => row.id === id);
    const picture = state.pictures[id];
    const before = known?.figures[id];
    if (result !== undefined && picture !== undefined) figures[id] = { revision: state.revision, result, picture };
    else if (before !== undefined) figures[id] = before;
  }
  const last = label === undefined || !state.moved ? (known?.last ?? null) : { label, ...state.moved };
  return {
    revision: state.revision,
    season: state.season,
    history: state.history,
    figures,
    last,
    unreckoned: state.unreckoned === true,
    demo: state.demo,
  };
}

/**
 * An answer with the whole season, where it told only what changed since the revision that is known; null where another one is known by
 * now.
 */
export function whole(known: Entry | undefined, { season, part, ...answer }: ChangedSeason): SeasonState | null {
  if (season !== undefined) return { ...answer, season };
  if (part === undefined || known?.revision !== part.since) return null;
  return { ...answer, season: { ...known.season, ...part.keys } as Season };
}

/** The wished set-up where there is one, else the first. */
export const setupOf = (entry: Entry, wish: string | null): string | null =>
  entry.season.setups.some(({ id }) => id === wish) ? wish : (entry.season.setups[0]?.id ?? null);
