import { isDate } from '../../words/dates';
import s from './begin.module.css';

const WIDTH = 360;
const HEIGHT = 110;
const GROUND = 92;
const DAYS = 365;
const DAY_MS = 86_400_000;

/** A year's warmth, with the frosts in it: what lies between them is what the dates decide. */
export function FrostYear({ last, first }: { last: string; first: string }) {
  const spring = isDate(last) ? at(last, last) : null;
  const autumn = isDate(first) && isDate(last) && first > last ? at(first, last) : null;
  const curve = Array.from({ length: 74 }, (_, i) => {
    const x = (i / 73) * WIDTH;
    return `${x.toFixed(1)},${(GROUND - 74 * Math.sin((Math.PI * x) / WIDTH) ** 3).toFixed(1)}`;
  }).join(' ');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={s.picture} role="img" aria-label="The year, with your frosts in it">
      <clipPath id="between-frosts">
        <rect x={spring ?? 0} y="0" width={Math.max(0, (autumn ?? WIDTH) - (spring ?? 0))} height={HEIGHT} />
      </clipPath>
      <polygon points={`0,${GROUND} ${curve} ${WIDTH},${GROUND}`} className={s.warm} clipPath="url(#between-frosts)" />
      <polyline points={curve} className={s.year} />
      {[spring, autumn].map(
        (x, i) =>
          x !== null && (
            <g key={i} className={s.frost}>
              <line x1={x} x2={x} y1="4" y2={GROUND + 4} />
              <text x={x} y={HEIGHT - 2} textAnchor="middle">
                {i === 0 ? 'last frost' : 'first frost'}
              </text>
            </g>
          ),
      )}
    </svg>
  );
}

/** Where a day stands in the year of the last frost, which for gardens south of the equator begins in July. */
const at = (date: string, last: string): number => {
  const year = Number(last.slice(0, 4));
  const begins = Number(last.slice(5, 7)) > 6 ? Date.UTC(year, 6, 1) : Date.UTC(year, 0, 1);
  return Math.min(WIDTH, Math.max(0, ((Date.parse(date) - begins) / DAY_MS / DAYS) * WIDTH));
};
