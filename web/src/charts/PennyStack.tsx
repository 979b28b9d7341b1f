import { clsx } from 'clsx';
import type { PennyStack as Stack } from '../api/types';
import { coinMoney, money } from '../words/money';
import { GROUPS, type Group } from '../words/groups';
import s from './charts.module.css';

export const COIN = { width: 86, height: 7, gap: 0.6 };
const FLOOR = 18;

export interface Coin {
  group: Group;
  credited: boolean;
}

interface Props {
  stack: Stack;
  currency: string;
  title: string;
  nurseryTitle: string;
}

export function coins(stack: Stack): Coin[] {
  const all = stack.groups.flatMap(({ group, coins: n }) => Array.from({ length: n }, () => group as Group));
  return all.map((group, index) => ({ group, credited: index >= all.length - stack.credit_coins }));
}

/** Coins lie a little askew, always in the same way. */
const askew = (index: number): number => ((index * 37) % 7) - 3;

export function Column({ x, items, titles }: { x: number; items: Coin[]; titles?: (group: Group) => string }) {
  return items.map(({ group, credited }, index) => {
    const y = -(index + 1) * (COIN.height + COIN.gap);
    const left = x + askew(index) * 0.8;
    return (
      <g key={index} className={clsx(s.coin, s[`coin-${group}`], credited ? s.coinCredited : undefined)}>
        {titles && <title>{titles(group)}</title>}
        <rect x={left} y={y} width={COIN.width} height={COIN.height} rx={2.4} />
        {!credited && (
          <rect
            x={left}
            y={y}
            width={COIN.width}
            height={COIN.height}
            rx={2.4}
            className={clsx(s.pattern, s[`pattern-${GROUPS[group].pattern}`])}
          />
        )}
      </g>
    );
  });
}

export function Patterns() {
  return (
    <defs>
      <pattern id="dot" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="3.5" cy="3.5" r="1.2" />
      </pattern>
      <pattern id="bar" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect x="3" width="1.6" height="8" />
      </pattern>
      <pattern id="slash" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
        <rect width="2" height="8" />
      </pattern>
      <pattern id="back" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="1.4" height="9" />
      </pattern>
      <pattern id="cross" width="10" height="4" patternUnits="userSpaceOnUse">
        <rect y="1.4" width="5" height="1.2" />
      </pattern>
      <pattern id="ring" width="12" height="8" patternUnits="userSpaceOnUse">
        <circle cx="6" cy="4" r="2.2" className={s.hollow} />
      </pattern>
    </defs>
  );
}

/** A finished seedling as a stack of its cost, beside the nursery's price: every coin is the same amount. */
export function PennyStack({ stack, currency, title, nurseryTitle }: Props) {
  const own = coins(stack);
  const bought: Coin[] = Array.from({ length: stack.nursery_coins ?? 0 }, () => ({ group: 'bought', credited: false }));
  const tallest = Math.max(own.length, bought.length, 1);
  const height = tallest * (COIN.height + COIN.gap) + 14;
  const line = -bought.length * (COIN.height + COIN.gap);
  const words = stack.groups
    .filter(({ amount }) => amount > 0)
    .map(({ group, amount }) => `${GROUPS[group as Group].name} ${money(amount, currency, true)}`);
  const label =
    `${title} ${money(stack.total, currency, true)}: ${words.join(', ')}${stack.credit > 0 ? `, less heat ${money(stack.credit, currency, true)}` : ''}. ` +
    (stack.nursery === null ? 'Not sold as a plant.' : `${nurseryTitle} ${money(stack.nursery, currency, true)}.`);

  return (
    <figure className={s.pennyStack}>
      <svg viewBox={`0 ${-height} 300 ${height + FLOOR}`} role="img" aria-label={label} style={{ maxHeight: 360 }}>
        <Patterns />
        {stack.nursery !== null && <line x1="6" x2="294" y1={line} y2={line} className={s.nurseryLine} />}
        <Column x={34} items={own} />
        <Column x={178} items={bought} />
        <line x1="6" x2="294" y1="1" y2="1" className={s.floor} />
      </svg>
      <figcaption>
        <span>
          <strong className="copper mono">{money(stack.total, currency, true)}</strong> {title}
        </span>
        <span>
          <strong className="mono">{money(stack.nursery, currency, true)}</strong>{' '}
          {stack.nursery === null ? 'not sold as a plant' : nurseryTitle}
        </span>
      </figcaption>
      <ul className={s.legend} aria-hidden="true">
        {(Object.keys(GROUPS) as Group[])
          .filter((group) => stack.groups.some((g) => g.group === group && g.coins > 0))
          .map((group) => (
            <li key={group}>
              <svg viewBox="0 0 30 9" className={clsx(s.coin, s[`coin-${group}`])}>
                <rect x="1" y="1" width="28" height="7" rx="2.4" />
                <rect
                  x="1"
                  y="1"
                  width="28"
                  height="7"
                  rx="2.4"
                  className={clsx(s.pattern, s[`pattern-${GROUPS[group].pattern}`])}
                />
              </svg>
              {GROUPS[group].name}
            </li>
          ))}
        {stack.credit_coins > 0 && <li>outlined: heating saved by the lamps</li>}
      </ul>
      <p className={s.coinSize}>Each coin is {coinMoney(stack.coin, currency)}.</p>
    </figure>
  );
}
