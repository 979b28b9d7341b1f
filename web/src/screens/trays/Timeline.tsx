import type { Season } from '../../api/types';
import { logbox } from '../../season/logbox';
import { shortDay } from '../../words/dates';
import { entryWords } from '../../words/log';
import { useEntries } from '../log/useEntries';
import s from './trays.module.css';

/** All that happened to a crop in a tray, the last first. */
export function Timeline({ season, id, crop, tray }: { season: Season; id: number; crop: string; tray: string }) {
  const { entries } = useEntries(id);
  const mine = entries?.filter((entry) => entry.stands && entry.crop === crop && (entry.tray ?? tray) === tray) ?? [];
  return (
    <div data-part="timeline">
      <h3>What happened</h3>
      {entries !== null && mine.length === 0 && <p className="quiet">Nothing is written down yet.</p>}
      <ol className={s.timeline}>
        {[...mine].reverse().map((entry) => (
          <li key={entry.id}>
            <span className="quiet">{shortDay(entry.on, season.units === 'us')}</span> <span>{entryWords(entry)}</span>
            <button
              type="button"
              className="plain"
              aria-label={`not so: ${entryWords(entry)}, ${entry.on}`}
              onClick={() => void logbox.write(id, [{ on: entry.on, kind: 'undo', corrects: entry.id, crop }])}
            >
              not so
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
