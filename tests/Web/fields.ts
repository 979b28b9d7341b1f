import { FIELDS } from '../../web/src/api/fields.generated';
import { nameOf, pressKey, typeInto } from './hands';
import { sentWords } from './presses';
import type { Sent } from './stand';

interface ChangeOf {
  path: (string | number)[];
  from: unknown;
  to: unknown;
}

/** One field of a screen: what stood in it, what was typed, and the change that left for the server; null where it was none of the season. */
export interface Typed {
  name: string;
  label: string;
  shown: string;
  typed: string;
  change: ChangeOf | null;
  /** The whole request; empty where there was none. */
  sent: string;
}

/** A field's text as a number: "1/4", "1,250", "3.5"; null where it is none. */
function numberIn(text: string): number | null {
  const half = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text.trim());
  if (half) return Number(half[1] ?? 0) + Number(half[2]) / Number(half[3]);
  const plain = text.replace(/,(?=\d{3}\b)/g, '').trim();
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}

/** Other values for a field, the first of which is taken. */
function others(shown: string, type: string): string[] {
  if (type === 'date') return [shown.replace(/\d$/, (digit) => (digit === '9' ? '8' : String(Number(digit) + 1)))];
  const number = numberIn(shown);
  if (number === null) return [`${shown}x`, '3', '12:30', 'may 3'];
  const double = Number((number * 2).toPrecision(6));
  return number === 0
    ? ['3', '0.3', '0.03']
    : [String(double), String(Number((number / 2).toPrecision(6))), String(number + 1), String(number - 1)];
}

/** Types into a field once; the server refuses, so that the old value stands again. */
export async function typeOnce(field: HTMLInputElement, sent: Sent[], settle: () => Promise<void>): Promise<Typed> {
  const shown = field.value;
  const typed: Typed = { name: field.name, label: nameOf(field), shown, typed: '', change: null, sent: '' };
  for (const text of others(shown, field.type)) {
    sent.length = 0;
    await typeInto(field, text);
    await settle();
    const request = sent.find(({ verb }) => verb !== 'GET');
    await pressKey(field, 'Escape');
    if (request === undefined) continue;
    const change = (request.body as { changes?: ChangeOf[] } | null)?.changes?.[0];
    return { ...typed, typed: text, change: change ?? null, sent: sentWords(request) };
  }
  return typed;
}

/** The key of the season file's schema at a path, whose rows are named by id. */
export function keyAt(path: (string | number)[]): string | null {
  const words = path.map(String);
  for (const keys of [words, words.filter((_, n) => n !== 1), words.filter((_, n) => n !== 1 && n !== 3)])
    if (keys.join('.') in FIELDS) return keys.join('.');
  return null;
}

/**
 * Whether what was saved follows from what was typed as what stands in the season follows from what was shown: by one factor or its
 * inverse, or, of temperatures, by one step. Knows nothing of units; a field that shows one value and saves another, or converts wrongly, is found.
 */
export function agrees({ shown, typed, change }: Typed): boolean {
  const [before, after] = [numberIn(shown), numberIn(typed)];
  const { from, to } = change ?? {};
  if (before === null || after === null || typeof from !== 'number' || typeof to !== 'number') return true;
  const near = (a: number, b: number) => Math.abs(a - b) <= 0.03 * Math.max(Math.abs(a), Math.abs(b)) + 1e-9;
  const byFactor = before !== 0 && from !== 0 && near(to / from, after / before);
  const byStep = [1, 5 / 9].some((each) => near(to - from, (after - before) * each));
  // How many go into a tray is kept as the share of a tray that one takes.
  const byShare = before !== 0 && near(to * after, from * before);
  return byFactor || byStep || byShare || (before === 0 && from === 0);
}
