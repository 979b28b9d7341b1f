import { Fragment, useState } from 'react';
import type { Job } from '../../api/types';
import { day } from '../../words/dates';
import s from './calendar.module.css';

const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' });

/** The tasks as a list by day: for print, for screen readers, and for the potting table. */
export function TaskList({ tasks, us }: { tasks: Job[]; us: boolean }) {
  const [feeds, setFeeds] = useState(false);
  const shown = tasks.filter(({ kind }) => feeds || kind !== 'feed');
  const dates = [...new Set(shown.map(({ date }) => date))];
  return (
    <section aria-labelledby="tasks-title">
      <h2 id="tasks-title">Day by day</h2>
      <label className="tick">
        <input type="checkbox" name="feeds" checked={feeds} onChange={(event) => setFeeds(event.target.checked)} /> show feedings
      </label>
      <dl className={s.tasks} data-part="tasks">
        {dates.map((date) => (
          <Fragment key={date}>
            <dt>
              {WEEKDAY.format(new Date(`${date}T00:00:00Z`))}, {day(date, us)}
              {shown.some((task) => task.date === date && task.away) && <span className="trouble"> ▲ you are away</span>}
            </dt>
            {shown
              .filter((task) => task.date === date)
              .map((task) => (
                <dd key={task.id} data-task={task.id}>
                  {task.done_on !== null && <span aria-label="done">✓ </span>}
                  {task.words}
                  {task.codes !== null && <span className="quiet">, {task.codes}</span>}
                </dd>
              ))}
          </Fragment>
        ))}
      </dl>
    </section>
  );
}
