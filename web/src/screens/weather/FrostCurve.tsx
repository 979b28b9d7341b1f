import type { Frosts } from '../../api/types';
import { useNarrow } from '../../hooks/useNarrow';
import { monthName, shortDay } from '../../words/dates';
import s from './weather.module.css';

const WIDE = 640;
const NARROW = 350;
const HEIGHT = 190;
const LEFT = 62;
const TOP = 12;
const GROUND = 140;
const DAY_MS = 86_400_000;
const number = (date: string) => Date.parse(date) / DAY_MS;
const SHARES = [0.5, 0.9];

/** The share of years in which no frost comes after a day, over the days; under it each year's own last frost. */
export function FrostCurve({ frosts, now, us }: { frosts: Frosts; now: string; us: boolean }) {
  const narrow = useNarrow();
  const width = narrow ? NARROW : WIDE;
  const points = frosts.curve.map(({ on, safe }) => ({ at: number(on), on, safe }));
  const [first, last] = [points[0], points.at(-1)];
  if (first === undefined || last === undefined) return null;
  const x = (at: number) => LEFT + ((at - first.at) / Math.max(1, last.at - first.at)) * (width - LEFT - 8);
  const y = (safe: number) => GROUND - safe * (GROUND - TOP);
  const inYear = (date: string) => number(`${first.on.slice(0, 4)}${date.slice(4)}`);
  const marks = points.filter(({ on }) => on.endsWith('-01') || (!narrow && on.endsWith('-15')));
  const safe = frosts.safe_on === null ? null : number(frosts.safe_on);
  const goesBy = number(now);
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      className={s.curve}
      role="img"
      aria-label={`Share of years without frost from a day on: ${marks.map(({ on, safe: part }) => `${shortDay(on, us)} ${Math.round(part * 100)} of 100`).join(', ')}`}
    >
      {SHARES.map((part) => (
        <g key={part}>
          <line x1={LEFT} x2={width - 8} y1={y(part)} y2={y(part)} className={s.rule} />
          <text x={LEFT - 6} y={y(part) + 5} textAnchor="end">
            {part === 0.5 ? '1 of 2' : '9 of 10'}
          </text>
        </g>
      ))}
      <polyline
        points={points.map(({ at, safe: part }) => `${x(at).toFixed(1)},${y(part).toFixed(1)}`).join(' ')}
        className={s.safe}
      />
      <line x1={LEFT} x2={width - 8} y1={GROUND} y2={GROUND} className={s.ground} />
      {frosts.years.map(({ year, on }) =>
        on === null ? null : (
          <line key={year} x1={x(inYear(on))} x2={x(inYear(on))} y1={GROUND} y2={GROUND + 10} className={s.year}>
            <title>{`${year}: ${shortDay(on, us)}`}</title>
          </line>
        ),
      )}
      {marks.map(({ on, at }) => (
        <text key={on} x={x(at)} y={GROUND + 28} textAnchor="middle">
          {on.endsWith('-01') ? monthName(on) : shortDay(on, us)}
        </text>
      ))}
      {goesBy >= first.at && goesBy <= last.at && (
        <g>
          <line x1={x(goesBy)} x2={x(goesBy)} y1={TOP} y2={GROUND} className={s.now} />
          <text x={x(goesBy) + 4} y={TOP + 12} className={s.nowWord}>
            your season
          </text>
        </g>
      )}
      {safe !== null && <circle cx={x(safe)} cy={y(0.9)} r={5} className={s.safeDot} />}
    </svg>
  );
}
