const DAY = 86_400_000;

/** Days since 1970-01-01: a day in the garden has no time zone. */
export const dayNumber = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY);

export const dateOf = (number: number): string => new Date(number * DAY).toISOString().slice(0, 10);

/** 0 for Sunday. */
export const weekday = (number: number): number => (((number + 4) % 7) + 7) % 7;

export interface Habits {
  /** Weekdays one sows on, 0 for Sunday; empty is any. */
  sow_days: number[];
  away: { from: string; to: string }[];
}

export const isAway = (number: number, habits: Habits): boolean => habits.away.some(({ from, to }) => number >= dayNumber(from) && number <= dayNumber(to));

/** The nearest day to sow on: one of one's days, at home; the earlier of two as near. */
export function snap(number: number, habits: Habits): number {
  const good = (day: number) => (habits.sow_days.length === 0 || habits.sow_days.includes(weekday(day))) && !isAway(day, habits);
  for (let far = 0; far <= 60; far++) {
    if (good(number - far)) return number - far;
    if (good(number + far)) return number + far;
  }
  return number;
}

/** First days of the months between two days. */
export function months(from: number, to: number): number[] {
  const found: number[] = [];
  const first = new Date(from * DAY);
  for (let month = Date.UTC(first.getUTCFullYear(), first.getUTCMonth(), 1); month / DAY <= to; ) {
    if (month / DAY >= from) found.push(month / DAY);
    const next = new Date(month);
    month = Date.UTC(next.getUTCFullYear(), next.getUTCMonth() + 1, 1);
  }
  return found;
}
