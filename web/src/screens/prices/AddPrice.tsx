import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { CurrencySelect } from '../../edit/CurrencySelect';
import { parseNumber } from '../../edit/numbers';
import { isDate, today } from '../../words/dates';
import { keepCurrency, ownCurrency } from './defaults';
import s from './prices.module.css';

const NOTHING = { name: '', price: '', holds: '', unit: '', shop: '' };

/** What the fields say, or what is wrong with them. */
function priceOf(fields: typeof NOTHING & { on: string }) {
  const price = parseNumber(fields.price, { least: 0, most: 1_000_000_000, kind: 'money' });
  const holds = fields.holds.trim() === '' ? null : parseNumber(fields.holds, { least: 0, most: 1_000_000_000 });
  if (fields.name.trim() === '') return 'Type a name.';
  if (!price.ok) return `The price: ${price.why}`;
  if (holds !== null && !holds.ok) return `What a pack holds: ${holds.why}`;
  if (!isDate(fields.on)) return 'Type a date as year-month-day, for example 2027-04-08.';
  return {
    name: fields.name.trim(),
    price: price.value,
    holds: holds?.value ?? null,
    unit: fields.unit.trim(),
    shop: fields.shop.trim(),
    on: fields.on,
  };
}

/** A price seen in a shop. */
export function AddPrice({ added }: { added: () => void }) {
  const [fields, setFields] = useState({ ...NOTHING, on: today() });
  const [currency, setCurrency] = useState(ownCurrency());
  const [why, setWhy] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const field = (key: keyof typeof fields, label: string, mode?: 'decimal') => (
    <label>
      {label}
      <input
        name={`price-${key}`}
        inputMode={mode}
        value={fields[key]}
        maxLength={200}
        onChange={(event) => setFields((now) => ({ ...now, [key]: event.target.value }))}
      />
    </label>
  );
  const add = async () => {
    if (sending) return;
    const found = priceOf(fields);
    if (typeof found === 'string') return setWhy(found);
    setSending(true);
    try {
      await answered(client.POST('/api/prices', { body: { ...found, currency } }));
      setWhy(null);
      // What was typed meanwhile is the next one's.
      setFields((now) => ({
        ...now,
        name: now.name === fields.name ? '' : now.name,
        price: now.price === fields.price ? '' : now.price,
        holds: now.holds === fields.holds ? '' : now.holds,
      }));
      added();
    } catch (error) {
      setWhy(words(error));
    } finally {
      setSending(false);
    }
  };
  return (
    <form
      className={s.add}
      data-part="add-price"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      {field('name', 'What')}
      {field('price', 'A pack costs', 'decimal')}
      <CurrencySelect
        value={currency}
        onChange={(code) => {
          setCurrency(code);
          keepCurrency(code);
        }}
      />
      {field('holds', 'It holds', 'decimal')}
      {field('unit', 'of (qt, L, seeds…)')}
      {field('shop', 'Shop')}
      {field('on', 'Day')}
      <Button htmlType="submit" loading={sending}>
        Save the price
      </Button>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
