// @vitest-environment jsdom
import { expect, it } from 'vitest';
import type { Job, LogEntry, RowPicture } from '../../api/types';
import { withWaiting } from '../../season/useLog';
import { cellsOf } from '../trays/useTrays';
import { dayIn, dayToShow, onDay } from './useJobs';

const job = (id: string, date: string, more: Partial<Job> = {}): Job =>
  ({ id, date, until: '2027-05-01', done_on: null, entries: [], counted: null, kind_of_entry: 'sown', ...more }) as Job;
const entry = (kind: LogEntry['kind'], more: Partial<LogEntry> = {}): LogEntry => ({
  id: `entry-${kind}`,
  on: '2027-04-09',
  at: '2027-04-09T10:00:00Z',
  kind,
  ...more,
});

it('shows a day its own jobs and what was left before it, as long as that is worth doing', () => {
  const jobs = [
    job('late', '2027-04-07'),
    job('over', '2027-04-07', { until: '2027-04-08' }),
    job('done', '2027-04-07', { done_on: '2027-04-09' }),
    job('own', '2027-04-09'),
    job('next', '2027-04-12'),
  ];
  const { own, late } = onDay(jobs, '2027-04-09');
  expect(own.map(({ id }) => id)).toEqual(['done', 'own']);
  expect(late.map(({ id }) => id)).toEqual(['late']);
  expect(dayToShow(jobs, null, '2027-04-10')).toBe('2027-04-10');
  // Far from the season: the first day from the last entry on with something to do.
  expect(dayToShow(jobs, '2027-04-08', '2026-11-27')).toBe('2027-04-09');
  expect(dayToShow([], null, '2026-11-27')).toBe('2026-11-27');
});

it('shows what waits to be sent on top of what the server has', () => {
  const jobs = [
    job('sow', '2027-04-09'),
    job('look', '2027-04-20', { done_on: '2027-04-20', entries: ['known-entry'], counted: 3 }),
  ];
  const [sown, look] = withWaiting(jobs, [entry('sown', { job: 'sow', count: 12 }), entry('undo', { corrects: 'known-entry' })]);
  expect(sown).toMatchObject({ done_on: '2027-04-09', counted: 12 });
  expect(look).toMatchObject({ done_on: null, counted: null });
  const [off] = withWaiting(jobs, [entry('put_off', { job: 'sow', until: '2027-05-03' })]);
  expect(off).toMatchObject({ date: '2027-05-03', until: '2027-05-03', done_on: null });
});

it('draws as many plants as there are', () => {
  const run = { sites: 4, filled: true, left: false, stage: 0 } as RowPicture;
  expect(cellsOf(run, 3)).toEqual(['plant', 'plant', 'plant', 'empty']);
  expect(cellsOf(run, null)).toEqual(['seed', 'seed', 'seed', 'seed']);
  expect(cellsOf({ ...run, filled: false }, null)).toEqual(['planned', 'planned', 'planned', 'planned']);
  expect(cellsOf({ ...run, left: true }, 3)).toEqual(['empty', 'empty', 'empty', 'empty']);
});

it('takes no day from an address that names none', () => {
  expect(['2027-05-09', 'nonsense', '2027-13-40', '2027-5-9', '', null].map(dayIn)).toEqual([
    '2027-05-09',
    null,
    null,
    null,
    null,
    null,
  ]);
});
