import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { GoingOut } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { useOfRevision } from '../../season/useOfRevision';
import { varietyOf } from '../../season/site';
import { day } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import { plural } from '../../words/sowing';
import { GoingOutCurve } from './GoingOutCurve';
import s from './weather.module.css';

const MOST_PRICE = 100_000;

/** When to plant out: what each day may cost, of one crop or of all that frost kills; and what a cover is worth. */
export function GoingOutPart({ shown, us }: { shown: OnScreen; us: boolean }) {
  const { season, id, setup, revision } = shown;
  const [crop, setCrop] = useState('');
  const [typed, setTyped] = useState('');
  const price = typed.trim() === '' ? { ok: true as const, value: 0 } : parseNumber(typed, { least: 0, most: MOST_PRICE });
  const cover = price.ok ? price.value : 0;
  const { data, error } = useOfRevision(['going-out', id, setup.id, crop, cover], revision, () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/going-out', {
        params: { path: { season: id, setup: setup.id }, query: { ...(crop === '' ? {} : { crop }), cover } },
      }),
    ),
  );
  const grown = season.crops.filter((one) => shown.cropResult(one.id)?.grown && one.anchor === 'last_frost');
  if (grown.length === 0) return null;
  return (
    <section aria-labelledby="out-title" data-part="going-out">
      <h2 id="out-title">When to plant out</h2>
      <p className={s.tools}>
        <label>
          Plant out{' '}
          <select name="out-crop" value={crop} onChange={(event) => setCrop(event.target.value)}>
            <option value="">all that frost kills</option>
            {grown.map((one) => (
              <option key={one.id} value={one.id}>
                {varietyOf(season, one.id)}
              </option>
            ))}
          </select>
        </label>
        <label>
          A cover costs {moneySign(season.currency)}
          <input
            name="cover-price"
            inputMode="decimal"
            size={6}
            value={typed}
            placeholder="0"
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
      </p>
      {!price.ok && <p role="alert">{price.why}</p>}
      {error && <p role="alert">{words(error)}</p>}
      {data && <Days shown={shown} out={data} us={us} />}
    </section>
  );
}

function Days({ shown: { season }, out, us }: { shown: OnScreen; out: GoingOut; us: boolean }) {
  const store = useStore();
  const { best, best_covered: covered } = out;
  const pay = (amount: number) => money(amount, season.currency);
  const when = (one: GoingOut['best']) =>
    one.on !== null
      ? day(one.on, us)
      : one.shift === 0
        ? 'the days of the plan'
        : `${Math.abs(one.shift)} ${plural(Math.abs(one.shift), 'day')} ${one.shift > 0 ? 'after' : 'before'} the days of the plan`;
  const waits = (one: GoingOut['best']) =>
    one.waiting < 0 ? `it saves ${pay(-one.waiting)} of light and heat` : `light and heat cost ${pay(one.waiting)} more`;
  return (
    <>
      <GoingOutCurve out={out} us={us} />
      <p data-part="best-day">
        <b>Cheapest without a cover: {when(best)}.</b> {cap(waits(best))}, and the risk of frost is worth {pay(best.frost)}
        {best.crowded_days > 0 && (
          <>
            , with {best.crowded_days} crowded {plural(best.crowded_days, 'day')} on the bench
          </>
        )}
        {best.chance === null ? '' : ` (${Math.round(best.chance * 100)} of 100 springs)`}.{' '}
        {out.edits.length > 0 && (
          <button
            type="button"
            className="plain"
            data-action="plan-best"
            onClick={() => void store.apply(out.edits, 'day of planting out')}
          >
            Plan it without a cover
          </button>
        )}
      </p>
      <p data-part="best-covered">
        {out.cover_worth > 0 ? (
          <>
            With a cover: {when(covered)}. {cap(waits(covered))}. A cover is worth {pay(out.cover_worth)} in this spring.{' '}
            {out.edits_covered.length > 0 && (
              <button
                type="button"
                className="plain"
                data-action="plan-covered"
                onClick={() => void store.apply(out.edits_covered, 'day of planting out under a cover')}
              >
                Plan it with a cover
              </button>
            )}
          </>
        ) : (
          'A cover saves nothing here.'
        )}
      </p>
      <p className="quiet">
        If all is lost, buying it again costs {pay(out.buy_anew)}. The risk is by{' '}
        {out.years > 0 ? `${out.years} years of your weather` : 'the last frost of the season and how far it strays'}. A cover
        keeps off {us ? '4 to 5 °F' : '2 to 3 °C'}.
      </p>
    </>
  );
}

const cap = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
