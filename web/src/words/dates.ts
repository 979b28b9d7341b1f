const DAY = 86_400_000;

/** Making one takes far longer than using it; a page has a handful of kinds. */
const formats = new Map<string, Intl.DateTimeFormat>();

function format(date: string, options: Intl.DateTimeFormatOptions, us: boolean): string {
  const name = `${us ? 'en-US' : 'en-GB'} ${options.month} ${options.day ?? ''}`;
  let made = formats.get(name);
  if (made === undefined) {
    made = new Intl.DateTimeFormat(us ? 'en-US' : 'en-GB', { ...options, timeZone: 'UTC' });
    formats.set(name, made);
  }
  return made.format(new Date(`${date}T00:00:00Z`));
}

/** "April 8" or "8 April": a day in the garden has no time zone. */
export const day = (date: string | null | undefined, us = false): string =>
  date ? format(date, { day: 'numeric', month: 'long' }, us) : '';

/** "Apr 8" or "8 Apr", where there is little room. */
export const shortDay = (date: string | null | undefined, us = false): string =>
  date ? format(date, { day: 'numeric', month: 'short' }, us).replace(' ', '\u00a0') : '';

/** "April". */
export const monthName = (date: string): string => format(date, { month: 'long' }, false);

/** "a week before the last frost", "on the last frost", "10 days after it". */
export function fromFrost(days: number, frost: string): string {
  if (days === 0) return `on the ${frost}`;
  const size = Math.abs(days);
  const weeks = size % 7 === 0 ? size / 7 : null;
  const length = weeks === null ? `${size} ${size === 1 ? 'day' : 'days'}` : weeks === 1 ? 'a week' : `${weeks} weeks`;
  return `${length} ${days < 0 ? 'before' : 'after'} the ${frost}`;
}

export const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) &&
  new Date(`${text}T00:00:00Z`).getTime() % DAY === 0 &&
  new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);

/** Today, where the person is. */
export const today = (): string => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
};

const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' });

/** "Monday April 12", and the day before the month where the garden has it so. */
export const weekdayAnd = (date: string, us: boolean): string =>
  `${WEEKDAY.format(new Date(`${date}T00:00:00Z`))} ${day(date, us)}`;
