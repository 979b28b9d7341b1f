import { UNITS } from '../api/core.generated';

export type Unit = keyof typeof UNITS;

/** A value of the core's (litres, metres, kilograms, °C) in a unit that people read. The one place that converts. */
export function inUnit(value: number, unit: Unit): number {
  const [each, nought] = UNITS[unit];
  return value * each + nought;
}

/** The other way round. */
export function fromUnit(shown: number, unit: Unit): number {
  const [each, nought] = UNITS[unit];
  return (shown - nought) / each;
}

/** Money, minutes or an amount for a litre, as it is for so many litres. */
export const perVolume = (perLitre: number, litres: number): number => perLitre * litres;
