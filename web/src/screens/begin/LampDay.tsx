import s from './begin.module.css';

const HOURS = 24;
const LIT = { from: 6, until: 20 };

/** The hours of a day, those with the lamp on in its colour: what the price of power is paid for. */
export function LampDay() {
  return (
    <svg viewBox="0 0 360 64" className={s.picture} role="img" aria-label="A lamp is on 14 hours of the day">
      {Array.from({ length: HOURS }, (_, hour) => (
        <rect
          key={hour}
          x={hour * 15 + 1}
          y={hour >= LIT.from && hour < LIT.until ? 10 : 26}
          width="12"
          height={hour >= LIT.from && hour < LIT.until ? 30 : 14}
          className={hour >= LIT.from && hour < LIT.until ? s.lit : s.dark}
        />
      ))}
      <text x="0" y="60" className={s.hour}>
        midnight
      </text>
      <text x="180" y="60" textAnchor="middle" className={s.hour}>
        noon
      </text>
    </svg>
  );
}
