import { memo, useRef, useState, type PointerEvent, type KeyboardEvent } from 'react';
import type { CropResult, StageResult } from '../../api/types';
import { shortDay } from '../../words/dates';
import { dateOf, dayNumber } from './days';

export const ROW = 30;
const BAR = 18;

/** Where days stand on the picture. */
export interface Axis { from: number; to: number; left: number; right: number }

export const xOf = (axis: Axis, day: number): number => axis.left + ((day - axis.from) / (axis.to - axis.from)) * (axis.right - axis.left);

interface Props {
  result: CropResult; name: string; axis: Axis; y: number; us: boolean;
  kinds: ('heat' | 'light' | 'plain' | 'outdoors')[];
  /** The sowing moved to a day, or a stage made longer by days. */
  sow: (day: number) => void;
  stretch: (stage: number, by: number) => void;
}

/** Colour is never the only sign: heat is slashed, outdoors ruled. */
const PATTERN = { heat: 'slash', outdoors: 'bar', light: null, plain: null } as const;

interface Drag { stage: number; by: number }

/** One crop's stages as bars; their ends and the sowing can be dragged, or moved with the arrow keys. */
export const Bars = memo(function Bars({ result, name, axis, y, us, kinds, sow, stretch }: Props) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const svg = useRef<SVGGElement>(null);
  const perDay = (): number => {
    const box = svg.current?.ownerSVGElement?.getBoundingClientRect();
    return box ? ((axis.right - axis.left) / (axis.to - axis.from)) * (box.width / (svg.current?.ownerSVGElement?.viewBox.baseVal.width ?? box.width)) : 1;
  };
  /** Where the drag began: read by the last event, whatever has been drawn meanwhile. */
  const began = useRef<{ stage: number; from: number } | null>(null);
  const daysTo = (event: PointerEvent<SVGRectElement>) => (began.current ? Math.round((event.clientX - began.current.from) / perDay()) : 0);
  const start = (stage: number) => (event: PointerEvent<SVGRectElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    began.current = { stage, from: event.clientX };
    setDrag({ stage, by: 0 });
  };
  const move = (event: PointerEvent<SVGRectElement>) => began.current && setDrag({ stage: began.current.stage, by: daysTo(event) });
  const done = (event: PointerEvent<SVGRectElement>) => {
    const by = daysTo(event);
    if (began.current && by !== 0) commit(began.current.stage, by);
    began.current = null;
    setDrag(null);
  };
  const commit = (stage: number, by: number) => (stage < 0 ? sow(dayNumber(result.sow_on ?? '1970-01-01') + by) : stretch(stage, by));
  const keys = (stage: number) => (event: KeyboardEvent<SVGRectElement>) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    commit(stage, by);
  };
  const shift = (stage: number): number => (drag === null ? 0 : drag.stage < 0 ? drag.by : stage > drag.stage ? drag.by : 0);
  const handle = (stage: number, day: number, label: string, text: string) => (
    <rect key={`handle-${stage}`} className="bar-handle" x={xOf(axis, day) - 6} y={y + (ROW - BAR) / 2 - 3} width={12} height={BAR + 6} rx={3} tabIndex={0} role="slider" aria-label={label}
      aria-valuetext={text} aria-valuenow={Math.round(day)} aria-valuemin={axis.from} aria-valuemax={axis.to} data-handle={`${result.id}:${stage}`}
      onPointerDown={start(stage)} onPointerMove={move} onPointerUp={done} onPointerCancel={() => { began.current = null; setDrag(null); }} onKeyDown={keys(stage)} />
  );
  return (
    <g ref={svg} className="bars">
      {result.cold_on !== null && <rect className="bar bar-cold" strokeDasharray="3 2" x={xOf(axis, dayNumber(result.cold_on))} y={y + (ROW - BAR) / 2} width={Math.max(1, xOf(axis, dayNumber(result.sow_on ?? '')) - xOf(axis, dayNumber(result.cold_on)))} height={BAR}><title>in the cold from {shortDay(result.cold_on, us)}</title></rect>}
      {result.stages.map((stage: StageResult, index) => {
        const [from, to] = [dayNumber(stage.start) + shift(index), dayNumber(stage.end) + shift(index) + (drag?.stage === index ? drag.by : 0)];
        const wide = Math.max(1, xOf(axis, to) - xOf(axis, from));
        return (
          <g key={index}>
            <rect className={`bar bar-${kinds[index] ?? 'plain'}`} x={xOf(axis, from)} y={y + (ROW - BAR) / 2} width={wide} height={BAR}><title>{stage.name}: {shortDay(stage.start, us)} to {shortDay(stage.end, us)}</title></rect>
            {PATTERN[kinds[index] ?? 'plain'] !== null && <rect className={`bar-pattern bar-pattern-${PATTERN[kinds[index] ?? 'plain'] ?? ''}`} x={xOf(axis, from)} y={y + (ROW - BAR) / 2} width={wide} height={BAR} />}
            {wide > stage.name.length * 7 && <text className="bar-name" x={xOf(axis, from) + 5} y={y + ROW / 2 + 5} aria-hidden="true">{stage.name}</text>}
          </g>
        );
      })}
      {result.stages.map((stage, index) => handle(index, dayNumber(stage.end) + shift(index) + (drag?.stage === index ? drag.by : 0), `${name}: end of ${stage.name}`, shortDay(stage.end, us)))}
      {result.sow_on !== null && handle(-1, dayNumber(result.sow_on) + (drag?.stage === -1 ? drag.by : 0), `${name}: sowing`, shortDay(result.sow_on, us))}
      {drag !== null && drag.by !== 0 && <text className="drag-says" x={xOf(axis, dayNumber((drag.stage < 0 ? result.sow_on : result.stages[drag.stage]?.end) ?? '') + drag.by) + 10} y={y + 8}>{shortDay(dateOf(dayNumber((drag.stage < 0 ? result.sow_on : result.stages[drag.stage]?.end) ?? '') + drag.by), us)}</text>}
    </g>
  );
});
