import { expect, test } from 'vitest';
import { shareOut } from './kit';

test('a kit is shared by its packets to the last coin', () => {
  expect(shareOut(10, 3, 2)).toEqual([3.34, 3.33, 3.33]);
  expect(shareOut(24.99, 10, 2).reduce((sum, price) => sum + price, 0)).toBeCloseTo(24.99, 9);
  expect(shareOut(1000, 3, 0)).toEqual([334, 333, 333]);
});
