import { useState, type ReactNode } from 'react';
import { words } from '../../api/client';
import type { NewPurchase, ShoppingItem, ShoppingState } from '../../api/types';
import { packsLeft, priceOf, useBuying, withWaiting } from '../../season/purchases';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { today } from '../../words/dates';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { Beside } from './Beside';
import { ItemLine } from './ItemLine';
import { LimitPart } from './LimitPart';
import { OffTheList } from './OffTheList';
import { PriceOffers } from './PriceOffers';
import { ShedOffers } from './ShedOffers';
import { Sums } from './Sums';
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

function Receipt({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
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
  const { items } = data.shopping;
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
    const packs = packsLeft(item, of(item));
    speak(
      buy({
        kind: item.kind as NewPurchase['kind'],
        thing: item.id,
        name: item.name,
        packs,
        paid: priceOf(packs, item.price),
        on: today(),
        shop,
      }),
    );
  };
  return (
    <>
      <ListHead table={`/api/seasons/${id}/setups/${setup.id}/shopping.csv`} />
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {items.length === 0 && <p className="empty">There is nothing to buy: you have all this set-up needs.</p>}
      <div className={s.columns}>
        <div className={s.receipt} data-part="receipt">
          {WHERE.map(([where, title]) => (
            <Shop key={where} where={where} title={title}>
              {items
                .filter((item) => whereTo(item) === where)
                .map((item) => (
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
            </Shop>
          ))}
          <Beside season={season} beside={beside} onItsWay={onItsWay} save={buy} remove={(token) => speak(unbuy(token))} />
          <OffTheList season={season} shop={shop} today={today()} buy={(next) => speak(buy(next))} />
        </div>
        <Side shown={shown} shopping={data.shopping} waiting={waiting.length} />
      </div>
    </>
  );
}

interface SideProps {
  shown: OnScreen;
  shopping: ShoppingState['shopping'];
  /** Purchases that are kept on this device. */
  waiting: number;
}

/** The sums, and what would make them smaller. */
function Side({ shown: { season, setup, revision }, shopping, waiting }: SideProps) {
  return (
    <aside className={s.side} aria-label="Total">
      <Sums shopping={shopping} currency={season.currency} waiting={waiting > 0} />
      {waiting > 0 && (
        <p className="quiet" role="status">
          {waiting} kept here; the sums follow when the server answers.
        </p>
      )}
      <ShedOffers revision={revision} />
      <PriceOffers season={season} setup={setup} revision={revision} />
      <LimitPart key={setup.id} season={season} setup={setup} />
    </aside>
  );
}

function ListHead({ table }: { table: string }) {
  return (
    <div className="list-head">
      <div>
        <h1>What to buy</h1>
        <p className="quiet">Whole packs, less what you have. Tick what you bought; change the price to what you paid.</p>
        <div className="list-tools">
          <SetupPicker />
          <a className="plain" href={table} download>
            As a table (CSV)
          </a>
          <button type="button" className="plain" onClick={() => window.print()}>
            Print it
          </button>
        </div>
      </div>
    </div>
  );
}

function Shop({ where, title, children }: { where: string; title: string; children: ReactNode[] }) {
  if (children.length === 0) return null;
  return (
    <section aria-labelledby={`shop-${where}`}>
      <h2 id={`shop-${where}`}>{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}
