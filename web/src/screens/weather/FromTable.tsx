import { useState } from 'react';
import { answered, client } from '../../api/client';
import type { Weather, WeatherKept } from '../../api/types';
import { coded } from '../../files/coded';
import { isDate, today } from '../../words/dates';
import { plural } from '../../words/sowing';
import { useRun } from './useRun';
import s from './weather.module.css';

const MOST_BYTES = 4_000_000;

/** Days out of a table: what was measured, or what is forecast; a day that is there already takes the new values. */
export function FromTable({ season, place, us }: { season: number; place: Weather['places'][number]; us: boolean }) {
  const [unit, setUnit] = useState<'C' | 'F'>(us ? 'F' : 'C');
  const [isForecast, setForecast] = useState(false);
  const [made, setMade] = useState(today());
  const [typed, setTyped] = useState('');
  const [kept, setKept] = useState<WeatherKept | null>(null);
  const { why, run, refuse } = useRun(season);
  const read = (table: Blob) => {
    setKept(null);
    if (table.size === 0) return refuse('Choose a file, or type days: 2027-05-03, 36, 57.');
    if (table.size > MOST_BYTES) return refuse('This table is larger than 4 MB. Split it.');
    if (isForecast && !isDate(made)) return refuse('Say on which day it was forecast.');
    void run(async () => {
      const body = { table: await coded(table), unit, month_first: us, made_on: isForecast ? made : null };
      setKept(await answered(client.POST('/api/weather/{place}/table', { params: { path: { place: place.id } }, body })));
      setTyped('');
    });
  };
  return (
    <details data-part="weather-table">
      <summary>
        Read in days<span className="hidden"> of {place.name}</span>
      </summary>
      <p className={s.tools}>
        <label>
          <input type="radio" name={`kind-${place.id}`} checked={!isForecast} onChange={() => setForecast(false)} /> measured
        </label>
        <label>
          <input type="radio" name={`kind-${place.id}`} checked={isForecast} onChange={() => setForecast(true)} /> forecast
        </label>
        {isForecast && (
          <label>
            made on <input type="date" name="made-on" value={made} onChange={(event) => setMade(event.target.value)} />
          </label>
        )}
        <label>
          in{' '}
          <select name="weather-unit" value={unit} onChange={(event) => setUnit(event.target.value as 'C' | 'F')}>
            <option value="C">°C</option>
            <option value="F">°F</option>
          </select>
        </label>
      </p>
      <p className={s.tools}>
        <label>
          A file{' '}
          <input
            type="file"
            name="weather-file"
            accept=".csv,.txt,.tsv,text/csv"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) read(chosen);
              event.target.value = '';
            }}
          />
        </label>
      </p>
      <label className={s.typed}>
        or type or paste: date, lowest, highest
        <textarea
          name="weather-days"
          rows={4}
          value={typed}
          placeholder={us ? '2027-05-03, 36, 57' : '2027-05-03, 2.5, 14'}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="button" className="plain" data-action="read-days" onClick={() => read(new Blob([typed]))}>
        Keep these days
      </button>
      {why !== null && <p role="alert">{why}</p>}
      {kept !== null && <Read kept={kept} />}
    </details>
  );
}

function Read({ kept }: { kept: WeatherKept }) {
  return (
    <div role="status" data-part="weather-kept">
      <p>
        {kept.kept} {plural(kept.kept, 'day')} kept
        {kept.known > 0 ? `, ${kept.known} were there already` : ''}
        {kept.changed > 0 ? `, ${kept.changed} took the new values` : ''}
        {kept.refused > 0 ? `, ${kept.refused} could not be read` : ''}.
      </p>
      {kept.faults.length > 0 && (
        <ul className="trouble">
          {kept.faults.map(({ line, why }) => (
            <li key={line}>
              Line {line}: {why}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
