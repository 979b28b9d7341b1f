import { Link } from 'react-router';
import type { LogEntry, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { entryWords } from '../../words/log';
import type { useJobs } from './useJobs';

/** Entries that contradict each other or the plan. */
export function Marked({ season, id, marked }: { season: Season; id: number; marked: ReturnType<typeof useJobs>['marked'] }) {
  const us = season.units === 'us';
  return (
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
  );
}
