import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { PriceThing } from '../../api/types';
import { renew } from '../../api/renew';
import { shortDay } from '../../words/dates';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { AddPrice } from './AddPrice';
import { FromTable } from './FromTable';
import { PriceLine } from './PriceLine';
import s from './prices.module.css';
import { LOCALE } from '../../words/region';

/** Your prices by thing, shop, pack and day; offered in every season. */
export function PricesScreen() {
  const queries = useQueryClient();
  const [find, setFind] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const { data, error } = useQuery({
    queryKey: ['prices', find],
    meta: { passing: find !== '' },
    queryFn: () => answered(client.GET('/api/prices', { params: { query: { find } } })),
    placeholderData: keepPreviousData,
  });
  const changed = () => void renew(queries, ['prices']);
  const remove = (price: number) =>
    void answered(client.DELETE('/api/prices/{price}', { params: { path: { price } } })).then(changed, (problem: unknown) =>
      setWhy(words(problem)),
    );
  return (
    <main className="work" id="work">
      <h1>Your prices</h1>
      <p className="quiet">
        What you paid or saw, where and when. A season keeps its own prices until you use new ones, under Shopping.
      </p>
      {error && !data && <p role="alert">{words(error)}</p>}
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      <AddPrice added={changed} />
      <div className={s.tools}>
        <label>
          Find <input name="find" value={find} maxLength={100} onChange={(event) => setFind(event.target.value)} />
        </label>
        {data && data.lines > 0 && (
          <>
            <span className="quiet">
              {data.lines.toLocaleString(LOCALE)} {plural(data.lines, 'price')}
            </span>
            <a className="plain" href="/api/prices.csv" download>
              All as a table (CSV)
            </a>
          </>
        )}
      </div>
      {data?.lines === 0 && (
        <p className="empty">No prices yet. Add one, or read a table. What you tick off under Shopping counts too.</p>
      )}
      {data && data.lines > 0 && data.things.length === 0 && <p className="quiet">No price has that name.</p>}
      <ul className={s.things} data-part="prices">
        {data?.things.map((thing) => (
          <Thing key={thing.name} thing={thing} remove={remove} />
        ))}
      </ul>
      {data && data.more > 0 && <p className="quiet">There are more. Search by name to see them.</p>}
      <FromTable kept={changed} />
    </main>
  );
}

/** The last price of a thing and how it went; opened, all of them. */
function Thing({ thing: { name, prices }, remove }: { thing: PriceThing; remove: (price: number) => void }) {
  const last = prices.at(-1);
  if (last === undefined) return null;
  return (
    <li>
      <details>
        <summary>
          <b>{name}</b>
          <PriceLine prices={prices} />
          <span className="mono copper">{money(last.price, last.currency)}</span>
          <small>
            {last.holds === null ? '' : `for ${last.holds} ${last.unit}, `}
            {last.shop === '' ? '' : `${last.shop}, `}
            {shortDay(last.on)} {last.on.slice(0, 4)}
          </small>
        </summary>
        <ul>
          {[...prices].reverse().map((one) => (
            <li key={one.id}>
              {one.on} <span className="mono">{money(one.price, one.currency)}</span> {one.shop}{' '}
              {one.holds === null ? '' : `${one.holds} ${one.unit}`}{' '}
              <button type="button" className="plain" aria-label={`Delete: ${name} of ${one.on}`} onClick={() => remove(one.id)}>
                Delete
              </button>
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
}
