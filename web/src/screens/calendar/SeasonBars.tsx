import { useState } from 'react';
import { answered, client } from '../../api/client';
import type { Crop, CropResult } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { factsOf, varietyOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { Bars, ROW, type Mark } from './Bars';
import { dayNumber, months, type Axis } from './days';
import { habitsOf } from './HabitsPart';
import s from './calendar.module.css';

const HEAD = 36;
/** Width of a month's name. */
const MONTH = 32;

/** How the bars are laid out: names beside them, or on a phone over them, with ends wide enough for a finger. */
export interface Sheet {
  width: number;
  left: number;
  row: number;
  /** Of a row, above its bars. */
  over: number;
  grip: number;
}

export const WIDE: Sheet = { width: 1224, left: 190, row: ROW, over: 0, grip: 12 };
export const FOLDED: Sheet = { width: 358, left: 12, row: 76, over: 24, grip: 24 };

interface Props {
  shown: OnScreen;
  grown: Crop[];
  axis: Axis;
  sheet: Sheet;
}

/** The bars of all crops over the months, with the frost, today and the days away. */
export function SeasonBars({ shown, grown, axis, sheet }: Props) {
  const { season } = shown;
  const [today] = useState(() => Math.floor(Date.now() / 86_400_000));
  const us = season.units === 'us';
  const high = HEAD + grown.length * sheet.row + 6;
  const frost = axis(dayNumber(season.last_frost));
  const [from = 0, to = 0] = axis.domain();
  return (
    <svg viewBox={`0 0 ${sheet.width} ${high}`} className={s.calendar} role="group" aria-label="Stages of each crop by day">
      <Patterns />
      <Months axis={axis} width={sheet.width} high={high} />
      {habitsOf(season).away.map((run) => (
        <rect
          key={run.from}
          className={s.awayDays}
          x={axis(dayNumber(run.from))}
          y={HEAD}
          height={high - HEAD}
          width={Math.max(1, axis(dayNumber(run.to) + 1) - axis(dayNumber(run.from)))}
        >
          <title>away</title>
        </rect>
      ))}
      <line x1={frost} x2={frost} y1={HEAD - 8} y2={high} className={s.frost} />
      <text x={frost - 4} y={30} textAnchor="end" className={s.frostName}>
        last frost {shortDay(season.last_frost, us)}
      </text>
      {today >= from && today <= to && <line x1={axis(today)} x2={axis(today)} y1={HEAD - 8} y2={high} className={s.today} />}
      {grown.map((crop, index) => (
        <CropRow key={crop.id} shown={shown} crop={crop} axis={axis} sheet={sheet} y={HEAD + index * sheet.row} />
      ))}
    </svg>
  );
}

function Months({ axis, width, high }: { axis: Axis; width: number; high: number }) {
  return months(axis).map(({ day: first, name }) => (
    <g key={first}>
      <line x1={axis(first)} x2={axis(first)} y1={HEAD - 8} y2={high} className={s.month} />
      {axis(first) < width - MONTH && (
        <text x={axis(first) + 4} y={14} className={s.monthName}>
          {name}
        </text>
      )}
    </g>
  ));
}

interface RowProps extends Omit<Props, 'grown'> {
  crop: Crop;
  y: number;
}

/** One crop's names and its bars, which are moved here. */
function CropRow({ shown, crop, axis, sheet, y }: RowProps) {
  const { season, setup } = shown;
  const store = useStore();
  const us = season.units === 'us';
  const move = (stage: number, by: number) =>
    store.attempt(null, () =>
      answered(
        client.PUT('/api/seasons/{season}/setups/{setup}/crops/{crop}/bar', {
          params: { path: { season: shown.id, setup: setup.id, crop: crop.id } },
          body: { stage: stage < 0 ? null : stage, by },
        }),
      ),
    );
  const line = shown.cropResult(crop.id);
  const known = factsOf(season)(crop, line);
  if (!line || !known) return null;
  const outdoors = new Set(season.places.filter((place) => place.outdoors).map((place) => place.id));
  const name = varietyOf(season, crop.id);
  const marks = (known.method?.stages ?? []).map((stage, at): Mark => ({
    heat: stage.mat,
    light: stage.light,
    outdoors: outdoors.has(stage.place),
    potted: at > 0 && stage.container !== null,
  }));
  return (
    <g data-bars={crop.id}>
      <line x1={0} x2={sheet.width} y1={y + sheet.row} y2={y + sheet.row} className={s.rowLine} />
      <RowNames crop={crop} name={name} species={known.species?.name.toLowerCase()} line={line} sheet={sheet} y={y} us={us} />
      <Bars result={line} name={name} axis={axis} y={y + sheet.over} grip={sheet.grip} us={us} marks={marks} move={move} />
    </g>
  );
}

interface NamesProps extends Pick<RowProps, 'crop' | 'sheet' | 'y'> {
  name: string;
  species: string | undefined;
  line: CropResult;
  us: boolean;
}

/** Beside the bars; on a phone over them, with the days. */
function RowNames({ crop, name, species, line, sheet, y, us }: NamesProps) {
  const folded = sheet === FOLDED;
  return (
    <>
      <text x={0} y={y + (folded ? 17 : sheet.row / 2 - 3)} className={s.rowName}>
        {name.slice(0, 22)}
        {crop.anchor === 'first_frost' ? ', autumn' : ''}
        {crop.sow_on !== null ? ' ⊙' : ''}
      </text>
      {!folded && (
        <text x={0} y={y + sheet.row / 2 + 13} className={s.rowSpecies}>
          {species}
        </text>
      )}
      {folded && line.sow_on !== null && (
        <text x={sheet.width} y={y + 17} textAnchor="end">
          {shortDay(line.sow_on, us)}
          {line.plant_out_on === null ? '' : ` to ${shortDay(line.plant_out_on, us)}`}
        </text>
      )}
    </>
  );
}
