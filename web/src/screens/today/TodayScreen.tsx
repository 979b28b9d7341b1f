import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { words } from '../../api/client';
import type { Job, LogEntry } from '../../api/types';
import { logbox } from '../../season/logbox';
import type { OnScreen } from '../../season/SeasonContext';
import { DoingPage } from '../../page/DoingPage';
import { SetupPicker } from '../../page/SetupPicker';
import { varietyOf } from '../../season/site';
import { day, shortDay, today } from '../../words/dates';
import { duration } from '../../words/durations';
import { entryWords } from '../../words/log';
import { fromUnit } from '../../words/units';
import { JobLine } from './JobLine';
import { dayToShow, onDay, useJobs } from './useJobs';
import s from './today.module.css';

const GROUPS: readonly (readonly [Job['group'], string])[] = [
  ['prepare', 'Get ready'],
  ['wet', 'Wet and fill'],
  ['sow', 'Sow and label at once'],
  ['look', 'Look'],
  ['move', 'Move'],
  ['water', 'Feed'],
  ['out', 'Plant out'],
];
const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' });
const named = (date: string, us: boolean) => `${WEEKDAY.format(new Date(`${date}T00:00:00Z`))} ${day(date, us)}`;
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

interface Undoable {
  job: Job;
  ids: string[];
}

function Day({ shown: { id, season, setup, revision } }: { shown: OnScreen }) {
  const { jobs, lastOn, marked, error } = useJobs(id, setup.id, revision);
  const [query, setQuery] = useSearchParams();
  const [opened, open] = useState<{ date: string; job: string } | null>(null);
  const [last, setLast] = useState<Undoable | null>(null);
  const us = season.units === 'us';
  const asked = query.get('day');
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
  const minutes = open_.reduce((sum, job) => sum + job.minutes, 0);
  const days = [...new Set(jobs.filter((job) => job.done_on === null || job.done_on === job.date).map((job) => job.date))].sort();
  const [before, after] = [days.filter((one) => one < date).at(-1), days.find((one) => one > date)];
  const coming = [...new Set(jobs.filter((job) => job.done_on === null && job.date > date).map((job) => job.date))].slice(
    0,
    AHEAD,
  );
  const go = (to: string) => setQuery({ day: to });
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
      <header className={s.head}>
        <h1>{named(date, us)}</h1>
        <p className="quiet" data-part="minutes">
          {open_.length === 0
            ? own.length > 0
              ? 'All done for this day.'
              : 'Nothing to do on this day.'
            : minutes >= 1
              ? `${duration(minutes)}, all told.`
              : 'A few minutes.'}
          {own.some(({ away }) => away) && <span className="trouble"> ▲ You are away on this day.</span>}
        </p>
        <nav aria-label="Days" className={s.days}>
          <button
            type="button"
            className="plain"
            data-action="before"
            disabled={before === undefined}
            onClick={() => go(before ?? date)}
          >
            ◂ {before === undefined ? 'nothing before' : day(before, us)}
          </button>
          {date !== today() && (
            <button type="button" className="plain" data-action="today" onClick={() => go(today())}>
              today
            </button>
          )}
          <button
            type="button"
            className="plain"
            data-action="after"
            disabled={after === undefined}
            onClick={() => go(after ?? date)}
          >
            {after === undefined ? 'nothing after' : day(after, us)} ▸
          </button>
          <SetupPicker />
        </nav>
        {jobs.length === 0 && (
          <p className="empty">
            This set-up grows nothing yet. <Link to={`/seasons/${id}/list`}>Put crops on the list</Link>, and their jobs appear
            here.
          </p>
        )}
      </header>
      {marked.length > 0 && (
        <section aria-labelledby="marked-title" className="trouble" data-part="marked">
          <h2 id="marked-title">Check these entries first</h2>
          <ul>
            {marked.map((one) => (
              <li key={one.id}>
                {[
                  shortDay(one.on, us),
                  one.crop === null ? null : varietyOf(season, one.crop),
                  entryWords({ kind: one.kind as LogEntry['kind'], count: one.count }, us),
                ]
                  .filter(Boolean)
                  .join(', ')}
                : {one.why} <Link to={`/seasons/${id}/log`}>Correct it in the log</Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      {last !== null && (
        <p className={s.undo} role="status" data-part="undo">
          Written down: {last.job.words}.{' '}
          <button
            type="button"
            className="plain"
            data-action="undo"
            onClick={() => {
              void logbox.write(
                id,
                last.ids.map((corrects) => ({ on: date, kind: 'undo' as const, corrects, crop: last.job.crop, job: null })),
              );
              setLast(null);
            }}
          >
            Undo
          </button>
        </p>
      )}
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
            {named(one, us)}: {jobs.filter((job) => job.date === one && job.done_on === null).length} to do, and can be done early
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

/** What no job asks for: a reading, or a note. */
function WriteDown({ season, date, us }: { season: number; date: string; us: boolean }) {
  const [kind, setKind] = useState<'note' | 'air_c' | 'soil_c' | 'kWh'>('note');
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const write = () => {
    const amount = Number(text.replace(',', '.'));
    if (text.trim() === '') return setSaid('Type a note or a reading first.');
    if (kind !== 'note' && !Number.isFinite(amount)) return setSaid('Type the reading as a number, for example 21.5.');
    const entry =
      kind === 'note'
        ? { on: date, kind: 'note' as const, note: text.trim().slice(0, 1000) }
        : {
            on: date,
            kind: 'reading' as const,
            amount: us && kind !== 'kWh' ? Number(fromUnit(amount, '°F').toFixed(2)) : amount,
            unit: kind,
          };
    void logbox.write(season, [entry]);
    setSaid(`Written down: ${entryWords(entry, us)}`);
    setText('');
  };
  return (
    <form
      className={s.write}
      data-part="write-down"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <h2>Write down</h2>
      <select aria-label="What" value={kind} onChange={(event) => setKind(event.target.value as typeof kind)}>
        <option value="note">a note</option>
        <option value="air_c">{`the air, ${us ? '°F' : '°C'}`}</option>
        <option value="soil_c">{`the soil, ${us ? '°F' : '°C'}`}</option>
        <option value="kWh">the meter, kWh</option>
      </select>
      <input
        aria-label={kind === 'note' ? 'Note' : 'Reading'}
        name="write"
        inputMode={kind === 'note' ? 'text' : 'decimal'}
        value={text}
        maxLength={1000}
        onChange={(event) => setText(event.target.value)}
      />
      <button type="submit">Save</button>
      {said !== null && <p role="status">{said}</p>}
    </form>
  );
}
