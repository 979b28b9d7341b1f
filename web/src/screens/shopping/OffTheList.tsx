import { Button } from 'antd';
import { useState } from 'react';
import type { NewPurchase, Season } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { moneySign } from '../../words/money';
import s from './shopping.module.css';

interface Props {
  season: Season;
  shop: string;
  today: string;
  buy: (bought: NewPurchase) => void;
}

/** Something that is on no list, and was bought all the same. */
export function OffTheList({ season, shop, today, buy }: Props) {
  const [name, setName] = useState('');
  const [paid, setPaid] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const add = () => {
    const price = parseNumber(paid, { least: 0, most: 1_000_000_000, kind: 'money' });
    if (name.trim() === '') return setWhy('Type what you bought.');
    if (!price.ok) return setWhy(price.why);
    setWhy(null);
    buy({ kind: 'gear', thing: 'off-the-list', name: name.trim(), packs: 1, paid: price.value, on: today, shop });
    setName('');
    setPaid('');
  };
  return (
    <details className={s.off}>
      <summary>Add something that was not on the list</summary>
      <form
        className={s.instead}
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label>
          What it was
          <input name="off-name" value={name} maxLength={200} onChange={(event) => setName(event.target.value)} />
        </label>
        <label>
          Paid, {moneySign(season.currency)}
          <input name="off-paid" inputMode="decimal" value={paid} onChange={(event) => setPaid(event.target.value)} />
        </label>
        <Button htmlType="submit">Add it</Button>
        {why !== null && (
          <p className="trouble" role="alert">
            {why}
          </p>
        )}
      </form>
    </details>
  );
}
