import { clsx } from 'clsx';
import type { NewPurchase, Purchase, Season, ShoppingItem } from '../../api/types';
import { shortDay } from '../../words/dates';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { inUnit, type Unit } from '../../words/units';
import { PurchaseLine } from './PurchaseLine';
import s from './shopping.module.css';

interface Props {
  season: Season;
  item: ShoppingItem;
  bought: Purchase[];
  waiting: ReadonlySet<string>;
  tick: () => void;
  save: (token: string, bought: NewPurchase) => Promise<unknown>;
  remove: (token: string) => void;
}

const US: Record<string, Unit> = { L: 'qt', kg: 'lb' };
const WORDS: Record<string, string> = { each: '', seeds: ' seeds', plants: ' plants' };

/** An amount as it is said at the shelf: "3.7 qt", "97 seeds", "69". */
function amount(value: number, unit: string, us: boolean): string {
  const shown = us ? US[unit] : undefined;
  const number = shown ? inUnit(value, shown) : value;
  return `${number.toLocaleString('en', { maximumFractionDigits: number < 20 && unit !== 'seeds' && unit !== 'each' ? 1 : 0 })}${WORDS[unit] ?? ` ${shown ?? unit}`}`;
}

/** One thing of the list: ticked off with one press, at the planned price until the paid one is typed. */
export function ItemLine({ season, item, bought, waiting, tick, save, remove }: Props) {
  const us = season.units === 'us';
  const packs = bought.reduce((sum, one) => sum + one.packs, 0);
  const done = packs >= item.packs;
  const why = [
    item.packs > 1 || item.holds !== null ? `${item.packs} ${plural(item.packs, 'pack')}` : null,
    item.holds !== null && item.holds > 1 ? `of ${amount(item.holds, item.unit, us)}` : null,
    item.need !== null ? `for ${amount(item.need, item.unit, us)}` : null,
    item.in_stock !== null && item.in_stock > 0 ? `beside ${amount(item.in_stock, item.unit, us)} you have` : null,
  ].filter(Boolean);
  return (
    <li className={clsx(s.item, done && s.done)} data-item={`${item.kind}-${item.id}`}>
      <label className={s.tick}>
        <input
          type="checkbox"
          name={`tick-${item.kind}-${item.id}`}
          checked={done}
          onChange={() => (done ? remove(bought.at(-1)?.id ?? '') : tick())}
        />
        <span>
          <b>{item.name}</b>
          <small>
            {why.join(' ')}
            {item.order_by !== null &&
              `${why.length > 0 ? '; ' : ''}${item.kind === 'seed' ? 'order' : 'have it'} by ${shortDay(item.order_by, us)}`}
            {!done && packs > 0 && `; ${item.packs - packs} still to buy`}
            {packs > item.packs && `; ${packs - item.packs} more than the plan needs`}
          </small>
        </span>
        <span className={clsx('mono', done ? 'quiet' : 'copper')}>{money(item.planned, season.currency)}</span>
      </label>
      {bought.map((one) => (
        <PurchaseLine
          key={one.id}
          season={season}
          bought={one}
          waiting={waiting.has(one.id)}
          save={(next) => save(one.id, next)}
          remove={() => remove(one.id)}
        />
      ))}
    </li>
  );
}
