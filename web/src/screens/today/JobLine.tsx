import { clsx } from 'clsx';
import { useState } from 'react';
import type { Job, LogEntry, Season } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { Cautions } from '../cautions/Cautions';
import { logbox } from '../../season/logbox';
import { speciesBeside } from '../../season/site';
import { useCautions } from '../../season/useCautions';
import { kindWords } from '../../words/log';
import { isDate, shortDay } from '../../words/dates';
import { plural, upper } from '../../words/sowing';
import { fromUnit, type Unit } from '../../words/units';
import { CountBox } from './CountBox';
import { SowAgainPart } from './SowAgainPart';
import s from './today.module.css';

type Fact = Omit<LogEntry, 'id' | 'at'>;

interface Props {
  shown: { id: number; season: Season; setup: string };
  job: Job;
  date: string;
  isNext: boolean;
  open: () => void;
  /** It was written down, by these entries. */
  done: (ids: string[]) => void;
}

/** What is written down when a job is done as it stands, or with another number. */
function factsOf(job: Job, on: string, count: number | null): Fact[] {
  const base = { on, kind: job.kind_of_entry, crop: job.crop, job: job.id, tray: job.tray };
  if (job.kind_of_entry === 'sown' && job.parts.length > 0) {
    let left = count ?? job.parts.reduce((sum, { sites }) => sum + sites, 0);
    return job.parts.flatMap(({ tray, row, sites, seeds }, i) => {
      // What is sown beyond the plan stands in the last tray, unless another is named.
      const some = i === job.parts.length - 1 ? left : Math.min(sites, left);
      left -= some;
      return some === 0 ? [] : [{ ...base, tray, row, count: some, seeds: Math.round((seeds * some) / sites) }];
    });
  }
  const seeds =
    job.seeds === null || job.count === null || count === null ? job.seeds : Math.round((job.seeds * count) / job.count);
  const amount = job.amount === null ? {} : { amount: Number(job.amount.toFixed(3)), unit: 'L' };
  return [{ ...base, count, seeds: job.kind_of_entry === 'sown' ? seeds : null, ...amount }];
}

/** One job: ticked with one press as planned, or otherwise. */
export function JobLine({ shown: { id, season, setup }, job, date, isNext, open, done }: Props) {
  const [otherwise, setOtherwise] = useState(false);
  const cautions = useCautions(job.cautions);
  const us = season.units === 'us';
  const species = job.crop === null ? null : speciesBeside(season, job.crop);
  const isDone = job.done_on !== null;
  const write = (facts: Fact[]) => {
    if (facts.length === 0) return;
    void logbox.write(id, facts).then(() => undefined);
    // What was just put in the box stands at its end.
    const ids = logbox
      .get()
      .slice(-facts.length)
      .flatMap(({ entry }) => (entry ? [entry.id] : []));
    setOtherwise(false);
    done(ids);
  };
  const undo = () => {
    void logbox.write(
      id,
      job.entries.map((corrects) => ({ on: date, kind: 'undo' as const, corrects, crop: job.crop, job: null })),
    );
  };
  const counts = job.count !== null && job.kind_of_entry !== 'sown';
  const action =
    job.kind_of_entry === 'sown'
      ? `Sown: ${job.seeds ?? job.count} ${plural(job.seeds ?? 0, 'seed')}`
      : job.amount !== null
        ? 'Wetted'
        : 'Done';
  return (
    <li className={clsx(s.job, isNext && !isDone && s.next, isDone && s.done)} data-job={job.id} data-done={isDone || undefined}>
      <button
        type="button"
        className={s.line}
        aria-expanded={!isDone && isNext}
        onClick={isDone ? undefined : open}
        disabled={isDone}
      >
        <span className={s.box} aria-hidden="true">
          {isDone ? '✓' : ''}
        </span>
        <span>
          <b>{job.words}</b>
          {job.codes !== null && <span className={s.codes}> {job.codes}</span>}
          {species !== null && <span className="quiet"> ({species})</span>}
          {job.date < date && !isDone && <span className="trouble"> ▲ since {shortDay(job.date, us)}</span>}
          {isDone && job.counted !== null && (
            <span>
              {' '}
              {job.counted} {kindWords(job.kind_of_entry, us)}
            </span>
          )}
          {job.detail !== null && !isDone && <small>{upper(job.detail)}</small>}
        </span>
      </button>
      {isDone && job.entries.length > 0 && (
        <button type="button" className="plain" data-action="not-done" aria-label={`Undo: ${job.words}`} onClick={undo}>
          Undo
        </button>
      )}
      {isNext && !isDone && (
        <div className={s.wide}>
          {counts ? (
            <CountBox
              name={job.words}
              value={job.count ?? 0}
              most={job.of ?? 100_000}
              looks={job.kind_of_entry === 'up'}
              verb={kindWords(job.kind_of_entry, us)}
              save={(count) => write(factsOf(job, date, count))}
            />
          ) : (
            <button type="button" className={s.big} data-action="done" onClick={() => write(factsOf(job, date, job.count))}>
              {action}
            </button>
          )}
          {job.kind === 'bring_in' && (
            <button
              type="button"
              className={s.other}
              data-action="left-out"
              onClick={() => write([{ on: date, kind: 'done', crop: null, job: job.id, note: 'left them out' }])}
            >
              Left them out
            </button>
          )}
          <button
            type="button"
            className={s.other}
            data-action="otherwise"
            aria-expanded={otherwise}
            onClick={() => setOtherwise(!otherwise)}
          >
            Change…
          </button>
          {otherwise && <Otherwise job={job} date={date} us={us} write={write} />}
          <Cautions cautions={cautions} />
          {job.asks_again && job.crop !== null && (
            <SowAgainPart season={season} id={id} setup={setup} crop={job.crop} date={date} />
          )}
        </div>
      )}
    </li>
  );
}

/** Fewer, another tray, another day, or not at all. */
function Otherwise({ job, date, us, write }: { job: Job; date: string; us: boolean; write: (facts: Fact[]) => void }) {
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
