import { clsx } from 'clsx';
import type { Method, Season } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import { money } from '../../words/money';
import { shortDay } from '../../words/dates';
import { widths, type Growth } from './growth';
import s from './raising.module.css';

const WIDE = 1224;
const HIGH = 270;
const SOIL = 190;
/** Tallest plant, and the deepest pot, in the picture. */
const TALL = 110;
const DEEP = 62;

interface Props {
  season: Season;
  method: Method;
  growth: Growth;
  us: boolean;
}

/** One line of ground on which the stages follow each other: what a plant has cost so far above it, pots to scale below. */
export function Ground({ season, method, growth, us }: Props) {
  const at = widths(method, growth, WIDE);
  const outdoors = new Set(season.places.filter((place) => place.outdoors).map(({ id }) => id));
  const containers = new Map(season.containers.map((row) => [row.id, row]));
  const largest = Math.max(0.05, ...method.stages.map((stage) => containers.get(stage.container ?? '')?.volume_l ?? 0));
  const end = at.at(-1) ?? WIDE;
  const rise = (x: number) => ((x - (at[1] ?? 0)) / Math.max(1, end - (at[1] ?? 0))) * TALL * 0.86 + TALL * 0.14;
  const said = method.stages
    .map(
      (stage, index) => `${stage.name}, a plant at its end ${money(growth.stages[index]?.per_finished, season.currency, true)}`,
    )
    .join('; ');
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className={s.ground} role="img" aria-label={`${method.name}: ${said}.`}>
      <Patterns />
      {method.stages.map((stage, index) => {
        const [from, to] = [at[index] ?? 0, at[index + 1] ?? WIDE];
        const outside = outdoors.has(stage.place);
        const up = index > 0 || (stage.days !== 'emergence' && outside);
        const [low, high] = [rise(from), rise(to)];
        const top = index === 0 ? 8 : low;
        const container = containers.get(stage.container ?? '');
        const deep = container ? Math.max(10, DEEP * Math.cbrt(container.volume_l / largest)) : 0;
        const cost = growth.stages[index];
        return (
          <g key={index} data-ground={index}>
            {index === 0 ? (
              <Seedbed from={from} to={to} warmed={stage.mat} />
            ) : (
              <path
                d={`M${from},${SOIL} L${from},${SOIL - low} L${to},${SOIL - high} L${to},${SOIL} Z`}
                className={clsx(s.plant, outside ? s.outside : undefined)}
              />
            )}
            {outside && up && index > 0 && (
              <path d={`M${from},${SOIL} L${from},${SOIL - low} L${to},${SOIL - high} L${to},${SOIL} Z`} className={s.ruled} />
            )}
            {stage.light && (
              <line x1={from} x2={to} y1={SOIL - top - 7} y2={SOIL - (index === 0 ? 8 : high) - 7} className={s.lamp} />
            )}
            {container && <Pot name={container.name} x={from} deep={deep} small={index === 0} />}
            <line x1={to} x2={to} y1={SOIL} y2={SOIL - high} className={s.stageEnd} />
            <text x={to} y={SOIL - high - 18} textAnchor={to > WIDE - 60 ? 'end' : 'middle'} className={s.cost}>
              {money(cost?.per_finished, season.currency, true)}
            </text>
            <text x={index === 0 ? from : Math.max(from + 34, from)} y={HIGH - 4} textAnchor="start" className={s.when}>
              {cost?.from ? shortDay(cost.from, us) : ''}
            </text>
          </g>
        );
      })}
      <line x1={0} x2={WIDE} y1={SOIL} y2={SOIL} className={s.soilLine} />
      <g transform={`translate(${end} ${SOIL - rise(end)})`} className={s.leaf}>
        <path d="M0,0 C4,-18 18,-24 28,-22 C26,-8 14,0 0,0 Z" />
        <path d="M0,2 C-4,-12 -16,-18 -26,-16 C-24,-4 -12,4 0,2 Z" />
      </g>
      <text x={WIDE} y={HIGH - 4} textAnchor="end" className={s.when}>
        {growth.stages.at(-1)?.to ? shortDay(growth.stages.at(-1)?.to ?? '', us) : ''}
      </text>
    </svg>
  );
}

/** Where the seed lies, with slashes where a mat warms it. */
function Seedbed({ from, to, warmed }: { from: number; to: number; warmed: boolean }) {
  return (
    <>
      <rect x={from} y={SOIL} width={to - from} height={16} className={clsx(s.seedbed, warmed ? s.warm : undefined)} />
      {warmed && <rect x={from} y={SOIL} width={to - from} height={16} className={s.slashed} />}
      {[0, 1, 2].map((n) => (
        <circle key={n} cx={from + 48 + n * 14} cy={SOIL + 8} r={3.4} className={s.seed} />
      ))}
    </>
  );
}

/** To scale with the largest of the method. */
function Pot({ name, x, deep, small }: { name: string; x: number; deep: number; small: boolean }) {
  return (
    <path
      d={`M${x - deep * 0.5},${SOIL + 2} h${deep} l${-deep * 0.14},${deep * 0.92} h${-deep * 0.72} Z`}
      transform={`translate(${Math.max(deep * 0.5 + 2 - x, 0)} 0)`}
      className={clsx(s.pot, small ? s.potSmall : undefined)}
    >
      <title>{name}</title>
    </path>
  );
}
