import { expect, it } from 'vitest';
import { day, fromFrost, isDate, shortDay } from './dates';

it('writes days as people on either side write them, in any time zone', () => {
  expect(day('2027-04-08', true)).toBe('April 8');
  expect(day('2027-04-08')).toBe('8 April');
  expect(shortDay('2027-12-31', true)).toBe('Dec\u00a031');
  expect(day(null)).toBe('');
});

it('counts from the frost in weeks where it can', () => {
  expect(fromFrost(-28, 'last frost')).toBe('4 weeks before the last frost');
  expect(fromFrost(7, 'last frost')).toBe('a week after the last frost');
  expect(fromFrost(10, 'last frost')).toBe('10 days after the last frost');
  expect(fromFrost(0, 'first frost')).toBe('on the first frost');
});

it('knows the dates that exist', () => {
  expect(isDate('2028-02-29')).toBe(true);
  expect(isDate('2027-02-29')).toBe(false);
  expect(isDate('8 April')).toBe(false);
});
