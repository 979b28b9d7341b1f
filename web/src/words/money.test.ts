import { expect, it } from 'vitest';
import { money, moneyChange } from './money';

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
