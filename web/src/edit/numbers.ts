import { moneySign, places } from '../words/money';
import { measured, withoutVulgar } from '../words/measures';
import type { Unit } from '../words/units';
import type { Parsed as ParsedOf } from './useDraft';
import { LOCALE } from '../words/region';

export type Parsed = ParsedOf<number>;

/** `above` and `below`: the bound itself is not allowed. `kind`: what the season file's schema says it is. */
export interface Bounds {
  least: number;
  most: number;
  whole?: boolean;
  above?: boolean;
  below?: boolean;
  kind?: string;
  /** What the field is in: another unit that measures the same is turned into it. */
  unit?: Unit;
}

const SIGNS = '$€£¥₹₩₪₺₱₫';

/** How numbers are written where the person is, and the season's money. */
export const writing = {
  /** 1.234,5 rather than 1,234.5. */
  comma: new Intl.NumberFormat(globalThis.navigator?.language ?? 'en').format(1.5).includes(','),
  /** The sign of the season's currency; null where there is none to compare with. */
  sign: null as string | null,
  /** Decimals of the season's money: none of the yen's. */
  places: 2,
};

/** From now on prices are read and written as those of this currency; null where there is no season. */
export function writeMoneyOf(currency: string | null): void {
  writing.sign = currency === null ? null : moneySign(currency);
  writing.places = currency === null ? 2 : places(currency);
}

/** Digits as people write them: 1,250.5 and 1.250,5; 0,285; what could be both is read as it is written in the region. */
function plainNumber(bare: string): string {
  const [points, commas] = [bare.split('.').length - 1, bare.split(',').length - 1];
  if (points > 0 && commas > 0) {
    return bare.lastIndexOf(',') > bare.lastIndexOf('.') ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(',', '');
  }
  const thousands = (sign: string) => new RegExp(`^-?[1-9]\\d{0,2}(\\${sign}\\d{3})+$`).test(bare);
  if (commas > 0) return thousands(',') && (commas > 1 || !writing.comma) ? bare.replaceAll(',', '') : bare.replace(',', '.');
  return thousands('.') && (points > 1 || writing.comma) ? bare.replaceAll('.', '') : bare;
}

/** A number as people type it: spaces, a currency sign, a unit, a decimal comma or point, a fraction such as 1/4, "2 weeks". */
export function parseNumber(text: string, bounds: Bounds): Parsed {
  const range = `Type ${bounds.whole ? 'a whole number' : 'a number'} ${bounds.above ? 'above' : 'from'} ${bounds.least} ${bounds.below ? 'to below' : 'to'} ${bounds.most.toLocaleString(LOCALE)}.`;
  const said = bounds.unit ? measured(withoutVulgar(text), bounds.unit) : null;
  if (said !== null && 'wrong' in said) return { ok: false, why: `“${said.wrong}” does not measure this. ${range}` };
  const typed = (said?.number ?? withoutVulgar(text))
    .trim()
    .replace(/[\s\u00a0\u202f']/g, '')
    .replace('−', '-');
  if (typed === '') return { ok: false, why: `This cannot be empty. ${range}` };
  const sign = [...typed].find((letter) => SIGNS.includes(letter));
  if (sign !== undefined && writing.sign !== null && SIGNS.includes(writing.sign) && sign !== writing.sign)
    return { ok: false, why: `The money of this season is ${writing.sign}, not ${sign}. ${range}` };
  const weeks = bounds.kind === 'days' && /\d(weeks?|wks?)$/i.test(typed);
  const bare = typed
    .replace(new RegExp(`[${SIGNS}]`, 'g'), '')
    .replace(
      /(?<=\d)(%|weeks?|wks?|days?|min(utes?)?|hours?|h|w|watts?|kwh|lm|k|l|ml|qt|gal|cm|mm|in|seasons?|flats?|plants?|seeds?|°[cf])$/i,
      '',
    );
  const fraction = /^(\d+)\/([1-9]\d*)$/.exec(bare);
  const plain = plainNumber(bare);
  if (!fraction && !/^-?(\d+\.?\d*|\.\d+)$/.test(plain))
    return { ok: false, why: `“${text.trim().slice(0, 20)}” is not a number. ${range}` };
  const read = (fraction ? Number(fraction[1]) / Number(fraction[2]) : Number(plain)) * (weeks ? 7 : 1);
  const value = said === null ? read : said.times(read);
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

/** Shares are typed of 100; "0.85" is one of one, and means 85. */
export function parseShare(text: string, bounds: Bounds): Parsed {
  const ofOne = /^\s*0?[.,]\d+\s*$/.test(text);
  const parsed = parseNumber(text, ofOne ? { ...bounds, least: bounds.least / 100, most: bounds.most / 100 } : bounds);
  return parsed.ok && ofOne ? { ok: true, value: Number((parsed.value * 100).toFixed(6)) } : parsed;
}

/** A number for a field: no more places than it has, with the decimals' sign of the region. */
export function showNumber(value: number, kind?: string): string {
  // Money with the second place of its cents: 33.50; what has more, as a price by the kilowatt-hour, keeps them.
  const cents =
    kind === 'money' && writing.places === 2 && Math.abs(value * 10 - Math.round(value * 10)) < 1e-9 && !Number.isInteger(value);
  const plain = cents ? value.toFixed(2) : Number.isInteger(value) ? String(value) : String(Number(value.toFixed(6)));
  return inRegion(plain);
}

/** A price with all places of the season's money: 3.50; 120 where it has none. */
export const showPrice = (value: number): string => inRegion(value.toFixed(writing.places));

const inRegion = (digits: string): string => (writing.comma ? digits.replace('.', ',') : digits);
