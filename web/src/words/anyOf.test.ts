import { expect, it } from 'vitest';
import { anyOf } from './anyOf';

it('names what there is, up to three, and counts the rest of more', () => {
  expect([[], ['A'], ['A', 'B'], ['A', 'B', 'C'], ['A', 'B', 'C', 'D']].map(anyOf)).toEqual([
    '',
    'A',
    'A or B',
    'A, B or C',
    'A, B or one of 2 others',
  ]);
});
