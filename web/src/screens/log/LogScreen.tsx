import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, client, words } from '../../api/client';
import { coded } from '../../files/coded';
import { logbox, renewLog } from '../../season/logbox';
import type { Season, WrittenEntry } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { DoingPage } from '../../page/DoingPage';
import { shortDay } from '../../words/dates';
import { entryWords } from '../../words/log';
import { plural } from '../../words/sowing';
import { useEntries } from './useEntries';
import s from './log.module.css';

/** So many at once; more with a press. */
const PAGE = 100;

/** All that is written down in a season, and tables of it both ways. */
export function LogScreen() {
  return <DoingPage>{(shown) => <Entries shown={shown} />}</DoingPage>;
}

function Entries({ shown: { id, season } }: { shown: OnScreen }) {
  const { entries, error } = useEntries(id);
  const [crop, setCrop] = useState('');
  const [many, setMany] = useState(PAGE);
  const [old, showOld] = useState(false);
  if (entries === null)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Reading the log…
      </p>
    );
  const rows = entries.filter((entry) => (old || entry.stands) && (crop === '' || entry.crop === crop)).reverse();
  return (
    <>
      <h1>Log</h1>
      <p className="quiet">
        The newest entry comes first. Corrected and undone entries stay in the file. Add entries under{' '}
        <Link to={`/seasons/${id}/today`}>Today</Link> or with a row of <Link to={`/seasons/${id}/trays`}>Trays</Link>.
      </p>
      <div className="list-tools">
        <label>
          Of{' '}
          <select name="of" value={crop} onChange={(event) => setCrop(event.target.value)} aria-label="Crop">
            <option value="">all crops</option>
            {season.crops.map((one) => (
              <option key={one.id} value={one.id}>
                {varietyOf(season, one.id)}
              </option>
            ))}
          </select>
        </label>
        <label className="tick">
          <input type="checkbox" name="old" checked={old} onChange={(event) => showOld(event.target.checked)} /> show undone
          entries
        </label>
        <a className="plain" href={`/api/seasons/${id}/log.csv`} download>
          As a table (CSV)
        </a>
      </div>
      {entries.length === 0 && (
        <p className="empty">
          No entries yet. <Link to={`/seasons/${id}/today`}>Begin with today’s jobs</Link>: one press each.
        </p>
      )}
      {entries.length > 0 && <EntryTable season={season} id={id} entries={rows.slice(0, many)} />}
      {rows.length > many && (
        <button type="button" className="plain" data-action="more" onClick={() => setMany(many + PAGE)}>
          {rows.length - many} more
        </button>
      )}
      <FromTable season={id} />
    </>
  );
}

interface TableProps {
  season: Season;
  id: number;
  entries: WrittenEntry[];
}

/** Entries by day, each with a way to undo it while it stands. */
function EntryTable({ season, id, entries }: TableProps) {
  const us = season.units === 'us';
  return (
    <table className={s.log} data-part="log">
      <thead>
        <tr>
          <th>Day</th>
          <th>What</th>
          <th>Crop</th>
          <th>Tray</th>
          <th>
            <span className="hidden">Undo</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {entries.map((entry) => (
          <tr key={entry.id} data-entry={entry.id} className={entry.stands ? undefined : s.gone}>
            <td>{shortDay(entry.on, us)}</td>
            <td>{entryWords(entry, us)}</td>
            <td>{entry.crop ? varietyOf(season, entry.crop) : ''}</td>
            <td className="mono">{entry.tray ?? ''}</td>
            <td>
              {entry.stands && (
                <button
                  type="button"
                  className="plain"
                  aria-label={`Undo: ${entryWords(entry, us)}, ${entry.on}`}
                  onClick={() => void logbox.write(id, [{ on: entry.on, kind: 'undo', corrects: entry.id, crop: entry.crop }])}
                >
                  Undo
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A log kept elsewhere, read in. */
function FromTable({ season }: { season: number }) {
  const queries = useQueryClient();
  const [said, say] = useState<{ words: string; faults: { line: number; why: string }[] } | null>(null);
  const read = async (file: File) => {
    try {
      const answer = await answered(
        client.POST('/api/seasons/{season}/log/table', { params: { path: { season } }, body: { file: await coded(file) } }),
      );
      say({
        words: `${answer.rows} ${plural(answer.rows, 'line')} read, ${answer.new} ${plural(answer.new, 'entry', 'entries')} new.`,
        faults: answer.faults,
      });
      void renewLog(queries, season);
    } catch (error) {
      say({ words: words(error), faults: [] });
    }
  };
  return (
    <section className={s.table} aria-labelledby="log-table" data-part="log-table">
      <h2 id="log-table">Read entries from a table</h2>
      <p>
        A CSV with at least the columns <code>on</code> (the day, as 2027-04-08) and <code>kind</code>. “As a table (CSV)” above
        gives an example. Reading the same table twice adds nothing.
      </p>
      <input
        type="file"
        name="log-table"
        aria-label="Table of entries, CSV"
        accept=".csv,text/csv"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void read(file);
          event.target.value = '';
        }}
      />
      {said !== null && (
        <div role="status">
          <p>{said.words}</p>
          {said.faults.length > 0 && (
            <ul className="trouble">
              {said.faults.map(({ line, why }) => (
                <li key={line}>
                  Line {line}: {why}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </section>
  );
}
