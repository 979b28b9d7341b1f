import type { GoingOut } from '../../api/types';
import { useNarrow } from '../../hooks/useNarrow';
import { shortDay } from '../../words/dates';
import s from './weather.module.css';

const WIDE = 640;
const NARROW = 350;
const HEIGHT = 180;
const LEFT = 8;
const TOP = 14;
const GROUND = 146;
/** Days so dear that they would press all others to the ground are cut off. */
const CUT = 4;

const total = (one: GoingOut['best']) => one.cost;
const totalCovered = (one: GoingOut['best']) => one.cost_covered;

/** What planting out on each day may cost, without a cover and with one, and the cheapest day of each. */
export function GoingOutCurve({ out, us }: { out: GoingOut; us: boolean }) {
  const narrow = useNarrow();
  const width = narrow ? NARROW : WIDE;
  const { days, best, best_covered: covered } = out;
  const [first, last] = [days[0]?.shift ?? 0, days.at(-1)?.shift ?? 1];
  const plan = days.find(({ shift }) => shift === 0) ?? best;
  const low = Math.min(0, total(best), totalCovered(covered));
  const high = Math.max(CUT * (total(best) - low) + low, total(plan), 0.01);
  const x = (shift: number) => LEFT + ((shift - first) / Math.max(1, last - first)) * (width - 2 * LEFT);
  const y = (cost: number) => GROUND - ((Math.min(cost, high) - low) / (high - low)) * (GROUND - TOP);
  const line = (cost: (one: GoingOut['best']) => number) =>
    days.map((one) => `${x(one.shift).toFixed(1)},${y(cost(one)).toFixed(1)}`).join(' ');
  const marks = days.filter(({ shift }) => shift % (narrow ? 14 : 7) === 0);
  const named = (one: GoingOut['best']) =>
    one.on !== null ? shortDay(one.on, us) : one.shift === 0 ? 'plan' : `${one.shift > 0 ? '+' : '−'}${Math.abs(one.shift)}`;
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      className={s.curve}
      role="img"
      aria-label={`Cost of planting out by day: ${marks.map((one) => `${named(one)} ${total(one).toFixed(2)}, covered ${totalCovered(one).toFixed(2)}`).join('; ')}`}
    >
      <line x1={LEFT} x2={width - LEFT} y1={GROUND} y2={GROUND} className={s.ground} />
      <line x1={x(0)} x2={x(0)} y1={TOP} y2={GROUND} className={s.now} />
      <text x={x(0) + 4} y={TOP + 10} className={s.nowWord}>
        your plan
      </text>
      <polyline points={line(totalCovered)} className={s.covered} />
      <polyline points={line(total)} className={s.cost} />
      <circle cx={x(best.shift)} cy={y(total(best))} r={5} className={s.costDot} />
      <circle cx={x(covered.shift)} cy={y(totalCovered(covered))} r={5} className={s.coveredDot} />
      {marks.map((one) => (
        <text
          key={one.shift}
          x={x(one.shift)}
          y={GROUND + 20}
          textAnchor={one === marks[0] ? 'start' : one === marks.at(-1) ? 'end' : 'middle'}
        >
          {named(one)}
        </text>
      ))}
    </svg>
  );
}
