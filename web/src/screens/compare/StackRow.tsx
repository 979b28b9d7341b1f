import { clsx } from 'clsx';
import { COIN, Column, coins, Patterns } from '../../charts/PennyStack';
import type { Compared, Setup } from '../../api/types';
import { GROUPS, type Group } from '../../words/groups';
import { money } from '../../words/money';
import chartsStyles from '../../charts/charts.module.css';
import s from './compare.module.css';

const STEP = COIN.height + COIN.gap;
const HEAD = 18;

interface Props {
  stacks: Compared['stacks'];
  compared: Compared['comparison'];
  setups: Setup[];
  currency: string;
  shown: string;
}

/** The penny stacks of all set-ups on one floor, the nursery's price a dashed line across them. */
export function StackRow({ stacks, compared, setups, currency, shown }: Props) {
  const names = new Map(setups.map(({ id, name }) => [id, name]));
  const most = Math.max(
    1,
    ...Object.values(stacks.setups).map((stack) => (stack ? coins(stack).length : 0)),
    stacks.nursery_coins ?? 0,
  );
  const height = most * STEP + HEAD;
  const line = stacks.nursery_coins === null ? null : height - stacks.nursery_coins * STEP;
  return (
    <tr className={s.stacks}>
      <th scope="row">
        <span className="hidden">What a plant’s cost is made of</span>
        <ul className={s.stackLegend} aria-hidden="true">
          {(Object.keys(GROUPS) as Group[]).map((group) => (
            <li key={group}>
              <svg viewBox="0 0 30 9" className={clsx(chartsStyles.coin, chartsStyles[`coin-${group}`])}>
                <rect x="1" y="1" width="28" height="7" rx="2.4" />
                <rect
                  x="1"
                  y="1"
                  width="28"
                  height="7"
                  rx="2.4"
                  className={clsx(chartsStyles.pattern, chartsStyles[`pattern-${GROUPS[group].pattern}`])}
                />
              </svg>
              {GROUPS[group].name}
            </li>
          ))}
        </ul>
      </th>
      {compared.setups.map(({ id, fair }) => {
        const stack = stacks.setups[id] ?? null;
        const items = stack ? coins(stack) : [];
        const said =
          stack === null
            ? `${names.get(id) ?? id} supplies nothing.`
            : `${names.get(id) ?? id}: one plant ${money(stack.total, currency, true)}: ${stack.groups
                .filter(({ amount }) => amount > 0)
                .map(({ group, amount }) => `${GROUPS[group as Group].name} ${money(amount, currency, true)}`)
                .join(', ')}.`;
        return (
          <td key={id} className={id === shown ? 'here' : undefined}>
            <svg
              viewBox={`0 ${-height} 130 ${height + 4}`}
              role="img"
              aria-label={said}
              className={clsx(s.stackSvg, fair ? undefined : s.unfair)}
              data-part="stack-svg"
              style={{ height: height * 1.0 }}
              preserveAspectRatio="xMidYMax meet"
            >
              <Patterns />
              <Column
                x={22}
                items={items}
                titles={(group) => {
                  const found = stack?.groups.find((row) => row.group === group);
                  return `${GROUPS[group].name}: ${money(found?.amount, currency, true)}`;
                }}
              />
              {line !== null && (
                <line x1="-600" x2="800" y1={line - height} y2={line - height} className={chartsStyles.nurseryLine} />
              )}
              <line x1="0" x2="130" y1="1" y2="1" className={chartsStyles.floor} />
            </svg>
          </td>
        );
      })}
    </tr>
  );
}
