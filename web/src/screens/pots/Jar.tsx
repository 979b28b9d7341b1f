import { clsx } from 'clsx';
import type { MixWay } from '../../api/types';
import s from './pots.module.css';

const HIGH = 110;
const SHADES = ['jarOne', 'jarTwo', 'jarThree', 'jarFour'] as const;

/** A mix as layers in a jar, each as high as its share. */
export function Jar({ way }: { way: MixWay }) {
  const below = (index: number) => way.parts.slice(0, index + 1).reduce((sum, { share }) => sum + share, 0);
  return (
    <svg
      viewBox="0 0 170 124"
      className={s.jar}
      role="img"
      aria-label={way.parts.map(({ name, share }) => `${Math.round(share * 100)} % ${name}`).join(', ')}
    >
      {way.parts.map(({ supply, name, share }, index) => {
        const high = share * HIGH;
        const from = HIGH + 6 - below(index) * HIGH;
        return (
          <g key={supply}>
            <rect
              x="6"
              y={from}
              width="62"
              height={Math.max(high, 0.5)}
              className={clsx(s.layer, s[SHADES[index % SHADES.length] ?? 'jarOne'])}
            />
            {high > 12 && (
              <text x="74" y={from + high / 2 + 5} className={s.layerName}>
                {name.split(/[, ]/)[0]}
              </text>
            )}
          </g>
        );
      })}
      <rect x="5" y="4" width="64" height={HIGH + 3} rx="6" className={s.glass} />
    </svg>
  );
}
