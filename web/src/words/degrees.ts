import { inUnit } from './units';

/** "36 °F" or "2 °C", in whole degrees. */
export const degrees = (celsius: number, us: boolean): string =>
  `${String(Math.round(us ? inUnit(celsius, '°F') : celsius) || 0).replace('-', '−')} ${us ? '°F' : '°C'}`;

/** How far two temperatures lie apart: no zero point in it. */
export const apart = (celsius: number, us: boolean): string => `${(us ? celsius * 1.8 : celsius).toFixed(1)} ${us ? '°F' : '°C'}`;
