import { expect, it } from 'vitest';
import { dateOf, dayNumber, months, snap, weekday } from './days';

it('counts days over leap years and months', () => {
  expect(dayNumber('2028-03-01') - dayNumber('2028-02-28')).toBe(2);
  expect(dateOf(dayNumber('2027-04-08'))).toBe('2027-04-08');
  expect(weekday(dayNumber('2027-04-10'))).toBe(6);
});

it('snaps to the days one sows on, at home', () => {
  const saturday = dayNumber('2027-04-10');
  expect(snap(saturday + 2, { sow_days: [6], away: [] })).toBe(saturday);
  expect(snap(saturday + 2, { sow_days: [6], away: [{ from: '2027-04-09', to: '2027-04-11' }] })).toBe(saturday + 7);
  expect(snap(saturday + 2, { sow_days: [], away: [] })).toBe(saturday + 2);
});

it('finds where months begin', () => {
  expect(months(dayNumber('2027-03-19'), dayNumber('2027-06-02')).map(dateOf)).toEqual(['2027-04-01', '2027-05-01', '2027-06-01']);
});
