/** Minor coins with a sign of their own. */
const SMALL: Record<string, string> = { USD: '¢', CAD: '¢', AUD: '¢', NZD: '¢', EUR: 'c', GBP: 'p' };

/** Money to the penny; amounts too small for pennies to tell apart in coins and their tenths: $1.81, 69.1¢. */
export function money(amount: number | null | undefined, currency: string, fine = false): string {
  if (amount === null || amount === undefined) return '–';
  const small = SMALL[currency];
  if (fine && small !== undefined && Math.abs(amount) < 0.9995) return `${(amount * 100).toFixed(1)}${small}`;
  return new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' }).format(amount);
}

/** A change with its sign: −1.6¢, +$2.10. */
export function moneyChange(amount: number, currency: string): string {
  return `${amount < 0 ? '−' : '+'}${money(Math.abs(amount), currency, true)}`;
}

export function moneySign(currency: string): string {
  return new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' }).formatToParts(0)
    .find((part) => part.type === 'currency')?.value ?? currency;
}
