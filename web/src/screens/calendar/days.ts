import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { utcMonth } from 'd3-time';

const DAY = 86_400_000;

/** Days since 1970-01-01: a day in the garden has no time zone. */
export const dayNumber = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY);
export const dateOf = (number: number): string => new Date(number * DAY).toISOString().slice(0, 10);

/** Where days stand on the picture. */
export type Axis = ScaleLinear<number, number>;

export const axisOf = (from: number, to: number, left: number, right: number): Axis => scaleLinear([from, to], [left, right]);

const MONTH = new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' });

/** First days of the months on the picture, with their names. */
export function months(axis: Axis): { day: number; name: string }[] {
  const [from = 0, to = 0] = axis.domain();
  return utcMonth
    .range(new Date(from * DAY), new Date(to * DAY + 1))
    .map((date) => ({ day: date.getTime() / DAY, name: MONTH.format(date) }));
}
