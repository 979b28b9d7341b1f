import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season } from '../../api/types';
import { CurrencySelect } from '../../edit/CurrencySelect';
import { EditBounded } from '../../edit/EditNumber';
import { useSnapshot, useStore } from '../../season/SeasonContext';
import s from './growlist.module.css';

const RATE = { least: 0.000001, most: 1_000_000 };

/** The season's money; with another one it is asked what becomes of the prices that were typed. */
export function CurrencyPart({ season }: { season: Season }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const [to, setTo] = useState<string | null>(null);
  const [rate, setRate] = useState(1);
  const [trouble, setTrouble] = useState('');
  const change = async (at: number | null) => {
    if (to === null) return;
    const request = { params: { path: { season: store.id } }, body: { to, rate: at, setup: setup ?? undefined } };
    try {
      await store.run(`currency, ${to}`, () => answered(client.PUT('/api/seasons/{season}/currency', request)));
      setTo(null);
      setTrouble('');
    } catch (error) {
      setTrouble(words(error));
    }
  };
  return (
    <>
      <label className="pick">
        Currency
        <CurrencySelect value={to ?? season.currency} onChange={(code) => setTo(code === season.currency ? null : code)} />
      </label>
      {to !== null && (
        <fieldset className={s.unknown} data-part="other-currency">
          <legend>
            From {season.currency} to {to}
          </legend>
          <p>Prices of the catalogue become those usual in {to}. What becomes of the prices you typed?</p>
          <EditBounded
            label={`1 ${season.currency} is`}
            name="rate"
            after={to}
            value={rate}
            bounds={RATE}
            save={(value) => {
              setRate(value);
              return Promise.resolve();
            }}
          />
          <p>
            <Button type="primary" onClick={() => void change(rate)}>
              Convert my prices
            </Button>{' '}
            <Button onClick={() => void change(null)}>Keep the numbers</Button>{' '}
            <Button type="text" onClick={() => setTo(null)}>
              Leave it
            </Button>
          </p>
          {trouble !== '' && <p role="alert">{trouble}</p>}
        </fieldset>
      )}
    </>
  );
}
