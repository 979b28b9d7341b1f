import type { BenchPlace, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { inUnit } from '../../words/units';
import s from './bench.module.css';

const LEFT = 150;
const WIDE = 860;
const ROW = 44;
const RANGE = [2, 40] as const;

type Wish = BenchPlace['soil'][number];

/** What each seed wants of the soil, what it gets without the mat and with it, the days that saves and what they cost. */
export function SoilPart({ season, place }: { season: Season; place: BenchPlace }) {
  const us = season.units === 'us';
  if (place.soil.length === 0) return null;
  const x = (celsius: number) => LEFT + ((celsius - RANGE[0]) / (RANGE[1] - RANGE[0])) * (WIDE - LEFT - 20);
  const shown = (celsius: number) => `${Math.round(us ? inUnit(celsius, '°F') : celsius)} ${us ? '°F' : '°C'}`;
  const high = 26 + place.soil.length * ROW;
  return (
    <section aria-labelledby={`soil-${place.id}`}>
      <h2 id={`soil-${place.id}`}>Soil temperature at the seed: wanted and given</h2>
      <div className={s.soilScroll} tabIndex={0} role="region" aria-label="Soil at the seed">
        <svg viewBox={`0 0 ${WIDE} ${high}`} className={s.soil} role="group">
          {[5, 10, 15, 20, 25, 30, 35].map((celsius) => (
            <g key={celsius} aria-hidden="true">
              <line x1={x(celsius)} x2={x(celsius)} y1={20} y2={high} className={s.grid} />
              <text x={x(celsius)} y={14} textAnchor="middle">
                {shown(celsius)}
              </text>
            </g>
          ))}
          {place.soil.map((wish, index) => {
            const y = 24 + index * ROW;
            return (
              <g key={wish.crop} data-soil={wish.crop}>
                <text x={0} y={y + 26} className={s.soilName}>
                  {varietyOf(season, wish.crop).slice(0, 19)}
                </text>
                <text x={WIDE - 4} y={y + 5} textAnchor="end">
                  {sentence(wish, season)}
                </text>
                <rect
                  x={x(wish.low)}
                  y={y + 16}
                  width={Math.max(2, x(wish.high) - x(wish.low))}
                  height={12}
                  className={s.wants}
                />
                {wish.without && <path d={`M${x(wish.without.celsius)},${y + 30} v-16 m-5,-6 h10 l-5,6 Z`} className={s.gets} />}
                {wish.with && wish.without && wish.on_mat && (
                  <>
                    <line x1={x(wish.without.celsius)} x2={x(wish.with.celsius)} y1={y + 22} y2={y + 22} className={s.lift} />
                    <line x1={x(wish.with.celsius)} x2={x(wish.with.celsius)} y1={y + 14} y2={y + 30} className={s.lifted} />
                  </>
                )}
              </g>
            );
          })}
        </svg>
      </div>
    </section>
  );
}

function sentence(wish: Wish, season: Season): string {
  const { without, with: warmed } = wish;
  if (without === null) return warmed === null ? 'does not come up here' : `only on the mat: ${warmed.days} days`;
  if (warmed === null) return `up in ${without.days} days, ${without.of_hundred} % germination`;
  if (wish.on_mat) {
    const cost = wish.mat_each === null ? '' : `: the mat costs ${money(wish.mat_each, season.currency, true)} a plant`;
    return `${warmed.days} days instead of ${without.days}; ${warmed.of_hundred} % germination instead of ${without.of_hundred} %${cost}`;
  }
  const quicker = warmed.days < without.days ? `, ${warmed.days} on the mat` : '';
  return `up in ${without.days} days without${wish.mat_hinders ? '; the mat would hinder it' : quicker}`;
}
