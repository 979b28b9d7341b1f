import { expect, it } from 'vitest';
import type { CropLine, CropResult, Method } from '../api/types';
import { certainty, count, plural, sowingLine, sowingSentence, verdictWords } from './sowing';

const crop = {
  grown: true,
  method: 'cells',
  warnings: [],
  seeds: 24,
  sites: 12,
  finished: 7.5255,
  p_enough: 0.99066,
  sow_on: '2027-04-08',
} as unknown as CropResult;
const method = { pattern: 'per_site', seeds_per_site: 2 } as Method;

it('says how much to sow in plain words', () => {
  expect(sowingSentence(crop, method, 6, 'cell')).toBe(
    'Sow 24 seeds, two to a cell, in 12 cells on 8 April; expect 7 or 8 plants, at least 6 with 99 % certainty.',
  );
});

it('says of many in one pot how many pots', () => {
  expect(
    sowingSentence({ ...crop, seeds: 91, sites: 2 }, { ...method, pattern: 'community', seeds_per_site: 60 }, 60, 'pot'),
  ).toContain('Sow 91 seeds, scattered over 2 pots on 8 April');
});

it('tells what is wrong where it cannot be raised', () => {
  expect(sowingSentence({ ...crop, grown: false, warnings: ['too_cold'] }, method, 6, 'cell')).toContain('too cold');
  expect(sowingSentence({ ...crop, grown: false, method: 'nursery' }, method, 6, 'cell')).toBe('You buy this one.');
});

it('counts past the words it has, and of nothing too', () => {
  const trays = (n: number) => `${count(n)} ${plural(n, 'tray')}`;
  expect([0, 1, 2, 7, 8, 13, 14, 120].map(trays)).toEqual([
    'no trays',
    'one tray',
    'two trays',
    'seven trays',
    'eight trays',
    '13 trays',
    '14 trays',
    '120 trays',
  ]);
});

it('never promises everything', () => {
  expect(certainty(0.9999)).toBe('over 99.9');
  expect(certainty(0.899)).toBe('89');
  expect(certainty(1)).toBe('over 99.9');
});

it('says the same shorter in a line of the list', () => {
  expect(sowingLine(crop, method, 6, 'cell', true)).toBe('12 cells for 6, 2 seeds each, Apr\u00a08');
  expect(sowingLine(crop, { ...method, seeds_per_site: 1 }, 6, 'block', false)).toBe('12 blocks for 6, 8\u00a0Apr');
});

it('gives the verdict with its reason', () => {
  const line = { saves: 2.85 } as CropLine;
  expect(verdictWords({ ...crop, verdict: 'buy' }, line, 'USD', true)).toMatchObject({
    word: 'Buy it',
    reason: 'buying saves $2.85, but not this variety',
  });
  expect(verdictWords({ ...crop, verdict: 'grow' }, line, 'USD', false)).toMatchObject({
    word: 'Grow it',
    reason: 'saves $2.85',
  });
  expect(verdictWords({ ...crop, verdict: null, cost: null }, line, 'USD', false).word).toBe('Missing');
});
