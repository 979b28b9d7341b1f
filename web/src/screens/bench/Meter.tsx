import { Button } from 'antd';
import type { Bench, BenchPlace, Season } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { Bill } from './Bill';
import { hourOf } from './freeWindow';
import { Tariff } from './Tariff';
import s from './bench.module.css';

const SIZE = 190;
const MIDDLE = SIZE / 2;
const OUTER = 76;

/** A part of the day's ring, from one hour to another. */
function arc(radius: number, from: number, hours: number): string {
  const turn = (hour: number) => ((hour / 24) * 2 - 0.5) * Math.PI;
  const span = Math.min(hours, 23.999);
  const [a, b] = [turn(from), turn(from + span)];
  const point = (angle: number) => `${MIDDLE + radius * Math.cos(angle)},${MIDDLE + radius * Math.sin(angle)}`;
  return `M${point(a)} A${radius},${radius} 0 ${span > 12 ? 1 : 0} 1 ${point(b)}`;
}

interface Props {
  season: Season;
  bench: Bench;
  place: BenchPlace;
}

/** A day on the meter: the tariff outside, each lamp's hours as a ring, and what a better hour would save. */
export function Meter({ season, bench, place }: Props) {
  const store = useStore();
  const lamps = place.things
    .filter(({ kind }) => kind === 'lights')
    .map((use) => ({ use, row: season.lights.find(({ id }) => id === use.id) }));
  const rates = [...new Set(bench.tariff)].sort((a, b) => a - b);
  const least = rates[0] ?? 0;
  const best = lamps.filter(({ use }) => (use.best_hour?.saves ?? 0) > 0.005);
  const apply = (light: string, to: string, name: string) =>
    store.apply([{ path: ['lights', light, 'on_at'], to }], `starts at ${to}, ${name}`);
  return (
    <section aria-labelledby="meter-title">
      <h2 id="meter-title">A day on the meter</h2>
      <div className={s.meter}>
        <svg
          viewBox={`-12 -8 ${SIZE + 24} ${SIZE + 16}`}
          role="img"
          aria-label={`Tariff: ${rates.map((rate) => money(rate, season.currency, true)).join(', ')} a kWh.`}
        >
          {bench.tariff.map((rate, half) => (
            <path
              key={half}
              d={arc(OUTER, half / 2, 0.5)}
              className={rate > least + 1e-9 || rates.length === 1 ? s.dear : s.cheap}
            />
          ))}
          {lamps.map(({ row }, index) =>
            row ? (
              <path key={row.id} d={arc(OUTER - 15 - index * 10, hourOf(row.on_at), row.hours_per_day)} className={s.ring} />
            ) : null,
          )}
          {[0, 6, 12, 18].map((hour) => {
            const angle = ((hour / 24) * 2 - 0.5) * Math.PI;
            return (
              <text key={hour} x={MIDDLE + 90 * Math.cos(angle)} y={MIDDLE + 90 * Math.sin(angle) + 5} textAnchor="middle">
                {hour}
              </text>
            );
          })}
        </svg>
        <ul className={s.meterSide}>
          {rates.map((rate, index) => (
            <li key={rate}>
              <span className={index === 0 && rates.length > 1 ? s.cheapKey : s.dearKey} aria-hidden="true" />{' '}
              <span className="mono">{money(rate, season.currency, true)}</span> a kWh
              {index === 0 && rates.length > 1 ? ', cheap' : ''}
            </li>
          ))}
          {lamps.length > 0 && (
            <li>
              <span className={s.ringKey} aria-hidden="true" /> lamps
            </li>
          )}
          {best.map(({ use, row }) =>
            row && use.best_hour ? (
              <li key={use.id} data-best={use.id}>
                <b className="verdict-grow">
                  {row.name} from {use.best_hour.on_at}: −{money(use.best_hour.saves, season.currency)}
                </b>{' '}
                <Button size="small" onClick={() => apply(use.id, use.best_hour?.on_at ?? row.on_at, row.name)}>
                  Do that
                </Button>
              </li>
            ) : null,
          )}
        </ul>
      </div>
      <Tariff season={season} />
      <Bill season={season} bench={bench} />
    </section>
  );
}
