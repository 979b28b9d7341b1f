import { expect, it } from 'vitest';
import type { CropResult, Method } from '../api/types';
import { certainty, sowingSentence } from './sowing';

const crop = { grown: true, method: 'cells', warnings: [], seeds: 24, sites: 12, finished: 7.5255, p_enough: 0.99066, sow_on: '2027-04-08' } as unknown as CropResult;
const method = { pattern: 'per_site', seeds_per_site: 2 } as Method;

it('says how much to sow in plain words', () => {
  expect(sowingSentence(crop, method, 6, 'cell')).toBe(
    'Sow 24 seeds, two to a cell, in 12 cells on 8 April; expect 7 or 8 plants, at least 6 with 99 % certainty.');
});

it('says of many in one pot how many pots', () => {
  expect(sowingSentence({ ...crop, seeds: 91, sites: 2 }, { ...method, pattern: 'community', seeds_per_site: 60 }, 60, 'pot'))
    .toContain('Sow 91 seeds, scattered over 2 pots on 8 April');
});

it('tells what is wrong where it cannot be raised', () => {
  expect(sowingSentence({ ...crop, grown: false, warnings: ['too_cold'] }, method, 6, 'cell')).toContain('too cold');
  expect(sowingSentence({ ...crop, grown: false, method: 'nursery' }, method, 6, 'cell')).toBe('You buy this one.');
});

it('never promises everything', () => {
  expect(certainty(0.9999)).toBe('over 99.9');
  expect(certainty(0.899)).toBe('89');
  expect(certainty(1)).toBe('over 99.9');
});
