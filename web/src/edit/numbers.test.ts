import { describe, expect, it } from 'vitest';
import { afterEach } from 'vitest';
import { parseNumber, parseShare, showNumber, showPrice, writeMoneyOf, writing } from './numbers';

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

  afterEach(() => {
    writing.comma = false;
    writing.sign = null;
  });

  it.each([
    ['0,285', 0.285, 0.285],
    ['1,000', 1000, 1],
    ['1.000', 1, 1000],
    ['1,000,000', 1000000, 1000000],
    ['1.250,5', 1250.5, 1250.5],
    ['2.95 €', 2.95, 2.95],
    ['€2,95', 2.95, 2.95],
    ['1 250', 1250, 1250],
    ['12,5', 12.5, 12.5],
  ])('%s is read as it is written where one is', (text, point, comma) => {
    const most = { least: 0, most: 10_000_000 };
    writing.comma = false;
    expect(parseNumber(text, most)).toEqual({ ok: true, value: point });
    writing.comma = true;
    expect(parseNumber(text, most)).toEqual({ ok: true, value: comma });
  });

  it('reads units, and weeks as days', () => {
    expect(parseNumber('2 weeks', { least: 0, most: 365, whole: true, kind: 'days' })).toEqual({ ok: true, value: 14 });
    expect(parseNumber('16 h', { least: 0, most: 24 })).toEqual({ ok: true, value: 16 });
    expect(parseNumber('2 weeks', { least: 0, most: 1, kind: 'hours' }).ok).toBe(false);
  });

  it('reads shares of a hundred and of one', () => {
    const share = { least: 0, most: 100 };
    expect(parseShare('85 %', share)).toEqual({ ok: true, value: 85 });
    expect(parseShare('0.85', share)).toEqual({ ok: true, value: 85 });
    expect(parseShare('85', share)).toEqual({ ok: true, value: 85 });
    expect(parseShare('1', share)).toEqual({ ok: true, value: 1 });
  });

  it.each([
    [33.5, '33.50'],
    [8, '8'],
    [3.95, '3.95'],
    [0.178, '0.178'],
    [0.0415, '0.0415'],
  ])('shows money of %d as %s', (value, text) => expect(showNumber(value, 'money')).toBe(text));

  it('says which money it is not', () => {
    writing.sign = '$';
    const parsed = parseNumber('€2.95', money);
    expect(parsed.ok ? '' : parsed.why).toContain('The money of this season is $, not €.');
    expect(parseNumber('$2.95', money).ok).toBe(true);
  });
});

it('writes a number for a field as the region does, so that it is read back as it was', () => {
  const before = writing.comma;
  try {
    for (const comma of [true, false]) {
      writing.comma = comma;
      for (const value of [0.285, 1.268, 12.5, 1234, 1234.5, 33.5, 0.000125]) {
        const shown = showNumber(value);
        expect(shown.includes(comma ? '.' : ',')).toBe(false);
        expect(parseNumber(shown, { least: 0, most: 1e9 })).toEqual({ ok: true, value });
      }
    }
  } finally {
    writing.comma = before;
  }
});

it('writes prices with as many places as the money has', () => {
  writing.comma = false;
  writeMoneyOf('JPY');
  expect(showPrice(290)).toBe('290');
  writeMoneyOf('EUR');
  expect(showPrice(3.5)).toBe('3.50');
  writeMoneyOf(null);
});
