import { useState } from 'react';
import type { Job } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { isDate } from '../../words/dates';
import { fromUnit, type Unit } from '../../words/units';
import { CountBox } from './CountBox';
import { factsOf, type Fact } from './jobFacts';
import s from './today.module.css';

/** Fewer, another tray, another day, or not at all. */
export function Otherwise({ job, date, us, write }: { job: Job; date: string; us: boolean; write: (facts: Fact[]) => void }) {
  const unit: Unit = us ? 'qt' : 'L';
  const [until, setUntil] = useState('');
  const [tray, setTray] = useState(job.tray ?? '');
  const [note, setNote] = useState('');
  const [used, setUsed] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const base = { crop: job.crop, job: job.id };
  const putOff = () => {
    if (!isDate(until) || until <= date) return setWhy('Choose a day after this one.');
    write([{ ...base, on: date, kind: 'put_off', until, note: note.trim() }]);
  };
  const wetted = () => {
    const typed = parseNumber(used, { least: 0, most: 100_000, unit });
    if (!typed.ok) return setWhy(typed.why);
    write(
      factsOf(job, date, null).map((fact) => ({
        ...fact,
        amount: Number(fromUnit(typed.value, unit).toFixed(3)),
        note: note.trim(),
      })),
    );
  };
  const sown = (count: number) => {
    const letters = tray.trim().toUpperCase().slice(0, 10);
    const facts = factsOf(job, date, count);
    write(
      letters === '' || letters === job.tray
        ? facts
        : facts.slice(0, 1).map((fact) => ({ ...fact, tray: letters, row: null, count })),
    );
  };
  return (
    <div className={s.otherwise} data-part="otherwise">
      {job.kind_of_entry === 'sown' && (
        <>
          <label>
            Tray <input name="tray" value={tray} maxLength={10} onChange={(event) => setTray(event.target.value)} size={4} />
          </label>
          <CountBox name={job.words} value={job.count ?? 0} most={100_000} looks={false} verb="sown" save={sown} />
        </>
      )}
      {job.amount !== null && (
        <>
          <label>
            Used, in {unit}{' '}
            <input name="used" inputMode="decimal" size={5} value={used} onChange={(event) => setUsed(event.target.value)} />
          </label>
          <button type="button" data-action="used" onClick={wetted}>
            Save the amount
          </button>
        </>
      )}
      <label>
        Another day <input type="date" name="until" value={until} min={date} onChange={(event) => setUntil(event.target.value)} />
      </label>
      <button type="button" data-action="put-off" onClick={putOff}>
        Put it off
      </button>
      <label>
        Why <input name="note" value={note} maxLength={300} onChange={(event) => setNote(event.target.value)} />
      </label>
      <button
        type="button"
        data-action="not-needed"
        onClick={() =>
          write([{ ...base, on: date, kind: 'done', note: note.trim() === '' ? 'not needed' : `not needed: ${note.trim()}` }])
        }
      >
        Not needed
      </button>
      {why !== null && <p role="alert">{why}</p>}
    </div>
  );
}
