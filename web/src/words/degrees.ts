import { inUnit } from './units';

/** "36 °F" or "2 °C", in whole degrees. */
export const degrees = (celsius: number, us: boolean): string =>
  `${String(Math.round(us ? inUnit(celsius, '°F') : celsius) || 0).replace('-', '−')} ${us ? '°F' : '°C'}`;

/** Degrees between two temperatures, in the garden's: no zero point in them. */
export const between = (celsius: number, us: boolean): number => (us ? celsius * 1.8 : celsius);

/** How far two temperatures lie apart. */
export const apart = (celsius: number, us: boolean): string => `${between(celsius, us).toFixed(1)} ${us ? '°F' : '°C'}`;
