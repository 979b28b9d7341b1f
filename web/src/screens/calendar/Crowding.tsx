import type { BenchDays } from '../../api/types';
import { xOf, type Axis } from './Bars';
import { dayNumber } from './days';

const HIGH = 70;

/** How full a place is each day: flats that stand there, those that want light, against what lamps, mats and room hold. */
export function Crowding({ place, axis, width }: { place: BenchDays; axis: Axis; width: number }) {
  const first = dayNumber(place.first);
  const limits = [['light', place.lit, 'lamps cover'], ['room', place.room, 'room for'], ['heat', place.warmed, 'mats cover']] as const;
  const most = Math.max(1, ...place.all, place.lit, place.room !== null && place.room < 3 * Math.max(...place.all) ? place.room : 0);
  const y = (flats: number) => HIGH - 4 - (flats / most) * (HIGH - 12);
  const area = (days: number[]) => `M${xOf(axis, first)},${y(0)} ${days.map((flats, index) => `L${xOf(axis, first + index)},${y(flats)} L${xOf(axis, first + index + 1)},${y(flats)}`).join(' ')} L${xOf(axis, first + days.length)},${y(0)} Z`;
  return (
    <svg viewBox={`0 0 ${width} ${HIGH}`} className="crowding" role="img" aria-label={`${place.name}: at most ${Math.max(...place.all).toFixed(1)} flats; lamps cover ${place.lit}. ${place.crowded.length === 0 ? 'Never over-full.' : `Over-full ${place.crowded.map((run) => `from ${run.from} to ${run.to}`).join(', ')}.`}`}>
      <path d={area(place.all)} className="crowd-all" />
      <path d={area(place.light)} className="crowd-light" />
      {place.warmed !== null && <path d={area(place.heat)} className="crowd-heat" />}
      {limits.map(([kind, flats]) => flats !== null && flats > 0 && flats <= most && <line key={kind} x1={axis.left} x2={axis.right} y1={y(flats)} y2={y(flats)} className={`limit limit-${kind}`} />)}
      {place.crowded.map((run) => <rect key={run.from + run.why} className="crowd-over" x={xOf(axis, dayNumber(run.from))} width={Math.max(2, xOf(axis, dayNumber(run.to) + 1) - xOf(axis, dayNumber(run.from)))} y={0} height={5}><title>over-full: {run.why}</title></rect>)}
      <text x={axis.left - 8} y={16} textAnchor="end" className="crowd-name">{place.name}</text>
      <text x={axis.left - 8} y={34} textAnchor="end" className="crowd-limit">{limits.filter(([, flats]) => flats !== null && flats > 0).map(([, flats, words]) => `${words} ${flats}`).slice(0, 1).join(', ')} {place.lit > 0 ? 'flats' : ''}</text>
    </svg>
  );
}
