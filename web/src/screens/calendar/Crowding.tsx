import { clsx } from 'clsx';
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter } from 'd3-shape';
import type { BenchDays } from '../../api/types';
import { dayNumber, type Axis } from './days';
import s from './calendar.module.css';

const HIGH = 70;
/** Two lines of words. */
const NAMED = 42;

/** Room is drawn as a limit only where the bench comes anywhere near it. */
const NEAR = 3;

interface Props {
  place: BenchDays;
  axis: Axis;
  width: number;
  /** Its name over it instead of beside. */
  folded: boolean;
}

/** How full a place is each day: flats that stand there, those that want light, against what lamps, mats and room hold. */
export function Crowding({ place, axis, width, folded }: Props) {
  const first = dayNumber(place.first);
  const fullest = Math.max(...place.all);
  const limits = [
    ['light', place.lit, 'lamps cover'],
    ['room', place.room, 'room for'],
    ['heat', place.warmed, 'mats cover'],
  ] as const;
  const held = limits.filter(([, flats]) => flats !== null && flats > 0);
  const most = Math.max(1, fullest, place.lit, place.room !== null && place.room < NEAR * fullest ? place.room : 0);
  const y = scaleLinear([0, most], [HIGH - 4, 8]);
  const shape = area<number>()
    .x((_, index) => axis(first + index))
    .y0(y(0))
    .y1((flats) => y(flats))
    .curve(curveStepAfter);
  /** A day lasts until the next begins. */
  const days = (flats: number[]) => shape([...flats, flats.at(-1) ?? 0]) ?? '';
  const over = place.crowded.map((run) => `from ${run.from} to ${run.to}`).join(', ');
  const [leading] = held;
  const top = folded ? NAMED : 0;
  const [x, anchor] = folded ? [0, 'start' as const] : [(axis.range()[0] ?? 0) - 8, 'end' as const];
  return (
    <svg
      viewBox={`0 ${-top} ${width} ${HIGH + top}`}
      className={s.crowding}
      role="img"
      aria-label={`${place.name}: at most ${fullest.toFixed(1)} trays; lamps cover ${place.lit}. ${over === '' ? 'Never crowded.' : `Crowded ${over}.`}`}
    >
      <path d={days(place.all)} className={s.crowdAll} />
      <path d={days(place.light)} className={s.crowdLight} />
      {place.warmed !== null && <path d={days(place.heat)} className={s.crowdHeat} />}
      {held.map(
        ([kind, flats]) =>
          flats !== null &&
          flats <= most && (
            <line
              key={kind}
              x1={axis.range()[0]}
              x2={axis.range()[1]}
              y1={y(flats)}
              y2={y(flats)}
              className={clsx(s.limit, s[`limit-${kind}`])}
            />
          ),
      )}
      {place.crowded.map((run) => (
        <rect
          key={run.from + run.why}
          className={s.crowdOver}
          x={axis(dayNumber(run.from))}
          y={0}
          height={5}
          width={Math.max(2, axis(dayNumber(run.to) + 1) - axis(dayNumber(run.from)))}
        >
          <title>over-full: {run.why}</title>
        </rect>
      ))}
      <text x={x} y={16 - top} textAnchor={anchor} className={s.crowdName}>
        {place.name}
      </text>
      <text x={x} y={34 - top} textAnchor={anchor} className={s.crowdLimit}>
        {leading ? `${leading[2]} ${leading[1]}` : ''} {place.lit > 0 ? 'trays' : ''}
      </text>
    </svg>
  );
}
