import { clsx } from 'clsx';
import type { NewPurchase, Purchase, Season, ShoppingItem } from '../../api/types';
import { packsLeft } from '../../season/purchases';
import { speciesOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { inUnit, type Unit } from '../../words/units';
import { smallVolume } from '../pots/volume';
import { PurchaseLine } from './PurchaseLine';
import s from './shopping.module.css';
import { LOCALE } from '../../words/region';

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
/** Less is said in small units. Litres. */
const SMALL_L = 0.5;

/** An amount as it is said at the shelf: "3.7 qt", "97 seeds", "69". */
function amount(value: number, unit: string, us: boolean): string {
  if (unit === 'L' && value < SMALL_L) return smallVolume(value, us);
  const shown = us ? US[unit] : undefined;
  const number = shown ? inUnit(value, shown) : value;
  const places = number < 20 && unit !== 'seeds' && unit !== 'each' ? 1 : 0;
  return `${number.toLocaleString(LOCALE, { maximumFractionDigits: places })}${WORDS[unit] ?? ` ${shown ?? unit}`}`;
}

/** How many packs of what, and what for: "2 packs of 15 seeds for 24 seeds", "4: 5 needed, 1 there". */
function packsFor({ packs, holds, need, in_stock: stock, unit }: ShoppingItem, us: boolean): string {
  if (holds === null) return packs > 1 ? `${packs} of them` : '';
  if (unit === 'each' && holds === 1)
    return stock !== null && stock > 0 ? `${packs}: ${need} needed, ${stock} there` : `${packs} needed`;
  const there = stock !== null && stock > 0 ? ` beside ${amount(stock, unit, us)} you have` : '';
  return `${packs} ${plural(packs, 'pack')} of ${amount(holds, unit, us)}${need === null ? '' : ` for ${amount(need, unit, us)}`}${there}`;
}

/** One thing of the list: ticked off with one press, at the planned price until the paid one is typed. */
export function ItemLine({ season, item, bought, waiting, tick, save, remove }: Props) {
  const us = season.units === 'us';
  const left = packsLeft(item, bought);
  const done = left <= 0;
  const why = packsFor(item, us);
  const species = item.kind === 'seed' ? speciesOf(season, item.id) : undefined;
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
          {species !== undefined && <span className="quiet">, {species.toLowerCase()}</span>}
          <small>
            {why}
            {item.order_by !== null &&
              `${why === '' ? '' : '; '}${item.kind === 'seed' ? 'order' : 'have it'} by ${shortDay(item.order_by, us)}`}
            {!done && left < item.packs && `; ${left} still to buy`}
            {left < 0 && `; ${-left} more than the plan needs`}
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
