import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, client } from '../../api/client';
import type { Season, Setup } from '../../api/types';
import { useOfRevision } from '../../season/useOfRevision';
import { useStore } from '../../season/SeasonContext';
import { shortDay } from '../../words/dates';
import { money, moneyChange } from '../../words/money';
import { LOCALE } from '../../words/region';
import { inUnit, type Unit } from '../../words/units';
import s from './shopping.module.css';

interface Props {
  season: Season;
  setup: Setup;
  revision: number;
}

/** What another pack holds: "8 qt", "100". */
function packWords(season: Season, [list, id]: string[], holds: number): string {
  const isUs = season.units === 'us';
  const unit = list === 'supplies' ? season.supplies.find((row) => row.id === id)?.unit : undefined;
  const shown: Unit | undefined = unit === 'L' ? (isUs ? 'qt' : 'L') : unit === 'kg' ? (isUs ? 'lb' : 'kg') : undefined;
  return shown === undefined ? tidy(holds) : `${tidy(inUnit(holds, shown))} ${shown}`;
}

const tidy = (value: number): string => value.toLocaleString(LOCALE, { maximumFractionDigits: 1 });

/** Your saved prices, or paid, that are newer than the season's: what each would change, taken over one by one or all. */
export function PriceOffers({ season, setup, revision }: Props) {
  const store = useStore();
  const queries = useQueryClient();
  const { data } = useOfRevision(['price-offers', store.id, setup.id], revision, () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/prices', { params: { path: { season: store.id, setup: setup.id } } }),
    ),
  );
  const offers = data?.offers ?? [];
  const take = (some: typeof offers, label: string) => {
    store.apply(
      some.flatMap(({ path, price, also }) => [...also, { path, to: price }]),
      label,
    );
    void queries.invalidateQueries({ queryKey: ['price-offers', store.id] });
  };
  return (
    <section aria-labelledby="offers-title" className={s.limit} data-part="price-offers">
      <h2 id="offers-title">Your saved prices</h2>
      {offers.length === 0 ? (
        <p className="quiet">
          Your saved prices match this season’s. <Link to="/prices">Your prices</Link>
        </p>
      ) : (
        <>
          <ul className={s.steps}>
            {offers.map((offer) => (
              <li key={offer.path.join(' ')}>
                {offer.name}
                {offer.also.map(({ to }) => `, in a pack of ${packWords(season, offer.path, to)}`)}:{' '}
                <span className="mono">{money(offer.price, season.currency)}</span>
                {offer.shop === '' ? '' : ` at ${offer.shop}`} on {shortDay(offer.on, season.units === 'us')}, here{' '}
                {money(offer.now, season.currency)}; season cost {moneyChange(offer.cost, season.currency)}, to pay now{' '}
                {moneyChange(offer.cash, season.currency)}{' '}
                <button type="button" className="plain" onClick={() => take([offer], `new price, ${offer.name}`)}>
                  use it
                </button>
              </li>
            ))}
          </ul>
          <button type="button" className="plain" data-action="all-prices" onClick={() => take(offers, 'new prices')}>
            Use all {offers.length}
          </button>{' '}
          <Link className="plain" to="/prices">
            Your prices
          </Link>
        </>
      )}
    </section>
  );
}
