import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { PriceTableRead } from '../../api/types';
import { CurrencySelect } from '../../edit/CurrencySelect';
import { coded } from '../../files/coded';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { ownCurrency } from './defaults';
import s from './prices.module.css';

const MOST_BYTES = 4_000_000;
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

interface Asked {
  currency: string;
  dates: 'dmy' | 'mdy';
  map?: Record<string, number>;
}

/** A table of prices: looked at first, its columns mapped by hand where their headings say nothing, then kept; nothing twice. */
export function FromTable({ kept }: { kept: () => void }) {
  const [file, setFile] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked>({ currency: ownCurrency(), dates: ownCurrency() === 'USD' ? 'mdy' : 'dmy' });
  const [read, setRead] = useState<PriceTableRead | null>(null);
  const [busy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const look = async (bytes: string, how: Asked, keep: boolean) => {
    setAsked(how);
    setWhy(null);
    setBusy(true);
    try {
      const answer = await answered(client.POST('/api/prices/table', { body: { file: bytes, keep, ...how } }));
      setRead(answer);
      if (keep) {
        setFile(null);
        kept();
      }
    } catch (error) {
      setRead(null);
      setWhy(words(error));
    } finally {
      setBusy(false);
    }
  };
  const choose = async (chosen: File) => {
    if (chosen.size > MOST_BYTES) {
      setRead(null);
      return setWhy('This file is larger than 4 MB. Split it.');
    }
    const bytes = await coded(chosen);
    setFile(bytes);
    await look(bytes, { currency: asked.currency, dates: asked.dates }, false);
  };
  return (
    <section aria-labelledby="table-title" className={s.table} data-part="price-table">
      <h2 id="table-title">Read prices from a table</h2>
      <p className="quiet">
        A CSV file from any program. You see it first and then choose to keep it. A line read twice is kept once.
      </p>
      <input
        type="file"
        name="price-file"
        aria-label="A table of prices"
        accept=".csv,.txt,.tsv,text/csv"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) void choose(chosen);
          event.target.value = '';
        }}
      />
      {busy && <p role="status">Reading…</p>}
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {read?.kept && (
        <p role="status">
          {read.new} {plural(read.new, 'price')} kept{read.known > 0 ? `, ${read.known} were there already` : ''}.
        </p>
      )}
      {read && file !== null && !read.kept && (
        <div data-part="price-preview">
          <div className={s.map}>
            {COLUMNS.map(([key, label]) => (
              <label key={key}>
                {label}
                <select
                  name={`map-${key}`}
                  value={read.map[key] ?? NONE}
                  onChange={(event) => {
                    const map = { ...read.map, [key]: Number(event.target.value) };
                    void look(
                      file,
                      { ...asked, map: Object.fromEntries(Object.entries(map).filter(([, place]) => place !== NONE)) },
                      false,
                    );
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
              <CurrencySelect
                value={asked.currency}
                onChange={(currency) => void look(file, { ...asked, currency, map: read.map }, false)}
              />
            </label>
            <label>
              3/4 is
              <select
                name="dates"
                value={asked.dates}
                onChange={(event) => void look(file, { ...asked, dates: event.target.value as 'dmy', map: read.map }, false)}
              >
                <option value="dmy">the 3rd of April</option>
                <option value="mdy">March 4</option>
              </select>
            </label>
          </div>
          {(read.map['name'] === undefined || read.map['price'] === undefined) && (
            <p className="trouble" role="alert">
              Say which column holds what it is, and which its price.
            </p>
          )}
          <p>
            {read.rows} {plural(read.rows, 'line')}: {read.new} new, {read.known} there already
            {read.faulty > 0 ? `, ${read.faulty} that cannot be used` : ''}.
          </p>
          {read.faults.length > 0 && (
            <ul className={s.faults}>
              {read.faults.slice(0, 10).map(({ line, why: wrong }) => (
                <li key={line} className="trouble">
                  Line {line}: {wrong}
                </li>
              ))}
            </ul>
          )}
          {read.sample.length > 0 && (
            <ul className={s.sample}>
              {read.sample.map((one, index) => (
                <li key={index}>
                  {one.on} <b>{one.name}</b> <span className="mono copper">{money(one.price, one.currency)}</span>{' '}
                  {one.holds === null ? '' : `for ${one.holds} ${one.unit}`} {one.shop}
                </li>
              ))}
              {read.new > read.sample.length && <li className="quiet">and {read.new - read.sample.length} more</li>}
            </ul>
          )}
          <Button
            type="primary"
            disabled={read.new === 0}
            loading={busy}
            onClick={() => void look(file, { ...asked, map: read.map }, true)}
          >
            Keep {read.new} {plural(read.new, 'price')}
          </Button>
        </div>
      )}
    </section>
  );
}
