import { COINS, PLACES } from '../api/core.generated';
import { LOCALE } from './region';

const SMALL: Record<string, string | undefined> = COINS;

/** Decimals of a currency: 2 of dollars, none of yen. */
export const places = (currency: string): number => (PLACES as Record<string, number>)[currency] ?? 2;

/** Making one takes longer than drawing the rest of a cell; a page has a handful of kinds. */
const formats = new Map<string, Intl.NumberFormat>();

function format(currency: string, decimals: number): Intl.NumberFormat {
  const name = `${currency} ${decimals}`;
  let made = formats.get(name);
  if (made === undefined) {
    made = new Intl.NumberFormat(LOCALE, {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    formats.set(name, made);
  }
  return made;
}

/** Coins and their tenths. */
const TENTHS = new Intl.NumberFormat(LOCALE, { minimumFractionDigits: 1, maximumFractionDigits: 1, useGrouping: false });
const coins = (amount: number): string => TENTHS.format(amount);

/** Money to the penny; amounts too small for pennies to tell apart in coins and their tenths: $1.81, 69.1¢. */
export function money(amount: number | null | undefined, currency: string, fine = false): string {
  if (amount === null || amount === undefined) return '–';
  const small = SMALL[currency];
  if (fine && small !== undefined && Math.abs(amount) < 0.9995) return `${coins(amount * 100)}${small}`;
  return format(currency, places(currency)).format(amount);
}

/** From the one to the other: "69 to 78¢", "$1.20 to $1.85". */
export function range(low: number, high: number, currency: string): string {
  const small = SMALL[currency];
  if (small !== undefined && high < 0.9995) return `${Math.round(low * 100)} to ${Math.round(high * 100)}${small}`;
  return `${money(low, currency)} to ${money(high, currency)}`;
}

/** Money with no places where it is whole, as on a scale: $40, $2.50. */
export const roundMoney = (amount: number, currency: string): string =>
  format(currency, Number.isInteger(amount) ? 0 : places(currency)).format(amount);

/** A coin of the penny stack: 2¢, $1, kr 0.02. A coin is never a part of the smallest there is. */
export function coinMoney(amount: number, currency: string): string {
  const small = SMALL[currency];
  return small !== undefined && amount < 0.9995 ? `${Math.round(amount * 100)}${small}` : roundMoney(amount, currency);
}

/** A change with its sign: −1.6¢, +$2.10. */
export function moneyChange(amount: number, currency: string): string {
  return `${amount < 0 ? '−' : '+'}${money(Math.abs(amount), currency, true)}`;
}

export function moneySign(currency: string): string {
  return (
    format(currency, 0)
      .formatToParts(0)
      .find((part) => part.type === 'currency')?.value ?? currency
  );
}
