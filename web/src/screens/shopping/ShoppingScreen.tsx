import { useState } from 'react';
import { words } from '../../api/client';
import type { NewPurchase, Purchase, ShoppingItem } from '../../api/types';
import { useBuying, withWaiting } from '../../season/purchases';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { today } from '../../words/dates';
import { useAsk } from '../../page/AskContext';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { money, moneyChange } from '../../words/money';
import { ItemLine } from './ItemLine';
import { LimitPart } from './LimitPart';
import { OffTheList } from './OffTheList';
import { PriceOffers } from './PriceOffers';
import { PurchaseLine } from './PurchaseLine';
import { ShedOffers } from './ShedOffers';
import { useShopping } from './useShopping';
import s from './shopping.module.css';

const WHERE = [
  ['seed', 'Seed, by post or in the shop'],
  ['garden', 'Garden shop'],
  ['hardware', 'Hardware shop'],
  ['nursery', 'Nursery'],
  ['free', 'Free: nothing to pay'],
] as const;

/** What costs nothing is in no shop. */
const whereTo = (item: ShoppingItem): string => (item.price === 0 ? 'free' : item.where);

/** The list for the shops: a till receipt that writes itself as things are bought. */
export function ShoppingScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Receipt shown={shown} />}</PlanningPage>;
}

function Receipt({ shown: { id, season, setup, revision } }: { shown: OnScreen }) {
  const ask = useAsk();
  const { data, error } = useShopping(id, setup.id, revision);
  const { buy, unbuy, waiting } = useBuying(id);
  const [why, setWhy] = useState<string | null>(null);
  if (error && !data) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Writing the list…
      </p>
    );
  const { items, unneeded, planned, paid, still, now, over } = data.shopping;
  const bought = withWaiting(data.purchases, waiting);
  const onItsWay = new Set(waiting.map(({ token }) => token));
  const of = (item: ShoppingItem) => bought.filter((one) => one.kind === item.kind && one.thing === item.id);
  const listed = new Set(items.map(({ kind, id: thing }) => `${kind} ${thing}`));
  const beside = bought.filter((one) => !listed.has(`${one.kind} ${one.thing}`));
  const shop = bought.at(-1)?.shop ?? data.shops.at(-1) ?? '';
  const speak = (doing: Promise<unknown>) => {
    setWhy(null);
    doing.catch((problem: unknown) => setWhy(words(problem)));
  };
  const tick = (item: ShoppingItem) => {
    const packs = item.packs - of(item).reduce((sum, one) => sum + one.packs, 0);
    speak(
      buy({
        kind: item.kind as NewPurchase['kind'],
        thing: item.id,
        name: item.name,
        packs,
        paid: Number((packs * item.price).toFixed(4)),
        on: today(),
        shop,
      }),
    );
  };
  const line = (one: Purchase) => (
    <PurchaseLine
      season={season}
      bought={one}
      waiting={onItsWay.has(one.id)}
      save={(next) => buy(next, one.id)}
      remove={() => speak(unbuy(one.id))}
    />
  );
  const sum = (amount: number) => money(amount, season.currency);
  return (
    <>
      <div className="list-head">
        <div>
          <h1>What to buy</h1>
          <p className="quiet">Whole packs, less what you have. Tick what you bought; change the price to what you paid.</p>
          <div className="list-tools">
            <SetupPicker />
            <a className="plain" href={`/api/seasons/${id}/setups/${setup.id}/shopping.csv`} download>
              As a table (CSV)
            </a>
            <button type="button" className="plain" onClick={() => window.print()}>
              Print it
            </button>
          </div>
        </div>
      </div>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {items.length === 0 && <p className="empty">There is nothing to buy: you have all this set-up needs.</p>}
      <div className={s.columns}>
        <div className={s.receipt} data-part="receipt">
          {WHERE.map(([where, title]) => {
            const rows = items.filter((item) => whereTo(item) === where);
            return rows.length === 0 ? null : (
              <section key={where} aria-labelledby={`shop-${where}`}>
                <h2 id={`shop-${where}`}>{title}</h2>
                <ul>
                  {rows.map((item) => (
                    <ItemLine
                      key={item.kind + item.id}
                      season={season}
                      item={item}
                      bought={of(item)}
                      waiting={onItsWay}
                      tick={() => tick(item)}
                      save={(token, next) => buy(next, token)}
                      remove={(token) => speak(unbuy(token))}
                    />
                  ))}
                </ul>
              </section>
            );
          })}
          {beside.length > 0 && (
            <section aria-labelledby="shop-beside" data-part="unneeded">
              <h2 id="shop-beside">Bought, and not needed for this set-up</h2>
              <ul>
                {beside.map((one) => (
                  <li key={one.id} className={s.item}>
                    <b>{one.name}</b>
                    {line(one)}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <OffTheList season={season} shop={shop} today={today()} buy={(next) => speak(buy(next))} />
        </div>
        <aside className={s.side} aria-label="Total">
          <dl className={s.sums} aria-busy={waiting.length > 0}>
            <div>
              <dt>Planned</dt>
              <dd>
                <button
                  type="button"
                  className="figure"
                  data-figure="cash_now"
                  onClick={() => ask({ figure: 'cash_now', crop: null })}
                >
                  {sum(planned)}
                </button>
              </dd>
            </div>
            <div>
              <dt>Paid so far</dt>
              <dd data-sum="paid">{sum(paid)}</dd>
            </div>
            <div>
              <dt>Still to pay</dt>
              <dd data-sum="still">{sum(still)}</dd>
            </div>
            <div className={s.total}>
              <dt>
                Total at the checkout
                {Math.abs(over) >= 0.005 && (
                  <small>
                    {' '}
                    {moneyChange(over, season.currency)} against the plan
                    {unneeded.length > 0 ? ', with what was not needed' : ''}
                  </small>
                )}
              </dt>
              <dd data-sum="now">{sum(now)}</dd>
            </div>
          </dl>
          {waiting.length > 0 && (
            <p className="quiet" role="status">
              {waiting.length} kept here; the sums follow when the server answers.
            </p>
          )}
          <ShedOffers revision={revision} />
          <PriceOffers season={season} setup={setup} revision={revision} />
          <LimitPart key={setup.id} season={season} setup={setup} />
        </aside>
      </div>
    </>
  );
}
