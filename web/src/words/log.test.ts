import { expect, it } from 'vitest';
import type { LogEntry } from '../api/types';
import { duration } from './durations';
import { entryWords } from './log';

const entry = (kind: LogEntry['kind'], more: Partial<LogEntry> = {}): LogEntry => ({
  id: `entry-${kind}`,
  on: '2027-04-09',
  at: '2027-04-09T10:00:00Z',
  kind,
  ...more,
});

it('says how long a sitting takes as people do', () => {
  expect(duration(71)).toBe('An hour and ten minutes');
  expect(duration(60)).toBe('An hour');
  expect(duration(134)).toBe('Two hours and 15 minutes');
  expect(duration(7.4)).toBe('Seven minutes');
  expect(duration(0.2)).toBe('A minute');
  expect(duration(23)).toBe('25 minutes');
});

it('says what was written down', () => {
  expect(entryWords(entry('up', { count: 11 }))).toBe('11 up');
  expect(entryWords(entry('lost', { count: 2, cause: 'mixed_up', note: 'the wind' }))).toBe(
    '2 lost: spilled, mixed up, label lost, the wind',
  );
  expect(entryWords(entry('sown', { count: 1 }))).toBe('1 sown');
  expect(entryWords(entry('potted_on', { count: 9 }), true)).toBe('9 potted up');
  expect(entryWords(entry('potted_on', { count: 9 }), false)).toBe('9 potted on');
  expect(entryWords(entry('done', { job: 'soak-two-one-2027-04-09', amount: 1.6, unit: 'L' }))).toBe('mix wetted, 1.6 L');
  expect(entryWords(entry('done', { job: 'red-whistle-mat_off-0' }))).toBe('mat off');
  expect(entryWords(entry('reading', { amount: 21.5, unit: 'soil_c' }))).toBe('21.5 °C in the soil');
  // A US garden reads no metric word.
  expect(entryWords(entry('reading', { amount: 21.5, unit: 'soil_c' }), true)).toBe('70.7 °F in the soil');
  expect(entryWords(entry('done', { job: 'soak-two-one-2027-04-09', amount: 18.93, unit: 'L' }), true)).toBe('mix wetted, 20 qt');
  expect(entryWords(entry('put_off', { until: '2027-04-11' }))).toBe('put off, to 2027-04-11');
});
