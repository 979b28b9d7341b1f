import { describe, expect, it } from 'vitest';
import { inches } from '../words/measures';
import { parseNumber } from './numbers';

const read = (typed: string, unit: 'qt' | 'in' | 'L' | 'mm' | '°F' | 'lb') => {
  const parsed = parseNumber(typed, { least: -1000, most: 100_000, unit });
  return parsed.ok ? parsed.value : parsed.why;
};

describe('measures as people write them', () => {
  // Conversions: NIST Handbook 44, appendix C.
  it('turns another unit into the field’s', () => {
    expect(read('15 L', 'qt')).toBeCloseTo(15 / 0.946352946, 9);
    expect(read('3.8 cubic feet', 'qt')).toBeCloseTo((3.8 * 28.316846592) / 0.946352946, 6);
    expect(read('2 gal', 'L')).toBeCloseTo(7.570823568, 9);
    expect(read('8 oz', 'L')).toBeCloseTo(8 * 0.0295735295625, 9);
    expect(read('10 cm', 'in')).toBeCloseTo(10 / 2.54, 9);
    expect(read('20 °C', '°F')).toBeCloseTo(68, 9);
    expect(read('1 kg', 'lb')).toBeCloseTo(1 / 0.45359237, 9);
    expect(read('16', 'qt')).toBe(16);
    expect(read('16 qt', 'qt')).toBe(16);
  });

  it('reads fractions of every kind', () => {
    expect(read('1/4 in', 'in')).toBe(0.25);
    expect(read('1 1/2', 'in')).toBe(1.5);
    expect(read('2½ in', 'in')).toBe(2.5);
    expect(read('½"', 'in')).toBe(0.5);
    expect(read('1/4 in', 'mm')).toBeCloseTo(6.35, 9);
  });

  it('refuses what does not measure this', () => {
    expect(read('3 kg', 'qt')).toContain('“kg” does not measure this');
    expect(read('3 apples', 'in')).toContain('“apples”');
  });

  it('shows inches as a ruler does', () => {
    expect([0.25, 1.5, 3, 0.125, 0.4375, 0.1575].map(inches)).toEqual(['1/4', '1 1/2', '3', '1/8', '7/16', '0.16']);
  });
});
