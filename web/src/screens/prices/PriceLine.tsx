import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { money } from '../../words/money';
import s from './prices.module.css';

const WIDE = 90;
const HIGH = 22;
const EDGE = 3;

interface Point {
  price: number;
  currency: string;
  on: string;
}

/** How a price went, small: its last point is marked. */
export function PriceLine({ prices }: { prices: Point[] }) {
  const last = prices.at(-1);
  const same = prices.filter(({ currency }) => currency === last?.currency);
  if (last === undefined || same.length < 2) return <span className={s.line} />;
  const days = same.map(({ on }) => Date.parse(on));
  const all = same.map(({ price }) => price);
  const x = scaleLinear([Math.min(...days), Math.max(...days)], [EDGE, WIDE - EDGE]);
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [HIGH - EDGE, EDGE]);
  const path = line<Point>(
    ({ on }) => x(Date.parse(on)),
    ({ price }) => y(price),
  )(same);
  return (
    <svg
      className={s.line}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={`from ${money(same[0]?.price, last.currency)} to ${money(last.price, last.currency)}`}
    >
      <path d={path ?? ''} className={s.went} />
      <circle cx={x(Date.parse(last.on))} cy={y(last.price)} r="2.5" className={s.now} />
    </svg>
  );
}
