import { useState } from 'react';
import type { Season } from '../../api/types';
import { logbox } from '../../season/logbox';
import { varietyOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { entryWords } from '../../words/log';
import { useEntries } from '../log/useEntries';
import s from './trays.module.css';

/** All that happened to a crop in a tray, the last first. */
export function Timeline({ season, id, crop, tray }: { season: Season; id: number; crop: string; tray: string }) {
  const { entries } = useEntries(id);
  const [whole, setWhole] = useState(false);
  const mine =
    entries?.filter(
      (entry) => entry.stands && (whole ? entry.tray === tray : entry.crop === crop && (entry.tray ?? tray) === tray),
    ) ?? [];
  return (
    <div data-part="timeline">
      <h3>What happened</h3>
      <label className="tick">
        <input type="checkbox" name="whole-tray" checked={whole} onChange={(event) => setWhole(event.target.checked)} /> of the
        whole tray {tray}
      </label>
      {entries !== null && mine.length === 0 && <p className="quiet">No entries yet.</p>}
      <ol className={s.timeline}>
        {[...mine].reverse().map((entry) => (
          <li key={entry.id}>
            <span className="quiet">{shortDay(entry.on, season.units === 'us')}</span>{' '}
            <span>
              {whole && entry.crop ? `${varietyOf(season, entry.crop)}: ` : ''}
              {entryWords(entry, season.units === 'us')}
            </span>
            <button
              type="button"
              className="plain"
              aria-label={`Undo: ${entryWords(entry, season.units === 'us')}, ${entry.on}`}
              onClick={() => void logbox.write(id, [{ on: entry.on, kind: 'undo', corrects: entry.id, crop }])}
            >
              Undo
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
