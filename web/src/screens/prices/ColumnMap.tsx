import type { PriceTableRead } from '../../api/types';
import { CurrencySelect } from '../../edit/CurrencySelect';
import s from './prices.module.css';

const COLUMNS = [
  ['name', 'What'],
  ['price', 'Price'],
  ['holds', 'A pack holds'],
  ['unit', 'Unit'],
  ['shop', 'Shop'],
  ['on', 'Day'],
  ['currency', 'Currency'],
] as const;
const NONE = -1;

/** How a table is to be read. */
export interface Asked {
  currency: string;
  dates: 'dmy' | 'mdy';
  map?: Record<string, number>;
}

interface Props {
  read: PriceTableRead;
  asked: Asked;
  again: (how: Asked) => void;
}

/** Which column holds what, and what the table does not say by itself. */
export function ColumnMap({ read, asked, again }: Props) {
  return (
    <div className={s.map}>
      {COLUMNS.map(([key, label]) => (
        <label key={key}>
          {label}
          <select
            name={`map-${key}`}
            value={read.map[key] ?? NONE}
            onChange={(event) => {
              const map = { ...read.map, [key]: Number(event.target.value) };
              again({ ...asked, map: Object.fromEntries(Object.entries(map).filter(([, place]) => place !== NONE)) });
            }}
          >
            <option value={NONE}>no column</option>
            {read.headings.map((heading, place) => (
              <option key={place} value={place}>
                {heading || `column ${place + 1}`}
              </option>
            ))}
          </select>
        </label>
      ))}
      <label>
        Where no column says one
        <CurrencySelect value={asked.currency} onChange={(currency) => again({ ...asked, currency, map: read.map })} />
      </label>
      <label>
        3/4 is
        <select
          name="dates"
          value={asked.dates}
          onChange={(event) => again({ ...asked, dates: event.target.value as 'dmy', map: read.map })}
        >
          <option value="dmy">the 3rd of April</option>
          <option value="mdy">March 4</option>
        </select>
      </label>
    </div>
  );
}
