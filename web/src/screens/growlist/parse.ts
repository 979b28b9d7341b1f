import type { Parsed } from '../../edit/useDraft';
import { parseNumber } from '../../edit/numbers';
import { parseDate } from '../../edit/text';

export const parseSeeds = (typed: string): Parsed<number> => parseNumber(typed, { least: 1, most: 1_000_000, whole: true });

/** A date, or nothing. */
export function parseMaybeDate(typed: string): Parsed<string> {
  return typed.trim() === '' ? { ok: true, value: '' } : parseDate(typed);
}

/** A share as percent, or nothing. */
export function parseMaybePercent(typed: string): Parsed<number | null> {
  if (typed.trim() === '') return { ok: true, value: null };
  const percent = parseNumber(typed.replace('%', ''), { least: 0, most: 100 });
  return percent.ok ? { ok: true, value: percent.value / 100 } : percent;
}

export interface HomeTest {
  sown: number;
  sprouted: number;
}

/** "of 20, 17 came up", "17 of 20", "17/20"; empty takes the test away. */
export function parseTest(typed: string): Parsed<HomeTest | null> {
  const text = typed.trim().toLowerCase();
  if (text === '') return { ok: true, value: null };
  const numbers = (text.match(/\d+/g) ?? []).map(Number);
  const [first, second] = numbers;
  if (numbers.length !== 2 || first === undefined || second === undefined) return { ok: false, why: 'Type “of 20, 17 came up”.' };
  const [sown, sprouted] = text.startsWith('of') ? [first, second] : [second, first];
  return sprouted <= sown && sown > 0
    ? { ok: true, value: { sown, sprouted } }
    : { ok: false, why: 'No more can come up than were sown.' };
}
