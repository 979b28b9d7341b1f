import type { Parsed as ParsedOf } from './useDraft';

export type Parsed = ParsedOf<number>;

/** `above` and `below`: the bound itself is not allowed. */
export interface Bounds {
  least: number;
  most: number;
  whole?: boolean;
  above?: boolean;
  below?: boolean;
}

/** A number as people type it: spaces, a currency sign, a decimal comma or point, a fraction such as 1/4. */
export function parseNumber(text: string, bounds: Bounds): Parsed {
  const range = `Type ${bounds.whole ? 'a whole number' : 'a number'} ${bounds.above ? 'above' : 'from'} ${bounds.least} ${bounds.below ? 'to below' : 'to'} ${bounds.most.toLocaleString('en')}.`;
  const bare = text.trim().replace(/[\s\u00a0]|^[$€£¥]/g, '');
  if (bare === '') return { ok: false, why: `This cannot be empty. ${range}` };
  const fraction = /^(\d+)\/([1-9]\d*)$/.exec(bare);
  // A comma is a decimal comma unless it stands before exactly three digits after a point-free number.
  const plain = /^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(bare) ? bare.replaceAll(',', '') : bare.replace(',', '.');
  if (!fraction && !/^-?(\d+\.?\d*|\.\d+)$/.test(plain))
    return { ok: false, why: `“${text.trim().slice(0, 20)}” is not a number. ${range}` };
  const value = fraction ? Number(fraction[1]) / Number(fraction[2]) : Number(plain);
  if (bounds.whole && !Number.isInteger(value)) return { ok: false, why: range };
  if (
    value < bounds.least ||
    value > bounds.most ||
    (bounds.above && value === bounds.least) ||
    (bounds.below && value === bounds.most)
  )
    return { ok: false, why: range };
  return { ok: true, value };
}

/** A number for a field: no more places than it has. */
export function showNumber(value: number): string {
  return Number.isInteger(value) ? String(value) : String(Number(value.toFixed(6)));
}
