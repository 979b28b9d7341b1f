import { clsx } from 'clsx';
import { useState } from 'react';
import type { Job, Season } from '../../api/types';
import { Cautions } from '../cautions/Cautions';
import { logbox } from '../../season/logbox';
import { speciesBeside } from '../../season/site';
import { useCautions } from '../../season/useCautions';
import { kindWords } from '../../words/log';
import { shortDay } from '../../words/dates';
import { plural, upper } from '../../words/sowing';
import { CountBox } from './CountBox';
import { factsOf, type Fact } from './jobFacts';
import { Otherwise } from './Otherwise';
import { SowAgainPart } from './SowAgainPart';
import s from './today.module.css';

interface Props {
  shown: { id: number; season: Season; setup: string };
  job: Job;
  date: string;
  isNext: boolean;
  open: () => void;
  /** It was written down, by these entries. */
  done: (ids: string[]) => void;
}

/** One job: ticked with one press as planned, or otherwise. */
export function JobLine({ shown: { id, season, setup }, job, date, isNext, open, done }: Props) {
  const isDone = job.done_on !== null;
  const write = (facts: Fact[]) => {
    if (facts.length === 0) return;
    void logbox.write(id, facts).then(() => undefined);
    // What was just put in the box stands at its end.
    const ids = logbox
      .get()
      .slice(-facts.length)
      .flatMap(({ entry }) => (entry ? [entry.id] : []));
    done(ids);
  };
  const undo = () => {
    void logbox.write(
      id,
      job.entries.map((corrects) => ({ on: date, kind: 'undo' as const, corrects, crop: job.crop, job: null })),
    );
  };
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
        <JobWords season={season} job={job} date={date} />
      </button>
      {isDone && job.entries.length > 0 && (
        <button type="button" className="plain" data-action="not-done" aria-label={`Undo: ${job.words}`} onClick={undo}>
          Undo
        </button>
      )}
      {isNext && !isDone && <DoIt shown={{ id, season, setup }} job={job} date={date} write={write} />}
    </li>
  );
}

/** What to do and where, since when it waits, and what was counted. */
function JobWords({ season, job, date }: { season: Season; job: Job; date: string }) {
  const us = season.units === 'us';
  const species = job.crop === null ? null : speciesBeside(season, job.crop);
  const isDone = job.done_on !== null;
  return (
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
  );
}

interface DoItProps {
  shown: Props['shown'];
  job: Job;
  date: string;
  write: (facts: Fact[]) => void;
}

/** The answers to a job: done as planned or as counted, left out, changed; its cautions, and whether to sow again. */
function DoIt({ shown: { id, season, setup }, job, date, write: put }: DoItProps) {
  const [otherwise, setOtherwise] = useState(false);
  // A job may stay after an answer; its further fields are closed then.
  const write = (facts: Fact[]) => {
    setOtherwise(false);
    put(facts);
  };
  const cautions = useCautions(job.cautions);
  const us = season.units === 'us';
  const counts = job.count !== null && job.kind_of_entry !== 'sown';
  const action =
    job.kind_of_entry === 'sown'
      ? `Sown: ${job.seeds ?? job.count} ${plural(job.seeds ?? 0, 'seed')}`
      : job.amount !== null
        ? 'Wetted'
        : 'Done';
  return (
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
      {job.asks_again && job.crop !== null && <SowAgainPart season={season} id={id} setup={setup} crop={job.crop} date={date} />}
    </div>
  );
}
