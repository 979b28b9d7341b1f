import { fromUnit, inUnit, type Unit } from './units';

/** Units that measure the same. */
const DIMENSIONS: readonly (readonly Unit[])[] = [
  ['L', 'mL', 'gal', 'qt', 'pt', 'cup', 'fl oz', 'tbsp', 'tsp', 'cu ft', 'dry qt', 'bu'],
  ['m', 'cm', 'mm', 'in', 'ft'],
  ['kg', 'g', 'lb', 'oz'],
  ['°C', '°F'],
];

/** Units as people write them, without spaces. */
const SPELLED: Record<string, Unit> = {
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  ml: 'mL',
  gal: 'gal',
  gallon: 'gal',
  gallons: 'gal',
  qt: 'qt',
  qts: 'qt',
  quart: 'qt',
  quarts: 'qt',
  pt: 'pt',
  pint: 'pt',
  pints: 'pt',
  cup: 'cup',
  cups: 'cup',
  floz: 'fl oz',
  tbsp: 'tbsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  tsp: 'tsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  cuft: 'cu ft',
  cubicfoot: 'cu ft',
  cubicfeet: 'cu ft',
  dryqt: 'dry qt',
  bu: 'bu',
  bushel: 'bu',
  bushels: 'bu',
  m: 'm',
  cm: 'cm',
  mm: 'mm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  kg: 'kg',
  g: 'g',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  '°c': '°C',
  c: '°C',
  '°f': '°F',
  f: '°F',
};

const dimensionOf = (unit: Unit) => DIMENSIONS.find((units) => units.includes(unit));

export type Measured = { number: string; times: (value: number) => number } | { wrong: string };

/** "3.8 cu ft" for a field in quarts: the number, and what makes quarts of it; or the unit that does not measure this. */
export function measured(typed: string, unit: Unit): Measured {
  const bare = typed.replace(/[\s\u00a0\u202f]/g, '');
  const found = /^(.*?[\d¼½¾⅛⅜⅝⅞])([a-z°"″]+)$/i.exec(bare);
  if (!found) return { number: typed, times: (value) => value };
  const [, number = '', word = ''] = found;
  const spelled = SPELLED[word.toLowerCase()];
  // An ounce of something poured is a fluid one.
  const said = spelled === 'oz' && dimensionOf(unit) === dimensionOf('L') ? 'fl oz' : spelled;
  if (said === undefined || dimensionOf(said) !== dimensionOf(unit)) return { wrong: word };
  return { number, times: (value) => (said === unit ? value : inUnit(fromUnit(value, said), unit)) };
}

const VULGAR: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅛': 0.125, '⅜': 0.375, '⅝': 0.625, '⅞': 0.875 };

/** "1½", "½" and "1 1/2" as decimals. */
export const withoutVulgar = (typed: string): string =>
  typed
    .replace(/(\d*)([¼½¾⅛⅜⅝⅞])/g, (_, whole: string, part: string) => String(Number(whole || 0) + (VULGAR[part] ?? 0)))
    .replace(/(\d+)\s+(\d+)\/([1-9]\d*)/g, (_, whole: string, up: string, down: string) =>
      String(Number(whole) + Number(up) / Number(down)),
    );

const SIXTEENTH = 16;
const NEAR = 0.004;

/** Inches as a ruler says them: 1/4, 1 1/2; as decimals where they are no sixteenths. */
export function inches(value: number): string {
  const parts = Math.round(value * SIXTEENTH);
  if (Math.abs(value - parts / SIXTEENTH) > NEAR) return String(Number(value.toFixed(2)));
  const whole = Math.floor(parts / SIXTEENTH);
  let [up, down] = [parts % SIXTEENTH, SIXTEENTH];
  while (up > 0 && up % 2 === 0) [up, down] = [up / 2, down / 2];
  return up === 0 ? String(whole) : `${whole > 0 ? `${whole} ` : ''}${up}/${down}`;
}
