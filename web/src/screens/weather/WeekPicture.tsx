import type { Weather } from '../../api/types';
import { useNarrow } from '../../hooks/useNarrow';
import { shortDay, today } from '../../words/dates';
import { degrees } from '../../words/degrees';
import s from './weather.module.css';

const HEIGHT = 150;
const COLUMN = 46;
const LEFT = 4;
/** Room beside the bars for the frost line's name. */
const RIGHT = 42;
/** Room over and under the bars for their numbers. */
const PAD = 22;
const FOOT = 34;
/** From yesterday on, on a phone. */
const NARROW_DAYS = 6;
/** Least °C from top to bottom, so that an even week looks even. */
const LEAST_RANGE = 15;

/** The lowest and highest of the days around today as bars, full where they were measured, open where they are forecast. */
export function WeekPicture({ weather: { days: all, on }, us }: { weather: Weather; us: boolean }) {
  const narrow = useNarrow();
  const now = all.findIndex((one) => one.on >= on);
  const days = narrow && now >= 0 ? all.slice(Math.max(0, now - 1), now + NARROW_DAYS) : all;

  const low = Math.min(...days.map((one) => one.low), -1);
  const high = Math.max(...days.map((one) => one.high), low + LEAST_RANGE);
  const y = (celsius: number) => PAD + ((high - celsius) / (high - low)) * (HEIGHT - 2 * PAD);
  const width = LEFT + days.length * COLUMN + RIGHT;
  return (
    <section aria-labelledby="days-title" data-part="days">
      <h2 id="days-title">The days around</h2>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT + FOOT}`}
        className={s.week}
        style={{ maxWidth: width * 1.4 }}
        role="img"
        aria-label={days
          .map(
            (one) =>
              `${shortDay(one.on, us)}, ${one.measured ? 'measured' : 'forecast'}: ${degrees(one.low, us)} to ${degrees(one.high, us)}`,
          )
          .join('; ')}
      >
        <line x1={0} x2={width} y1={y(0)} y2={y(0)} className={s.frostLine} />
        <text x={width} y={y(0) - 4} textAnchor="end" className={s.frostWord}>
          frost
        </text>
        {days.map((one, i) => {
          const x = LEFT + i * COLUMN;
          return (
            <g key={one.on} className={one.on === on ? s.here : undefined}>
              <rect
                x={x + COLUMN / 2 - 8}
                width={16}
                y={y(one.high)}
                height={Math.max(2, y(one.low) - y(one.high))}
                className={one.measured ? s.measured : s.forecast}
              />
              <text x={x + COLUMN / 2} y={y(one.high) - 5} textAnchor="middle">
                {degrees(one.high, us).split(' ')[0]}
              </text>
              <text x={x + COLUMN / 2} y={y(one.low) + 15} textAnchor="middle" className={one.low <= 0 ? s.freezing : undefined}>
                {degrees(one.low, us).split(' ')[0]}
              </text>
              <text x={x + COLUMN / 2} y={HEIGHT + 14} textAnchor="middle" className={s.dayName}>
                {shortDay(one.on, us)}
              </text>
              {one.on === on && (
                <text x={x + COLUMN / 2} y={HEIGHT + 29} textAnchor="middle" className={s.dayName}>
                  {on === today() ? 'today' : 'now'}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <p className="quiet">Full bars were measured, open ones are forecast.</p>
    </section>
  );
}
