import type { NewPurchase, Purchase, Season } from '../../api/types';
import { PurchaseLine } from './PurchaseLine';
import s from './shopping.module.css';

interface Props {
  season: Season;
  beside: Purchase[];
  /** Tokens of what is not sent yet. */
  onItsWay: ReadonlySet<string>;
  save: (next: NewPurchase, token: string) => Promise<unknown>;
  remove: (token: string) => void;
}

/** What was bought and this set-up does not need. */
export function Beside({ season, beside, onItsWay, save, remove }: Props) {
  if (beside.length === 0) return null;
  return (
    <section aria-labelledby="shop-beside" data-part="unneeded">
      <h2 id="shop-beside">Bought, and not needed for this set-up</h2>
      <ul>
        {beside.map((one) => (
          <li key={one.id} className={s.item}>
            <b>{one.name}</b>
            <PurchaseLine
              season={season}
              bought={one}
              waiting={onItsWay.has(one.id)}
              save={(next) => save(next, one.id)}
              remove={() => remove(one.id)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
