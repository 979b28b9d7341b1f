const KEY = 'jolly-penny-price-currency';

/** The currency a price was typed in last. */
export const ownCurrency = (): string => localStorage.getItem(KEY) ?? 'USD';
export const keepCurrency = (code: string): void => localStorage.setItem(KEY, code);
