import { clsx } from 'clsx';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { answered, client } from '../../api/client';
import type { Season, SetupYears } from '../../api/types';
import { EditBounded, EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { useOfRevision } from '../../season/useOfRevision';
import { money, roundMoney } from '../../words/money';
import s from './compare.module.css';

const WIDE = 520;
const HIGH = 190;
const EDGE = { left: 58, right: 12, top: 10, bottom: 24 };

/** The same ways over one to ten seasons: durable things replaced when their life ends, prices rising. */
export function YearsPart({ season, id, revision, here }: { season: Season; id: number; revision: number; here: string }) {
  const store = useStore();
  const [seasons, setSeasons] = useState(5);
  const [rise, setRise] = useState(3);
  const { data } = useOfRevision(['years', id, seasons, rise], revision, () =>
    answered(
      client.GET('/api/seasons/{season}/years', {
        params: { path: { season: id }, query: { seasons, price_rise: rise / 100 } },
      }),
    ),
  );
  const mine = data?.setups.find((row) => row.id === here);
  return (
    <section aria-labelledby="years-title">
      <h2 id="years-title">Over the years</h2>
      <div className={s.yearsFields}>
        <EditBounded
          label="Seasons"
          name="seasons"
          value={seasons}
          bounds={{ least: 1, most: 10, whole: true }}
          save={async (to) => setSeasons(to)}
        />
        <EditBounded
          label="Prices rise"
          name="rise"
          after="% a season"
          value={rise}
          bounds={{ least: -50, most: 100 }}
          save={async (to) => setRise(to)}
        />
        <EditNumber
          label="Discount rate"
          name="discount"
          after="% a season"
          field="discount_rate"
          share
          value={season.discount_rate}
          save={(to) => store.change([{ path: ['discount_rate'], to }], 'discount')}
        />
      </div>
      {mine && <Lines mine={mine} season={season} />}
      {data && (
        <table className={clsx('choices', s.years)} data-part="years">
          <thead>
            <tr>
              <th scope="col">Set-up</th>
              <th scope="col">Paid after {seasons}</th>
              <th scope="col">Paid for itself in</th>
              <th scope="col">Worth today</th>
            </tr>
          </thead>
          <tbody>
            {data.setups.map((row) => (
              <tr key={row.id} className={row.id === here ? 'now' : undefined}>
                <th scope="row">
                  {season.setups.find((setup) => setup.id === row.id)?.name}
                  {!row.comparable && <small className="quiet">not all of these plants are sold</small>}
                </th>
                <td className="mono">{money(row.seasons.at(-1)?.till_cumulative, season.currency)}</td>
                <td className="mono">{row.till_payback_season === null ? 'not yet' : `season ${row.till_payback_season}`}</td>
                <td className="mono">{money(row.present_value, season.currency)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">Buying it, each season</th>
              <td className="mono">{money(mine?.seasons.at(-1)?.buying_cumulative, season.currency)}</td>
              <td className="mono">–</td>
              <td className="mono">{money(mine?.buying_present_value, season.currency)}</td>
            </tr>
          </tbody>
        </table>
      )}
    </section>
  );
}

/** What is paid by the end of each season, beside buying. */
function Lines({ mine, season }: { mine: SetupYears; season: Season }) {
  const last = mine.seasons.length;
  const most = Math.max(...mine.seasons.map((row) => Math.max(row.till_cumulative, row.buying_cumulative ?? 0)), 0.01);
  const x = scaleLinear([0, last], [EDGE.left, WIDE - EDGE.right]);
  const y = scaleLinear([0, most], [HIGH - EDGE.bottom, EDGE.top]).nice(4);
  const path = (key: 'till_cumulative' | 'buying_cumulative') =>
    line()([[x(0), y(0)], ...mine.seasons.map((row): [number, number] => [x(row.season), y(row[key] ?? 0)])]) ?? '';
  const end = mine.seasons[last - 1];
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className={s.yearsLines}
      role="img"
      aria-label={`After ${last} seasons ${money(end?.till_cumulative, season.currency)} paid for growing${end?.buying_cumulative == null ? '' : `, ${money(end.buying_cumulative, season.currency)} on buying`}.`}
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <line x1={EDGE.left} x2={WIDE - EDGE.right} y1={y(tick)} y2={y(tick)} className={s.grid} />
          <text x={EDGE.left - 6} y={y(tick) + 4} textAnchor="end">
            {roundMoney(tick, season.currency)}
          </text>
        </g>
      ))}
      {mine.seasons.map((row) => (
        <text key={row.season} x={x(row.season)} y={HIGH - 6} textAnchor="middle">
          {row.season}
        </text>
      ))}
      {mine.seasons[0]?.buying_cumulative !== null && (
        <>
          <path d={path('buying_cumulative')} className={s.lineBuying} />
          <text x={x(last) - 4} y={y(end?.buying_cumulative ?? 0) - 6} textAnchor="end">
            buying
          </text>
        </>
      )}
      <path d={path('till_cumulative')} className={s.lineGrowing} />
      <text x={x(last) - 4} y={y(end?.till_cumulative ?? 0) + 22} textAnchor="end" className={s.copperText}>
        growing
      </text>
      {mine.till_payback_season !== null && (
        <circle
          cx={x(mine.till_payback_season)}
          cy={y(mine.seasons[mine.till_payback_season - 1]?.till_cumulative ?? 0)}
          r="5"
          className={s.payback}
        />
      )}
    </svg>
  );
}
