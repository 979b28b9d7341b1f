import { describe, expect, it } from 'vitest';
import { parseNumber } from './numbers';

const money = { least: 0, most: 100000 };

describe('numbers as people type them', () => {
  it.each([
    ['3.95', 3.95],
    [' 3,95 ', 3.95],
    ['$3.95', 3.95],
    ['1,250', 1250],
    ['1,250.5', 1250.5],
    ['1/4', 0.25],
    ['0', 0],
    ['.5', 0.5],
  ])('%s', (text, value) => expect(parseNumber(text, money)).toEqual({ ok: true, value }));

  it.each(['', '   ', 'abc', '1e9', '12abc', '-1', '1000000000', '1.2.3', 'NaN', 'Infinity'])(
    'refuses "%s" with what to do',
    (text) => {
      const parsed = parseNumber(text, money);
      expect(parsed.ok).toBe(false);
      expect(parsed.ok ? '' : parsed.why).toContain('Type a number from 0 to 100,000.');
    },
  );

  it('keeps counts whole and divisors above 0', () => {
    expect(parseNumber('2.5', { least: 1, most: 10, whole: true }).ok).toBe(false);
    expect(parseNumber('0', { least: 0, most: 10, above: true }).ok).toBe(false);
  });
});
