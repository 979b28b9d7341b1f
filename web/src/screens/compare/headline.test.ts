import { expect, it } from 'vitest';
import { headline } from './headline';

const advice = (saves: number | null, grow: string[], buy: string[] = [], no_room: string[] = []) =>
  headline({ saves, grow, along: [], buy, no_room } as unknown as Parameters<typeof headline>[0]);

it('says to buy only where buying costs less, not where nothing is for sale', () => {
  expect(advice(-3, ['carrot'], [])).toBe('Buying costs less this season');
  expect(advice(null, ['carrot', 'radish'])).toBe('Grow both crops from seed');
  expect(advice(null, ['carrot', 'radish', 'bean'])).toBe('Grow all three crops from seed');
  expect(advice(null, ['carrot'])).toBe('Grow your crop from seed');
  expect(advice(null, [], ['kale'])).toBe('Buy all of them as plants');
  expect(advice(4, ['carrot'], [], ['melon'])).toBe('Grow one crop from seed');
  expect(advice(4, ['carrot'], ['kale'])).toBe('Grow one crop, buy one');
});
