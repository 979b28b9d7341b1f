import { money } from '../words/money';
import { inUnit } from '../words/units';
import { LOCALE } from '../words/region';

/** A number of a working in its unit, as the person reads it. */
export function quantity(value: number | string | null, unit: string, currency: string, us: boolean): string {
  if (value === null) return '–';
  if (typeof value === 'string') return value;
  const plain = (places: number) => Number(value.toFixed(places)).toLocaleString(LOCALE, { maximumFractionDigits: places });
  switch (unit) {
    case 'money':
      return money(value, currency, true);
    case 'money_per_kwh':
      return `${money(value, currency, true)} a kWh`;
    case 'kwh':
      return `${plain(2)} kWh`;
    case 'watts':
      return `${plain(0)} W`;
    case 'hours':
      return `${plain(1)} h`;
    case 'days':
      return `${plain(0)} days`;
    case 'plants':
      return `${plain(2)} plants`;
    case 'seeds':
      return `${plain(0)} seeds`;
    case 'share':
      return `${plain(4)} (${(value * 100).toFixed(1)} in 100)`;
    case 'litres':
      return us ? `${inUnit(value, 'qt').toFixed(2)} qt (${plain(3)} L)` : `${plain(3)} L`;
    case 'celsius':
      return us ? `${inUnit(value, '°F').toFixed(0)} °F` : `${plain(1)} °C`;
    case 'flats':
      return `${plain(2)} trays`;
    case 'seasons':
      return `${plain(1)} seasons`;
    default:
      return plain(4);
  }
}
