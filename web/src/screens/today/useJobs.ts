import { useMemo } from 'react';
import { answered, client } from '../../api/client';
import type { Job } from '../../api/types';
import { today } from '../../words/dates';
import { asking, useAsked } from '../../season/useOfRevision';
import { useLog, withWaiting } from '../../season/useLog';

export const askJobs = (season: number, setup: string) =>
  asking(['today', season, setup], () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/today', {
        params: { path: { season, setup }, query: { on: today() } },
      }),
    ),
  );

/** All jobs of a set-up's season, with what waits on this device to be written. */
export function useJobs(season: number, setup: string, revision: number) {
  const { data, error } = useAsked(askJobs(season, setup), revision);
  const { entries } = useLog(season);
  const jobs = useMemo(() => (data ? withWaiting(data.jobs, entries) : null), [data, entries]);
  return { jobs, lastOn: data?.last_on ?? null, marked: data?.marked ?? [], tonight: data?.tonight ?? null, error };
}

/** What a day shows: its own jobs, and what was left undone before it. */
export function onDay(jobs: Job[], date: string): { own: Job[]; late: Job[] } {
  return {
    own: jobs.filter((job) => job.date === date || job.done_on === date),
    late: jobs.filter((job) => job.date < date && job.done_on === null && job.until >= date),
  };
}

const FAR_MS = 40 * 86_400_000;
const at = (date: string) => new Date(`${date}T00:00:00Z`).getTime();

/** The day that an address asks for; null where it names none. */
export const dayIn = (asked: string | null): string | null =>
  asked !== null && /^\d{4}-\d\d-\d\d$/.test(asked) && !Number.isNaN(at(asked)) ? asked : null;

/** Today; in a season far from today the first day from the last entry on with something left to do. */
export function dayToShow(jobs: Job[], lastOn: string | null, now: string): string {
  const dates = jobs.map(({ date }) => date);
  const [first, last] = [dates[0], dates.at(-1)];
  if (first === undefined || last === undefined) return now;
  const near = at(now) > at(first) - FAR_MS && at(now) < at(last) + FAR_MS;
  const open = jobs.find(({ date, done_on: done }) => done === null && date >= (lastOn ?? first));
  return near ? now : (open?.date ?? lastOn ?? first);
}
