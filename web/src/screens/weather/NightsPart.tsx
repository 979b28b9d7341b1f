import { Link } from 'react-router';
import type { Night, Weather } from '../../api/types';
import { weekdayAnd } from '../../words/dates';
import { plural } from '../../words/sowing';
import { apart, degrees } from '../../words/degrees';
import s from './weather.module.css';

const named = (plants: Night['bring_in']) => plants.map(({ count, name }) => `${count} ${name}`).join(', ');

/** This evening and those after it: what comes in, what is covered; and how such calls came out so far. */
export function NightsPart({
  weather: { nights, record, trust, on },
  us,
  season,
}: {
  weather: Weather;
  us: boolean;
  season: number;
}) {
  const quiet = nights.slice(1).filter((night) => !night.is_cold);
  const colder = Math.abs(trust.colder_c) >= 0.5;
  return (
    <section aria-labelledby="nights-title" data-part="nights">
      <h2 id="nights-title">Evenings</h2>
      {nights.length === 0 ? (
        <p className="quiet">Nothing stands outdoors in the days that are forecast, or nobody has forecast them.</p>
      ) : (
        <ul className={s.nights}>
          {nights
            .filter((night, i) => i === 0 || night.is_cold)
            .map((night) => (
              <li key={night.on} className={night.is_cold ? s.coldNight : undefined} data-night={night.on}>
                <b>{night.on === on ? 'Tonight' : weekdayAnd(night.on, us)}</b>: {degrees(night.low_c, us)} by dawn.{' '}
                {night.is_cold ? (
                  <>
                    {night.bring_in.length > 0 && <>Bring in {named(night.bring_in)}. </>}
                    {night.cover.length > 0 && <>Cover {named(night.cover)}. </>}
                    {night.cover_may_fail && <span className="trouble">▲ A cover may not be enough. </span>}
                    <span className="quiet">{Math.round(night.minutes)} minutes</span>
                  </>
                ) : (
                  <span className="quiet">All may stay out.</span>
                )}
              </li>
            ))}
        </ul>
      )}
      {quiet.length > 0 && (
        <p className="quiet" data-part="quiet-nights">
          {plural(quiet.length, 'On the other evening', 'On the other evenings')} that {quiet.length === 1 ? 'is' : 'are'}{' '}
          forecast all may stay out; the coldest is {degrees(Math.min(...quiet.map((night) => night.low_c)), us)} by dawn.
        </p>
      )}
      <p>
        Done or not, it is written down on <Link to={`/seasons/${season}/today`}>Today</Link>.
      </p>
      {record.nights > 0 && (
        <p data-part="record">
          So far {record.right} of {record.called} {plural(record.called, 'warning')} {record.called === 1 ? 'was' : 'were'}{' '}
          right, in {record.nights} {plural(record.nights, 'night')} with something outdoors
          {record.missed === 0
            ? '; no cold night came without one.'
            : `; ${record.missed} cold ${plural(record.missed, 'night')} came without one.`}
        </p>
      )}
      {trust.nights > 0 && (
        <p className="quiet" data-part="trust">
          {colder
            ? `Your nights are mostly ${apart(Math.abs(trust.colder_c), us)} ${trust.colder_c > 0 ? 'colder' : 'warmer'} than forecast, and stray by ${apart(trust.spread_c, us)} besides`
            : `Your nights stray from the forecast by ${apart(trust.spread_c, us)}`}
          , by {trust.nights} {plural(trust.nights, 'night')} of yours. Both are reckoned with.
        </p>
      )}
    </section>
  );
}
