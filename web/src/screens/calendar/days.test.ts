import { expect, it } from 'vitest';
import { axisOf, dateOf, dayNumber, months } from './days';

it('counts days over leap years and months', () => {
  expect(dayNumber('2028-03-01') - dayNumber('2028-02-28')).toBe(2);
  expect(dateOf(dayNumber('2027-04-08'))).toBe('2027-04-08');
});

it('finds where months begin', () => {
  const axis = axisOf(dayNumber('2027-03-19'), dayNumber('2027-06-02'), 0, 100);
  expect(months(axis).map(({ day, name }) => `${dateOf(day)} ${name}`)).toEqual([
    '2027-04-01 Apr',
    '2027-05-01 May',
    '2027-06-01 Jun',
  ]);
});
