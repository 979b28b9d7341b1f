import { clsx } from 'clsx';
import { memo, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { CropResult } from '../../api/types';
import { shortDay } from '../../words/dates';
import { dateOf, dayNumber, type Axis } from './days';
import s from './calendar.module.css';

export const ROW = 46;
/** The soil's line below a row's top, the tallest plant above it, and how deep seed lies. */
const SOIL = 33;
const TALL = 22;
const DEEP = 9;
/** Arrow keys pressed within so long of each other are one move. */
const PAUSE_MS = 700;

/** What is drawn of a stage. */
export interface Mark {
  heat: boolean;
  light: boolean;
  outdoors: boolean;
  /** Potted on: a pot below the line. */
  potted: boolean;
}

/** The sowing, before the first stage's end. */
const SOWING = -1;

interface Props {
  result: CropResult;
  name: string;
  axis: Axis;
  y: number;
  /** Width of what is dragged. */
  grip: number;
  us: boolean;
  marks: Mark[];
  /** The sowing (-1) or the end of a stage moved by days. */
  move: (stage: number, by: number) => void;
}

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

/** Handles that are dragged with the pointer along the axis, or moved by keys: which one moves, by how many days, and what to listen to. */
function useHandles(axis: Props['axis'], move: Props['move']) {
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
  const cancel = () => {
    began.current = null;
    forget();
  };
  const gestures = (stage: number) => ({
    onPointerDown: start(stage),
    onPointerMove: along,
    onPointerUp: done,
    onPointerCancel: cancel,
    onKeyDown: keys(stage),
    onBlur: drop,
  });
  return { svg, drag, gestures };
}

/** One crop's line of ground: seed below it, plants above; the ends of its stages and the sowing are dragged, or moved by keys. */
export const Bars = memo(function Bars({ result, name, axis, y, grip, us, marks, move }: Props) {
  const { svg, drag, gestures } = useHandles(axis, move);
  const by = drag?.by ?? 0;
  const moves = (stage: number): number => (drag === null || (drag.stage !== SOWING && stage <= drag.stage) ? 0 : by);
  const from = (stage: number) => dayNumber(result.stages[stage]?.start ?? '') + moves(stage);
  const to = (stage: number) => dayNumber(result.stages[stage]?.end ?? '') + (drag?.stage === stage ? by : moves(stage));
  const sown = result.sow_on === null ? null : dayNumber(result.sow_on) + (drag?.stage === SOWING ? by : 0);
  // Plants rise from the day they are up to the day they go out.
  const [up, out] = [axis(to(0)), axis(to(result.stages.length - 1))];
  const tall = (x: number) => 4 + (TALL - 4) * Math.min(1, Math.max(0, (x - up) / Math.max(1, out - up)));
  const handle = (stage: number, day: number, label: string) => (
    <rect
      key={`handle-${stage}`}
      className={s.barHandle}
      x={axis(day) - grip / 2}
      y={y + SOIL - TALL - 2}
      width={grip}
      height={TALL + 12}
      rx={3}
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuetext={shortDay(dateOf(day), us)}
      aria-valuenow={Math.round(day)}
      aria-valuemin={axis.domain()[0]}
      aria-valuemax={axis.domain()[1]}
      data-handle={`${result.id}:${stage}`}
      {...gestures(stage)}
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
          y={y + SOIL}
          width={Math.max(1, axis(sown) - axis(dayNumber(result.cold_on)))}
          height={DEEP}
        >
          <title>in the cold from {shortDay(result.cold_on, us)}</title>
        </rect>
      )}
      {result.stages.map((stage, index) => {
        const [left, right] = [axis(from(index)), Math.max(axis(from(index)) + 1, axis(to(index)))];
        return (
          <StageGround
            key={index}
            stage={stage}
            first={index === 0}
            mark={marks[index]}
            soil={y + SOIL}
            ends={[left, right]}
            tall={[tall(left), tall(right)]}
            us={us}
          />
        );
      })}
      <line x1={axis(from(0))} x2={axis(to(result.stages.length - 1))} y1={y + SOIL} y2={y + SOIL} className={s.soilLine} />
      <Leaves x={axis(to(result.stages.length - 1))} y={y + SOIL - TALL} />
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

/** A pair of leaves where the plants go out. */
function Leaves({ x, y }: { x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`} className={s.leaves} aria-hidden="true">
      <path d="M0,2 C2,-8 9,-11 14,-10 C13,-3 7,2 0,2 Z" />
      <path d="M0,3 C-2,-5 -8,-8 -13,-7 C-12,0 -6,3 0,3 Z" />
    </g>
  );
}

interface StageGroundProps {
  stage: CropResult['stages'][number];
  first: boolean;
  mark: Mark | undefined;
  /** Where the soil's line is, from the top. */
  soil: number;
  ends: [number, number];
  /** How tall the plants stand at both ends. */
  tall: [number, number];
  us: boolean;
}

/** A stage: seed below the line until it is up, then plants that grow. */
function StageGround({ stage, first, mark, soil, ends: [left, right], tall: [low, high], us }: StageGroundProps) {
  const title = (
    <title>
      {stage.name}: {shortDay(stage.start, us)} to {shortDay(stage.end, us)}
    </title>
  );
  if (first) {
    const place = { x: left, y: soil, width: right - left, height: DEEP };
    return (
      <g>
        <rect className={clsx(s.seedbed, mark?.heat ? s.warmed : undefined)} {...place}>
          {title}
        </rect>
        {mark?.heat && <rect className={s.slashed} {...place} />}
        {[0, 1, 2].map((n) =>
          left + 6 + n * 7 < right ? (
            <circle key={n} cx={left + 6 + n * 7} cy={soil + DEEP / 2} r={2.2} className={s.seed} />
          ) : null,
        )}
        {mark?.light && <line x1={left} x2={right} y1={soil - 6} y2={soil - 6} className={s.lampLine} />}
      </g>
    );
  }
  const shape = `M${left},${soil} V${soil - low} L${right},${soil - high} V${soil} Z`;
  return (
    <g>
      <path className={s.growing} d={shape}>
        {title}
      </path>
      {mark?.outdoors && <path className={s.ruled} d={shape} />}
      {mark?.light && <line x1={left} x2={right} y1={soil - low - 4} y2={soil - high - 4} className={s.lampLine} />}
      {mark?.potted && <path d={`M${left - 6},${soil + 1} h12 l-2,${DEEP} h-8 Z`} className={s.pottedOn} />}
    </g>
  );
}
