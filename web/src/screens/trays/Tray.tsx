import { clsx } from 'clsx';
import type { LogEntry, RowFacts, RowPicture, Season, TrayPicture } from '../../api/types';
import { speciesBeside, varietyOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { cellsOf, waitingFor, type Cell } from './useTrays';
import s from './trays.module.css';

interface Props {
  season: Season;
  tray: TrayPicture;
  facts: Record<string, RowFacts>;
  entries: LogEntry[];
  /** First row of what is chosen in it. */
  chosen: number | null;
  choose: (row: number) => void;
  dragged: { tray: string; row: number } | null;
  drag: (what: { tray: string; row: number } | null) => void;
  drop: (row: number) => void;
}

/** A tray from above, its notch at the top left: rows across, names beside their rows. */
export function Tray({ season, tray, facts, entries, chosen, choose, dragged, drag, drop }: Props) {
  const us = season.units === 'us';
  const rows: ({ run: RowPicture } | { free: number; row: number } | { label: true })[] = [];
  let at = 1;
  if (tray.label_row) {
    rows.push({ label: true });
    at = 2;
  }
  for (const run of tray.runs) {
    if (run.row > at) rows.push({ free: run.row - at, row: at });
    rows.push({ run });
    at = run.row + run.rows;
  }
  if (at <= tray.rows) rows.push({ free: tray.rows - at + 1, row: at });
  const allow = (event: React.DragEvent) => dragged !== null && event.preventDefault();
  const warmth = [tray.mat ? 'on the mat' : '', tray.light ? 'under the lamp' : ''].filter(Boolean).join(', ');
  return (
    <section className={s.tray} aria-label={`Tray ${tray.id}`} data-tray={tray.id}>
      <h2 className={s.trayName}>
        {tray.by_tens ? `${tray.id}, ${tray.name}` : `Tray ${tray.id}, ${tray.sites} cells`}
        <small>{[tray.by_tens ? ', in tens' : '', warmth === '' ? '' : `, ${warmth}`].join('')}</small>
      </h2>
      <ol style={{ ['--columns' as string]: tray.columns }}>
        {rows.map((row) => {
          if ('label' in row)
            return (
              <li key="label" className={s.labelRow}>
                <span className={s.cells}>labels</span>
              </li>
            );
          if ('free' in row)
            return (
              <li key={`free-${row.row}`} className={s.free} data-free={row.row} onDragOver={allow} onDrop={() => drop(row.row)}>
                <span className={s.cells} aria-hidden="true">
                  {Array.from(
                    { length: Math.min(row.free * tray.columns, Math.max(0, tray.sites - (row.row - 1) * tray.columns)) },
                    (_, n) => (
                      <i key={n} />
                    ),
                  )}
                </span>
                <span className="quiet">free row</span>
              </li>
            );
          const { run } = row;
          const name = varietyOf(season, run.crop);
          const species = speciesBeside(season, run.crop);
          return (
            <li
              key={`${run.crop}-${run.row}`}
              className={clsx(s.run, chosen === run.row && s.chosen)}
              data-row={run.row}
              draggable
              onDragStart={() => drag({ tray: tray.id, row: run.row })}
              onDragEnd={() => drag(null)}
              onDragOver={allow}
              onDrop={() => drop(run.row)}
            >
              <button type="button" onClick={() => choose(run.row)} aria-current={chosen === run.row || undefined}>
                <Cells run={run} plants={countedNow(run, tray, entries) ?? run.plants} />
                <span>
                  <b>{name}</b>
                  {species !== null && <span className="quiet"> {species}</span>}
                  <small>
                    <span className="mono">{run.code}</span>: {said(run, tray, facts[run.crop], entries, us)}
                    {run.continued ? '; continues in another tray' : ''}
                  </small>
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** What was counted of a row last, with what waits on this device. */
const countedNow = (run: RowPicture, tray: TrayPicture, entries: LogEntry[]): number | null =>
  waitingFor(entries, run.crop, tray.id)
    .filter(({ kind }) => kind === 'up')
    .at(-1)?.count ?? null;

function said(run: RowPicture, tray: TrayPicture, whole: RowFacts | undefined, entries: LogEntry[], us: boolean): string {
  if (run.left) return 'moved on';
  if (!run.filled) return `${run.sites}, ${shortDay(run.from, us)}`;
  const there = run.plants === null ? '' : `${run.plants} of ${run.count_of} there`;
  if (run.stage > 0) return there || String(run.count_of);
  const up = countedNow(run, tray, entries) ?? run.up;
  if (up !== null) return `${up} of ${run.count_of} up${run.plants !== null && run.plants < up ? `, ${run.plants} there` : ''}`;
  if (whole && whole.up !== null)
    return `${whole.up} of ${run.unit === 'seeds' ? whole.seeds : whole.up_of} up${run.continued ? ' in total' : ''}`;
  return `${run.count_of} ${run.unit === 'seeds' ? 'seeds ' : ''}sown`;
}

function Cells({ run, plants }: { run: RowPicture; plants: number | null }) {
  return (
    <span className={s.cells} aria-hidden="true">
      {cellsOf(run, plants).map((cell, n) => (
        <i key={n} className={s[cell]}>
          <Mark cell={cell} />
        </i>
      ))}
    </span>
  );
}

function Mark({ cell }: { cell: Cell }) {
  if (cell === 'seed')
    return (
      <svg viewBox="0 0 20 20">
        <circle cx="7" cy="10" r="2" />
        <circle cx="13" cy="10" r="2" />
      </svg>
    );
  if (cell === 'plant')
    return (
      <svg viewBox="0 0 20 20">
        <path d="M10 16V10M10 10C5 10 4 7 4 5c4 0 6 2 6 5M10 11c5 0 6-3 6-5-4 0-6 2-6 5" />
      </svg>
    );
  return null;
}
