import { Button } from 'antd';
import { useState } from 'react';
import { words } from '../../api/client';
import type { NewPurchase, Purchase, Season } from '../../api/types';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { FIELDS, type FieldName } from '../../api/fields.generated';
import { priceEach, priceOf } from '../../season/purchases';
import { useStore } from '../../season/SeasonContext';
import { fromUnit, inUnit, type Unit } from '../../words/units';
import { moneySign } from '../../words/money';
import { kindOf, rowOf } from './instead';
import s from './shopping.module.css';

interface Props {
  season: Season;
  bought: Purchase;
  save: (changed: Partial<NewPurchase>) => Promise<unknown>;
  done: () => void;
}

/** Something else was bought instead: it takes its place in the plan, and the till says what that did. */
export function InsteadForm({ season, bought, save, done }: Props) {
  const store = useStore();
  const keys = kindOf(bought.kind);
  const row = rowOf(season, bought.kind, bought.thing);
  const isUs = season.units === 'us';
  const unit: Unit | undefined =
    row?.['unit'] === 'L' ? (isUs ? 'qt' : 'L') : row?.['unit'] === 'kg' ? (isUs ? 'lb' : 'kg') : undefined;
  const out = (value: number) => (unit ? Number(inUnit(value, unit).toFixed(2)) : value);
  const [name, setName] = useState(bought.name);
  const [price, setPrice] = useState(showNumber(priceEach(bought), 'money'));
  const [holds, setHolds] = useState(keys?.size ? String(out(Number(row?.[keys.size] ?? 1))) : '');
  const [why, setWhy] = useState<string | null>(null);
  if (keys === undefined || row === undefined) return <p className="quiet">It is not in this season any more.</p>;
  const field = (key: string) => `${keys.list}.${key}` as FieldName;
  const said = unit ?? { watts: 'watts', seeds_per_packet: 'seeds', plants: 'plants' }[keys.size ?? ''] ?? 'in a pack';
  const take = async () => {
    const paid = parseNumber(price, boundsOf(field(keys.price)));
    const amount = keys.size === null ? null : parseNumber(holds, { ...boundsOf(field(keys.size)), least: 0 });
    if (name.trim() === '') return setWhy('Type its name.');
    if (!paid.ok) return setWhy(`The price: ${paid.why}`);
    if (amount !== null && !amount.ok) return setWhy(`How much it holds: ${amount.why}`);
    const path = (key: string) => [keys.list, bought.thing, key];
    try {
      await store.change(
        [
          { path: path(keys.name), to: name.trim() },
          { path: path(keys.price), to: paid.value },
          ...(keys.size === null || amount === null
            ? []
            : [{ path: path(keys.size), to: unit ? fromUnit(amount.value, unit) : amount.value }]),
        ],
        `${name.trim()} instead of ${bought.name}`,
      );
      await save({ name: name.trim(), paid: priceOf(bought.packs, paid.value) });
      done();
    } catch (error) {
      setWhy(words(error));
    }
  };
  return (
    <form
      className={s.instead}
      data-part="instead"
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
    >
      <label>
        Bought instead
        <input name="instead-name" value={name} maxLength={200} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        A pack costs, {moneySign(season.currency)}
        <input name="instead-price" inputMode="decimal" value={price} onChange={(event) => setPrice(event.target.value)} />
      </label>
      {keys.size !== null && (
        <label title={FIELDS[field(keys.size)].words}>
          {keys.size === 'watts' ? 'Watts' : `It holds, ${said}`}
          <input name="instead-holds" inputMode="decimal" value={holds} onChange={(event) => setHolds(event.target.value)} />
        </label>
      )}
      <Button htmlType="submit" type="primary">
        Use it in the plan
      </Button>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
