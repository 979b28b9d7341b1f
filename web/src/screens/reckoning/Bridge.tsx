import type { CameTo, Season } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import c from '../../charts/charts.module.css';
import { clsx } from 'clsx';
import { money } from '../../words/money';
import { GROUPS, type Group } from '../../words/groups';
import { useAsk } from '../../page/AskContext';
import { useNarrow } from '../../hooks/useNarrow';
import s from './reckoning.module.css';

export const STEP_WORDS: Record<string, string> = {
  planned: 'planned',
  prices: 'Prices paid',
  used: 'What was used',
  power: 'Power',
  up: 'What came up',
  lived: 'What survived',
};

const HEIGHT = 230;
const TOP = 34;
const BASE = 50;

type Step = CameTo['steps'][number];
type Stack = CameTo['planned_stack'];

interface Props {
  season: Season;
  cameTo: CameTo;
}

function Why({ figure, children }: { figure: string; children: string }) {
  const ask = useAsk();
  return (
    <button type="button" className="plain" data-figure={figure} onClick={() => ask({ figure, crop: null })}>
      {children}
    </button>
  );
}

const BAR = { narrow: [34, 12], wide: [78, 24] } as const;

/** What the parts of the picture share: how wide bars and gaps are, where a value stands, and how money is written. */
interface Drawn {
  narrow: boolean;
  wide: number;
  gap: number;
  y: (value: number) => number;
  sum: (value: number | null) => string;
}

const words = (step: Step) => STEP_WORDS[step.key] ?? step.key;

/** One stack of coins, by group. */
function Column({
  drawn,
  x,
  stack,
  label,
  end,
}: {
  drawn: Drawn;
  x: number;
  stack: Stack;
  label: string;
  end: 'first' | 'last';
}) {
  const { narrow, wide, y, sum } = drawn;
  const anchor = narrow ? (end === 'first' ? 'start' : 'end') : 'middle';
  const tops = stack.map((_, n) => stack.slice(0, n + 1).reduce((total, { amount }) => total + amount, 0));
  return (
    <g>
      {stack.map(({ group, amount }, n) => {
        const [top, foot] = [tops[n] ?? 0, tops[n - 1] ?? 0];
        const box = { x, y: y(top), width: wide, height: Math.max(0, y(foot) - y(top)) };
        return (
          <g key={group} className={clsx(c.coin, c[`coin-${group}`])}>
            <title>{`${GROUPS[group as Group].name}: ${sum(amount)}`}</title>
            <rect {...box} />
            <rect {...box} className={clsx(c.pattern, c[`pattern-${GROUPS[group as Group].pattern}`])} />
          </g>
        );
      })}
      <text
        x={x + { start: 0, end: wide, middle: wide / 2 }[anchor]}
        y={y(0) + (narrow ? 38 : 18)}
        textAnchor={anchor}
        className={s.label}
      >
        {label}
      </text>
    </g>
  );
}

/** What one kind of fact did: from the height before it to the height after. */
function StepBar({ drawn, x, step, number, before }: { drawn: Drawn; x: number; step: Step; number: number; before: number }) {
  const { narrow, wide, gap, y, sum } = drawn;
  const now = step.per_finished ?? 0;
  const moved = step.moved ?? 0;
  const middle = x + wide / 2;
  const top = y(Math.max(before, now));
  return (
    <g data-step={step.key}>
      <line x1={x - gap} x2={x + wide + gap} y1={y(before)} y2={y(before)} className={s.link} />
      <rect
        x={x}
        y={top}
        width={wide}
        height={Math.max(1.5, Math.abs(y(before) - y(now)))}
        className={moved > 0 ? s.dearer : s.cheaper}
      />
      <text x={middle} y={top - 6} textAnchor="middle" className={moved > 0 ? s.plus : s.minus}>
        {Math.abs(moved) < 0.00005 ? '±0' : `${moved < 0 ? '−' : '+'}${sum(Math.abs(moved))}`}
      </text>
      <text x={middle} y={y(0) + 18} textAnchor="middle" className={s.label}>
        {narrow ? number : words(step)}
      </text>
    </g>
  );
}

/** The planned stack, what each kind of fact did to it, and the real one. No nursery's price: it is not for all of these plants. */
export function Bridge({ season, cameTo }: Props) {
  const narrow = useNarrow();
  const [wide, gap] = BAR[narrow ? 'narrow' : 'wide'];
  const [planned, ...steps] = cameTo.steps;
  const values = cameTo.steps.map(({ per_finished: per }) => per ?? 0);
  const most = Math.max(...values, 0.01) * 1.1;
  const sum = (value: number | null) => (value === null ? '…' : money(value, season.currency, true));
  const drawn: Drawn = { narrow, wide, gap, y: (value) => TOP + HEIGHT * (1 - value / most), sum };
  const at = (column: number) => gap + column * (wide + gap);
  const width = at(cameTo.steps.length + 1);
  const said = cameTo.steps.map((step) => `${words(step)} ${sum(step.per_finished)}`).join(', ');
  const came = cameTo.steps.at(-1);
  return (
    <>
      <svg viewBox={`0 0 ${width} ${TOP + HEIGHT + BASE}`} className={s.bridge} role="img" aria-label={said} data-part="bridge">
        <Patterns />
        <line x1="0" x2={width} y1={drawn.y(0)} y2={drawn.y(0)} className={s.ground} />
        <Column
          drawn={drawn}
          x={at(0)}
          stack={cameTo.planned_stack}
          label={`planned ${sum(planned?.per_finished ?? null)}`}
          end="first"
        />
        {steps.map((step, n) => (
          <StepBar key={step.key} drawn={drawn} x={at(n + 1)} step={step} number={n + 1} before={values[n] ?? 0} />
        ))}
        <Column
          drawn={drawn}
          x={at(cameTo.steps.length)}
          stack={cameTo.real_stack}
          label={`came to ${sum(came?.per_finished ?? null)}`}
          end="last"
        />
      </svg>
      <ol className={s.steps} data-part="steps" aria-label="How each step is worked out">
        {steps.map((step) => (
          <li key={step.key}>
            <Why figure={`came_${step.key}`}>{words(step)}</Why>
          </li>
        ))}
        {cameTo.kept !== null && (
          <li className={s.unnumbered}>
            <Why figure="came_kept">Saved against buying</Why>
          </li>
        )}
        {cameTo.wage !== null && (
          <li className={s.unnumbered}>
            <Why figure="came_wage">Saved per hour of work</Why>
          </li>
        )}
      </ol>
    </>
  );
}
