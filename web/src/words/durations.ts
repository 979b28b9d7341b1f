import { count, plural, upper } from './sowing';

const HOUR = 60;
/** To five minutes above a quarter of an hour: nobody works to the minute. */
const EXACT = 15;
const STEP = 5;

/** "An hour and ten minutes": how long a sitting takes. */
export function duration(minutes: number): string {
  const rounded = minutes < EXACT ? Math.max(1, Math.round(minutes)) : Math.round(minutes / STEP) * STEP;
  const hours = Math.floor(rounded / HOUR);
  const rest = rounded - hours * HOUR;
  const parts = [
    hours === 0 ? '' : hours === 1 ? 'an hour' : `${count(hours)} hours`,
    rest === 0 ? '' : rest === 1 ? 'a minute' : `${count(rest)} ${plural(rest, 'minute')}`,
  ].filter(Boolean);
  return upper(parts.join(' and '));
}
