import type { Belief } from '../../api/types';
import s from './reckoning.module.css';

const of = (share: number): string => `${Math.round(share * 100)}`;

const inWords = ({ planned, counted, of: among, believed }: Belief): string =>
  `planned ${of(planned)}, counted ${counted === null ? 'not' : of(counted)} among ${among}, next season ${of(believed)}`;

/** Planned and believed as ranges, the count as a dot. */
export function BeliefTrack({ belief: one }: { belief: Belief }) {
  return (
    <span className={s.track} role="img" aria-label={inWords(one)}>
      <Span range={one.planned_range} className={s.before} />
      <Span range={one.believed_range} className={s.after} />
      {one.counted !== null && <b style={{ left: `${one.counted * 100}%` }} />}
    </span>
  );
}

function Span({ range, className }: { range: Belief['planned_range']; className: string | undefined }) {
  if (range === null) return null;
  return <i className={className} style={{ left: `${range.low * 100}%`, width: `${(range.high - range.low) * 100}%` }} />;
}
