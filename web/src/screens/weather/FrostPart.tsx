import type { Weather } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { day } from '../../words/dates';
import { plural } from '../../words/sowing';
import { FrostCurve } from './FrostCurve';
import s from './weather.module.css';

/** Years that must be there before they say something; the core's. */
const ENOUGH = 10;

/** The last frost by past years instead of hearsay: how it strays, from when on it is safe, and what taking it over would move. */
export function FrostPart({
  shown,
  weather: { last_frost: last, first_frost: first, offer },
  us,
}: {
  shown: OnScreen;
  weather: Weather;
  us: boolean;
}) {
  const { season } = shown;
  return (
    <section aria-labelledby="frost-title" data-part="frost">
      <h2 id="frost-title">Frost, by your own years</h2>
      {last.median === null ? (
        <p className="quiet">
          {last.years.length < ENOUGH
            ? `${last.years.length === 0 ? 'No whole spring' : `Only ${last.years.length} whole ${plural(last.years.length, 'spring')}`} of weather ${last.years.length > 1 ? 'are' : 'is'} here. From ${ENOUGH} on they say when the last frost comes. Read in a table of past years below.`
            : `In most of ${last.years.length} springs there was no frost, so there is no day to go by.`}
        </p>
      ) : (
        <>
          <FrostCurve frosts={last} now={season.last_frost} us={us} />
          <p>
            Over {last.years.length} years the last frost comes around {day(last.median, us)}, mostly no more than{' '}
            {Math.round(last.spread_days ?? 0)} days earlier or later.
            {last.safe_on !== null && (
              <>
                {' '}
                <b>Safe in 9 of 10 years from {day(last.safe_on, us)}.</b>
              </>
            )}
            {first.median !== null && ` The first frost of autumn comes around ${day(first.median, us)}.`}
          </p>
          {offer === null ? (
            <p className="quiet">That is what the season goes by already.</p>
          ) : (
            <Offer shown={shown} offer={offer} us={us} />
          )}
        </>
      )}
    </section>
  );
}

/** What a finished seedling costs then, where that is another amount. */
function costs({ per_finished: then, per_finished_now: now }: NonNullable<Weather['offer']>, currency: string): string {
  if (then === null || now === null) return '';
  const [a, b] = [money(now, currency), money(then, currency)];
  return a === b ? `; a finished seedling costs ${a} as before` : `; a finished seedling costs ${b} instead of ${a}`;
}

function Offer({ shown, offer, us }: { shown: OnScreen; offer: NonNullable<Weather['offer']>; us: boolean }) {
  const store = useStore();
  const take = () =>
    store.apply(
      [
        { path: ['last_frost'], to: offer.last_frost },
        { path: ['last_frost_spread_days'], to: offer.last_frost_spread_days },
        { path: ['first_frost'], to: offer.first_frost },
      ],
      'frosts by your own years',
    );
  const moves =
    offer.days === 0
      ? 'on the same day'
      : `${Math.abs(offer.days)} ${plural(Math.abs(offer.days), 'day')} ${offer.days > 0 ? 'later' : 'earlier'}`;
  return (
    <div className={s.offer} data-part="frost-offer">
      <p>
        The season goes by {day(shown.season.last_frost, us)}. Taken over, the last frost is {moves}, and {offer.crops}{' '}
        {plural(offer.crops, 'crop')} move{offer.crops === 1 ? 's' : ''} with it
        {offer.first_frost !== null &&
          offer.first_frost !== shown.season.first_frost &&
          `; the first frost is ${day(offer.first_frost, us)}`}
        {costs(offer, shown.season.currency)}
        {offer.new_warnings.length > 0
          ? `; ${offer.new_warnings.length} ${plural(offer.new_warnings.length, 'crop')} would have something new to look at`
          : ''}
        .
      </p>
      <button type="button" className={s.take} data-action="take-frost" onClick={() => void take()}>
        Go by my own years
      </button>
    </div>
  );
}
