import { clsx } from 'clsx';
import { memo, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { CropResult } from '../../api/types';
import { shortDay } from '../../words/dates';
import { dateOf, dayNumber, type Axis } from './days';
import s from './calendar.module.css';

export const ROW = 30;
const BAR = 18;
/** Arrow keys pressed within so long of each other are one move. */
const PAUSE_MS = 700;

export type Kind = 'heat' | 'light' | 'plain' | 'outdoors';

/** The sowing, before the first stage's end. */
const SOWING = -1;

interface Props {
  result: CropResult;
  name: string;
  axis: Axis;
  y: number;
  us: boolean;
  kinds: Kind[];
  /** The sowing (-1) or the end of a stage moved by days. */
  move: (stage: number, by: number) => void;
}

/** Colour is never the only sign: heat is slashed, outdoors ruled. */
const PATTERN = { heat: 'slash', outdoors: 'bar', light: null, plain: null } as const;

interface Drag {
  stage: number;
  by: number;
}

const KEYS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 };

/** A move being made: by the pointer until it is let go, by keys until they rest. One gesture is one step. */
function useDrag(move: Props['move']) {
  const [drag, setDrag] = useState<Drag | null>(null);
  /** Read by the last event, whatever has been drawn meanwhile. */
  const latest = useRef<Drag | null>(null);
  const timer = useRef<number | undefined>(undefined);
  const hold = (next: Drag | null) => {
    latest.current = next;
    setDrag(next);
  };
  const drop = () => {
    window.clearTimeout(timer.current);
    const made = latest.current;
    hold(null);
    if (made !== null && made.by !== 0) move(made.stage, made.by);
  };
  const forget = () => {
    window.clearTimeout(timer.current);
    hold(null);
  };
  const step = (stage: number, by: number) => {
    window.clearTimeout(timer.current);
    hold({ stage, by: (latest.current?.stage === stage ? latest.current.by : 0) + by });
    timer.current = window.setTimeout(drop, PAUSE_MS);
  };
  useEffect(() => () => window.clearTimeout(timer.current), []);
  return { drag, hold, drop, forget, step };
}

/** One crop's stages as bars; their ends and the sowing can be dragged, or moved with the arrow keys. */
export const Bars = memo(function Bars({ result, name, axis, y, us, kinds, move }: Props) {
  const { drag, hold, drop, forget, step } = useDrag(move);
  const svg = useRef<SVGGElement>(null);
  const began = useRef<{ stage: number; from: number } | null>(null);
  const perDay = (): number => {
    const owner = svg.current?.ownerSVGElement;
    const wide = owner?.viewBox.baseVal.width ?? 1;
    return (axis(1) - axis(0)) * ((owner?.getBoundingClientRect().width ?? wide) / wide);
  };
  const start = (stage: number) => (event: PointerEvent<SVGRectElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    began.current = { stage, from: event.clientX };
    hold({ stage, by: 0 });
  };
  const along = (event: PointerEvent<SVGRectElement>) => {
    if (began.current) hold({ stage: began.current.stage, by: Math.round((event.clientX - began.current.from) / perDay()) });
  };
  const done = (event: PointerEvent<SVGRectElement>) => {
    along(event);
    began.current = null;
    drop();
  };
  const keys = (stage: number) => (event: KeyboardEvent<SVGRectElement>) => {
    const by = KEYS[event.key];
    if (by !== undefined) step(stage, by);
    else if (event.key === 'Enter') drop();
    else if (event.key === 'Escape') forget();
    else return;
    event.preventDefault();
  };
  const by = drag?.by ?? 0;
  const moves = (stage: number): number => (drag === null || (drag.stage !== SOWING && stage <= drag.stage) ? 0 : by);
  const from = (stage: number) => dayNumber(result.stages[stage]?.start ?? '') + moves(stage);
  const to = (stage: number) => dayNumber(result.stages[stage]?.end ?? '') + (drag?.stage === stage ? by : moves(stage));
  const sown = result.sow_on === null ? null : dayNumber(result.sow_on) + (drag?.stage === SOWING ? by : 0);
  const handle = (stage: number, day: number, label: string) => (
    <rect
      key={`handle-${stage}`}
      className={s.barHandle}
      x={axis(day) - 6}
      y={y + (ROW - BAR) / 2 - 3}
      width={12}
      height={BAR + 6}
      rx={3}
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuetext={shortDay(dateOf(day), us)}
      aria-valuenow={Math.round(day)}
      aria-valuemin={axis.domain()[0]}
      aria-valuemax={axis.domain()[1]}
      data-handle={`${result.id}:${stage}`}
      onPointerDown={start(stage)}
      onPointerMove={along}
      onPointerUp={done}
      onPointerCancel={() => {
        began.current = null;
        forget();
      }}
      onKeyDown={keys(stage)}
      onBlur={drop}
    />
  );
  const dragged = drag === null || by === 0 ? null : drag.stage === SOWING ? sown : to(drag.stage);
  return (
    <g ref={svg} className={s.bars}>
      {result.cold_on !== null && sown !== null && (
        <rect
          className={clsx(s.bar, s.barCold)}
          strokeDasharray="3 2"
          x={axis(dayNumber(result.cold_on))}
          y={y + (ROW - BAR) / 2}
          width={Math.max(1, axis(sown) - axis(dayNumber(result.cold_on)))}
          height={BAR}
        >
          <title>in the cold from {shortDay(result.cold_on, us)}</title>
        </rect>
      )}
      {result.stages.map((stage, index) => {
        const wide = Math.max(1, axis(to(index)) - axis(from(index)));
        const kind = kinds[index] ?? 'plain';
        const place = { x: axis(from(index)), y: y + (ROW - BAR) / 2, width: wide, height: BAR };
        return (
          <g key={index}>
            <rect className={clsx(s.bar, s[`bar-${kind}`])} {...place}>
              <title>
                {stage.name}: {shortDay(stage.start, us)} to {shortDay(stage.end, us)}
              </title>
            </rect>
            {PATTERN[kind] !== null && <rect className={clsx(s.barPattern, s[`bar-pattern-${PATTERN[kind]}`])} {...place} />}
            {wide > stage.name.length * 7 && (
              <text className={clsx(s.barName, s[`bar-name-${kind}`])} x={place.x + 5} y={y + ROW / 2 + 5} aria-hidden="true">
                {stage.name}
              </text>
            )}
          </g>
        );
      })}
      {result.stages.map((stage, index) => handle(index, to(index), `${name}: end of ${stage.name}`))}
      {sown !== null && handle(SOWING, sown, `${name}: sowing`)}
      {dragged !== null && (
        <text className={s.dragSays} x={axis(dragged) + 10} y={y + 8}>
          {shortDay(dateOf(dragged), us)}
        </text>
      )}
    </g>
  );
});
