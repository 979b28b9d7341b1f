import { expect, it } from 'vitest';
import { coinMoney, money, moneyChange } from './money';

it('shows money to the penny, and small money in coins', () => {
  expect(money(1.8076, 'USD')).toBe('$1.81');
  expect(money(0.690739, 'USD', true)).toBe('69.1¢');
  expect(money(0.99961, 'USD', true)).toBe('$1.00');
  expect(money(0.47, 'GBP', true)).toBe('47.0p');
  expect(money(12, 'JPY', true)).toBe('¥12');
  expect(money(1.2345, 'KWD')).toMatch(/1\.235|1\.234/);
  expect(money(null, 'USD')).toBe('–');
});

it('shows a change with its sign', () => {
  expect(moneyChange(-0.016, 'USD')).toBe('−1.6¢');
  expect(moneyChange(2.1, 'USD')).toBe('+$2.10');
});

it('writes a coin as its money, in any currency', () => {
  expect([0.02, 0.5, 1, 10, 2].map((coin) => coinMoney(coin, 'USD'))).toEqual(['2¢', '50¢', '$1', '$10', '$2']);
  expect(coinMoney(0.02, 'NOK').replace('\u00a0', ' ')).toBe('kr 0.02');
  expect(coinMoney(5, 'JPY')).toBe('¥5');
  expect(coinMoney(0.001, 'KWD')).toContain('0.001');
});

it('has the decimals of ISO 4217 where the library has others', () => {
  expect(money(1.5, 'IQD')).toContain('1.500');
  expect(money(1.5, 'RSD')).toContain('1.50');
});
