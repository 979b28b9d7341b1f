import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { words } from '../../api/client';
import type { Job } from '../../api/types';
import { DoingPage } from '../../page/DoingPage';
import type { OnScreen } from '../../season/SeasonContext';
import { today, weekdayAnd } from '../../words/dates';
import { DayHead } from './DayHead';
import { JobLine } from './JobLine';
import { Marked } from './Marked';
import { dayIn, dayToShow, onDay, useJobs } from './useJobs';
import { Tonight } from './Tonight';
import { WriteDown } from './WriteDown';
import { Written } from './Written';
import s from './today.module.css';

const GROUPS: readonly (readonly [Job['group'], string])[] = [
  ['prepare', 'Get ready'],
  ['wet', 'Wet and fill'],
  ['sow', 'Sow and label at once'],
  ['look', 'Look'],
  ['move', 'Move'],
  ['water', 'Feed'],
  ['out', 'Plant out'],
  ['evening', 'This evening'],
];
/** What comes next can be done early. */
const AHEAD = 2;

/** The session at hand: what is done on a day, group by group, the next job wide open. */
export function TodayScreen() {
  return <DoingPage>{(shown) => <Day shown={shown} />}</DoingPage>;
}

/** Whoever ticks jobs by keyboard goes on with the next one instead of starting at the top of the page. */
function useNextInFocus(next: string | null, done: string | null) {
  useEffect(() => {
    // A pressed button that is gone leaves the page itself in focus.
    if (done === null || next === null || next === done || document.activeElement !== document.body) return;
    document.querySelector<HTMLElement>(`[data-job="${CSS.escape(next)}"] button`)?.focus();
  }, [next, done]);
}

function Day({ shown: { id, season, setup, revision } }: { shown: OnScreen }) {
  const { jobs, lastOn, marked, tonight, error } = useJobs(id, setup.id, revision);
  const [query, setQuery] = useSearchParams();
  const [opened, open] = useState<{ date: string; job: string } | null>(null);
  const [last, setLast] = useState<{ job: Job; ids: string[] } | null>(null);
  const us = season.units === 'us';
  const asked = dayIn(query.get('day'));
  const date = asked ?? (jobs ? dayToShow(jobs, lastOn, today()) : today());
  const { own, late } = onDay(jobs ?? [], date);
  const open_ = [...late, ...own].filter((job) => job.done_on === null);
  const next = opened?.date === date ? opened.job : (open_[0]?.id ?? null);
  useNextInFocus(next, last?.job.id ?? null);
  if (jobs === null)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Laying out the day…
      </p>
    );
  const coming = [...new Set(jobs.filter((job) => job.done_on === null && job.date > date).map((job) => job.date))].slice(
    0,
    AHEAD,
  );
  const done = (job: Job, ids: string[]) => {
    open(null);
    setLast({ job, ids });
  };
  const line = (job: Job) => (
    <JobLine
      key={job.id}
      shown={{ id, season, setup: setup.id }}
      job={job}
      date={date}
      isNext={job.id === next}
      open={() => open({ date, job: job.id })}
      done={(ids) => done(job, ids)}
    />
  );
  return (
    <div className={s.day}>
      <DayHead id={id} us={us} jobs={jobs} date={date} own={own} open={open_} go={(to) => setQuery({ day: to })} />
      {tonight?.on === date && <Tonight id={id} night={tonight} us={us} />}
      {marked.length > 0 && <Marked season={season} id={id} marked={marked} />}
      {last !== null && <Written season={id} date={date} {...last} undone={() => setLast(null)} />}
      {late.length > 0 && (
        <section aria-labelledby="late-title" data-part="late">
          <h2 id="late-title">Overdue</h2>
          <ul className={s.jobs}>{late.map(line)}</ul>
        </section>
      )}
      {GROUPS.map(([group, title]) => {
        const rows = own.filter((job) => job.group === group);
        return rows.length === 0 ? null : (
          <section key={group} aria-labelledby={`group-${group}`} data-part={`group-${group}`}>
            <h2 id={`group-${group}`}>{title}</h2>
            <ul className={s.jobs}>{rows.map(line)}</ul>
          </section>
        );
      })}
      {coming.map((one) => (
        <details key={one} className={s.coming} data-part="coming">
          <summary>
            {weekdayAnd(one, us)}: {jobs.filter((job) => job.date === one && job.done_on === null).length} to do, and can be done
            early
          </summary>
          <ul className={s.jobs}>{jobs.filter((job) => job.date === one && job.done_on === null).map(line)}</ul>
        </details>
      ))}
      <WriteDown season={id} date={date} us={us} />
      <p className={s.links}>
        <Link to={`/seasons/${id}/log`}>The whole log</Link> · <Link to={`/seasons/${id}/trays`}>The trays</Link>
      </p>
    </div>
  );
}
