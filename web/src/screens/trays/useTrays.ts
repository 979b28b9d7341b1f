import { answered, client } from '../../api/client';
import type { LogEntry, RowPicture, TrayPicture } from '../../api/types';
import { today } from '../../words/dates';
import { asking, useAsked } from '../../season/useOfRevision';

export const askTrays = (season: number, setup: string) =>
  asking(['trays', season, setup], () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/trays', {
        params: { path: { season, setup }, query: { on: today() } },
      }),
    ),
  );

export const useTrays = (season: number, setup: string, revision: number) => useAsked(askTrays(season, setup), revision);

/** What one site of a tray shows: nothing sown yet, seed, a plant, or nothing came of it. */
export type Cell = 'planned' | 'seed' | 'plant' | 'empty';

/** The sites of a row by what is known: as many plants as are alive, then what did not come, then what waits. */
export function cellsOf(run: RowPicture, plants: number | null): Cell[] {
  return Array.from({ length: run.sites }, (_, n) => {
    if (!run.filled) return 'planned';
    if (run.left) return 'empty';
    if (plants === null) return run.stage === 0 ? 'seed' : 'plant';
    return n < plants ? 'plant' : 'empty';
  });
}

/** Entries that wait to be sent, of one crop in one tray. */
export const waitingFor = (entries: LogEntry[], crop: string, tray: string): LogEntry[] =>
  entries.filter((entry) => entry.crop === crop && (entry.tray ?? tray) === tray);

export const rowOf = (trays: TrayPicture[], letters: string | undefined, row: string | undefined) => {
  const tray = trays.find(({ id }) => id === letters);
  const run = tray?.runs.find((one) => Number(row) >= one.row && Number(row) < one.row + one.rows);
  return tray && run ? { tray, run } : null;
};

/** What is moved where. */
export interface Move {
  tray: string;
  row: number;
  to: string;
  to_row: number;
}
