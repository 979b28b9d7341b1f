import { Link } from 'react-router';
import type { Job } from '../../api/types';
import { SetupPicker } from '../../page/SetupPicker';
import { day, today, weekdayAnd } from '../../words/dates';
import { duration } from '../../words/durations';
import s from './today.module.css';

interface Props {
  id: number;
  us: boolean;
  jobs: Job[];
  date: string;
  /** Of this day, done or not. */
  own: Job[];
  /** What is left of this day and of days before. */
  open: Job[];
  go: (date: string) => void;
}

/** The day, how long its work takes, and the days before and after on which there is something to do. */
export function DayHead({ id, us, jobs, date, own, open, go }: Props) {
  const minutes = open.reduce((sum, job) => sum + job.minutes, 0);
  const days = [...new Set(jobs.filter((job) => job.done_on === null || job.done_on === job.date).map((job) => job.date))].sort();
  const [before, after] = [days.filter((one) => one < date).at(-1), days.find((one) => one > date)];
  return (
    <header className={s.head}>
      <h1>{weekdayAnd(date, us)}</h1>
      <p className="quiet" data-part="minutes">
        {open.length === 0
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
  );
}
