import type { PriceTableRead } from '../../api/types';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import s from './prices.module.css';

/** What a table holds: how many prices are new, what is wrong in it, and some of them. */
export function Found({ read }: { read: PriceTableRead }) {
  return (
    <>
      <p>
        {read.rows} {plural(read.rows, 'line')}: {read.new} new, {read.known} there already
        {read.faulty > 0 ? `, ${read.faulty} that cannot be used` : ''}.
      </p>
      {read.faults.length > 0 && (
        <ul className={s.faults}>
          {read.faults.slice(0, 10).map(({ line, why: wrong }) => (
            <li key={line} className="trouble">
              Line {line}: {wrong}
            </li>
          ))}
        </ul>
      )}
      {read.sample.length > 0 && (
        <ul className={s.sample}>
          {read.sample.map((one, index) => (
            <li key={index}>
              {one.on} <b>{one.name}</b> <span className="mono copper">{money(one.price, one.currency)}</span>{' '}
              {one.holds === null ? '' : `for ${one.holds} ${one.unit}`} {one.shop}
            </li>
          ))}
          {read.more > 0 && <li className="quiet">and {read.more} more</li>}
        </ul>
      )}
    </>
  );
}
