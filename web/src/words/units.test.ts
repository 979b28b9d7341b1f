import { expect, it } from 'vitest';
import { inUnit } from './units';

// NIST Special Publication 811, appendix B: a US liquid quart is 0.946 352 946 L, an inch 0.0254 m, a pound 0.453 592 37 kg.
it('converts for show as the handbook says', () => {
  expect(inUnit(0.946352946, 'qt')).toBeCloseTo(1, 12);
  expect(inUnit(0.0254, 'in')).toBeCloseTo(1, 12);
  expect(inUnit(0.45359237, 'lb')).toBeCloseTo(1, 12);
  expect(inUnit(100, '°F')).toBeCloseTo(212, 9);
  expect(inUnit(-40, '°F')).toBeCloseTo(-40, 9);
  expect(inUnit(21.5, '°C')).toBe(21.5);
});
