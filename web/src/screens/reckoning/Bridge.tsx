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

/** The planned stack, what each kind of fact did to it, and the real one. No nursery's price: it is not for all of these plants. */
export function Bridge({ season, cameTo }: Props) {
  const narrow = useNarrow();
  const [wide, gap] = narrow ? [34, 12] : [78, 24];
  const steps = cameTo.steps;
  const values = steps.map(({ per_finished: per }) => per ?? 0);
  const most = Math.max(...values, 0.01) * 1.1;
  const y = (value: number) => TOP + HEIGHT * (1 - value / most);
  const width = (steps.length + 1) * (wide + gap) + gap;
  const last = steps.at(-1);
  const words = (step: Step) => STEP_WORDS[step.key] ?? step.key;
  const sum = (value: number | null) => (value === null ? '…' : money(value, season.currency, true));
  const signed = (value: number) => `${value < 0 ? '−' : '+'}${sum(Math.abs(value))}`;
  const said = steps.map((step) => `${words(step)} ${sum(step.per_finished)}`).join(', ');
  const column = (x: number, stack: CameTo['planned_stack'], label: string, anchor: 'start' | 'middle' | 'end') => {
    let at = 0;
    return (
      <g key={label}>
        {stack.map(({ group, amount }) => {
          const from = at;
          at += amount;
          const [top, high] = [y(at), Math.max(0, y(from) - y(at))];
          return (
            <g key={group} className={clsx(c.coin, c[`coin-${group}`])}>
              <title>{`${GROUPS[group as Group].name}: ${sum(amount)}`}</title>
              <rect x={x} y={top} width={wide} height={high} />
              <rect
                x={x}
                y={top}
                width={wide}
                height={high}
                className={clsx(c.pattern, c[`pattern-${GROUPS[group as Group].pattern}`])}
              />
            </g>
          );
        })}
        <text
          x={x + (anchor === 'start' ? 0 : anchor === 'end' ? wide : wide / 2)}
          y={y(0) + (narrow ? 38 : 18)}
          textAnchor={anchor}
          className={s.label}
        >
          {label}
        </text>
      </g>
    );
  };
  const picture = (
    <svg viewBox={`0 0 ${width} ${TOP + HEIGHT + BASE}`} className={s.bridge} role="img" aria-label={said} data-part="bridge">
      <Patterns />
      <line x1="0" x2={width} y1={y(0)} y2={y(0)} className={s.ground} />
      {column(gap, cameTo.planned_stack, `planned ${sum(steps[0]?.per_finished ?? null)}`, narrow ? 'start' : 'middle')}
      {steps.slice(1).map((step, index) => {
        const before = values[index] ?? 0;
        const now = values[index + 1] ?? 0;
        const x = gap + (index + 1) * (wide + gap);
        const moved = step.moved ?? 0;
        return (
          <g key={step.key} data-step={step.key}>
            <line x1={x - gap} x2={x + wide + gap} y1={y(before)} y2={y(before)} className={s.link} />
            <rect
              x={x}
              y={y(Math.max(before, now))}
              width={wide}
              height={Math.max(1.5, Math.abs(y(before) - y(now)))}
              className={moved > 0 ? s.dearer : s.cheaper}
            />
            <text x={x + wide / 2} y={y(Math.max(before, now)) - 6} textAnchor="middle" className={moved > 0 ? s.plus : s.minus}>
              {Math.abs(moved) < 0.00005 ? '±0' : signed(moved)}
            </text>
            <text x={x + wide / 2} y={y(0) + 18} textAnchor="middle" className={s.label}>
              {narrow ? index + 1 : words(step)}
            </text>
          </g>
        );
      })}
      {column(
        gap + steps.length * (wide + gap),
        cameTo.real_stack,
        `came to ${sum(last?.per_finished ?? null)}`,
        narrow ? 'end' : 'middle',
      )}
    </svg>
  );
  return (
    <>
      {picture}
      <ol className={s.steps} data-part="steps" aria-label="How each step is worked out">
        {steps.slice(1).map((step) => (
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
