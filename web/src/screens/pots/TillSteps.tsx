import { line, curveStepAfter } from 'd3-shape';
import { scaleLinear } from 'd3-scale';
import type { Potting, Season } from '../../api/types';
import { roundMoney } from '../../words/money';
import { inUnit } from '../../words/units';
import { mixUnit } from './volume';
import s from './pots.module.css';

const WIDE = 420;
const HIGH = 230;
const EDGE = { left: 46, right: 12, top: 14, bottom: 26 };

/** What the till asks for more and more mix: bags in steps, bales in few of them. */
export function TillSteps({ season, potting }: { season: Season; potting: Potting }) {
  const us = season.units === 'us';
  const unit = mixUnit(us);
  // The two that differ most in their steps: the smallest pack bought, and the cheapest stirred or baled.
  const bag = [...potting.ways].filter(({ kind }) => kind === 'bought').sort((a, b) => b.per_l - a.per_l)[0];
  const other = potting.ways.find(({ id }) => id !== bag?.id);
  const ways = [bag, other].filter((way) => way !== undefined);
  if (ways.length === 0) return null;
  const most = Math.max(...ways.flatMap(({ steps }) => steps.map(({ cash }) => cash)), 1);
  const litres = Math.max(...ways.flatMap(({ steps }) => steps.map((step) => step.litres)), 1);
  const x = scaleLinear([0, inUnit(litres, unit)], [EDGE.left, WIDE - EDGE.right]);
  const y = scaleLinear([0, most], [HIGH - EDGE.bottom, EDGE.top]).nice(4);
  const path = line<{ litres: number; cash: number }>(
    (step) => x(inUnit(step.litres, unit)),
    (step) => y(step.cash),
  ).curve(curveStepAfter);
  return (
    <figure className={s.till}>
      <figcaption>What you pay now, by how much you need ({us ? 'quarts' : 'litres'})</figcaption>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        role="img"
        aria-label={`What you pay now: ${ways.map(({ name }) => name).join(' beside ')}.`}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={EDGE.left} x2={WIDE - EDGE.right} y1={y(tick)} y2={y(tick)} className={s.grid} />
            <text x={EDGE.left - 6} y={y(tick) + 4} textAnchor="end">
              {roundMoney(tick, season.currency)}
            </text>
          </g>
        ))}
        {x.ticks(5).map((tick) => (
          <text key={tick} x={x(tick)} y={HIGH - 6} textAnchor="middle">
            {tick}
          </text>
        ))}
        {potting.litres > 0 && (
          <>
            <line
              x1={x(inUnit(potting.litres, unit))}
              x2={x(inUnit(potting.litres, unit))}
              y1={EDGE.top}
              y2={HIGH - EDGE.bottom}
              className={s.yours}
            />
            <text x={x(inUnit(potting.litres, unit)) + 5} y={EDGE.top + 12} className={s.yoursName}>
              yours
            </text>
          </>
        )}
        {ways.map((way, index) => (
          <path key={way.id} d={path(way.steps) ?? ''} className={index === 0 ? s.bags : s.bale} />
        ))}
      </svg>
      <ul className={s.legend}>
        {ways.map((way, index) => (
          <li key={way.id} className={index === 0 ? s.bagsName : s.baleName}>
            {index === 0 ? '┅' : '━'} {way.name}
          </li>
        ))}
      </ul>
    </figure>
  );
}
