import { parseText } from '../../edit/text';
import { expect, it } from 'vitest';
import { parseMaybeDate, parseMaybePercent, parseTest } from './parse';

it.each([
  ['of 20, 17 came up', 20, 17],
  ['17 of 20', 20, 17],
  ['17/20', 20, 17],
])('reads the test “%s”', (typed, sown, sprouted) => {
  expect(parseTest(typed)).toEqual({ ok: true, value: { sown, sprouted } });
});

it('refuses a test in which more came up than were sown', () => {
  expect(parseTest('of 10, 11 came up').ok).toBe(false);
  expect(parseTest('most of them').ok).toBe(false);
  expect(parseTest('')).toEqual({ ok: true, value: null });
});

it('reads percents, dates and names, or nothing', () => {
  expect(parseMaybePercent('88 %')).toEqual({ ok: true, value: 0.88 });
  expect(parseMaybePercent('120').ok).toBe(false);
  expect(parseMaybeDate('2027-02-29').ok).toBe(false);
  expect(parseMaybeDate('2028-02-29').ok).toBe(true);
  expect(parseMaybeDate('')).toEqual({ ok: true, value: '' });
  expect(parseText('  Copper \t Kettle ')).toEqual({ ok: true, value: 'Copper Kettle' });
  expect(parseText('x'.repeat(201)).ok).toBe(false);
});
