import { isDate } from '../words/dates';
import type { Parsed } from './useDraft';

const LONGEST = 200;

/** A name, never empty. */
export function parseText(typed: string): Parsed<string> {
  const text = typed.replace(/\s+/g, ' ').trim();
  if (text === '') return { ok: false, why: 'This cannot be empty. Give it a name.' };
  return text.length > LONGEST ? { ok: false, why: `Keep it to ${LONGEST} letters.` } : { ok: true, value: text };
}

/** A day of a year. */
export function parseDate(typed: string): Parsed<string> {
  const text = typed.trim();
  return isDate(text) ? { ok: true, value: text } : { ok: false, why: 'Type a date as year-month-day, for example 2027-04-08.' };
}
