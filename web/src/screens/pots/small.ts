import { LOCALE } from '../../words/region';
import type { Unit } from '../../words/units';

/** Small amounts of what is sold by the litre or kilogram, as they are measured out in a garden of US units. */
export const SPOONED: Record<string, Unit | undefined> = { L: 'tbsp', kg: 'oz' };

export const tidy = (value: number): string => value.toLocaleString(LOCALE, { maximumFractionDigits: value < 10 ? 2 : 0 });
