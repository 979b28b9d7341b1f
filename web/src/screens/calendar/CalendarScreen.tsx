import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Calendar, Crop } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import { EditText } from '../../edit/EditText';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { factsOf, varietyOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { useNarrow } from '../../hooks/useNarrow';
import { day, shortDay } from '../../words/dates';
import { dueWords } from '../../words/due';
import { warningWords } from '../../words/sowing';
import { parseDate } from '../../edit/text';
import { parseMaybeDate } from '../growlist/parse';
import { Bars, ROW, type Mark } from './Bars';
import { Crowding } from './Crowding';
import { axisOf, dayNumber, months, type Axis } from './days';
import { FeedPart } from './FeedPart';
import { HabitsPart, habitsOf } from './HabitsPart';
import { ReliefPart } from './ReliefPart';
import { TaskList } from './TaskList';
import { useCalendar } from './useCalendar';
import s from './calendar.module.css';

const HEAD = 36;
/** Width of a month's name. */
const MONTH = 32;
/** Days left free at either end. */
const MARGIN = 4;

/** How the bars are laid out: names beside them, or on a phone over them, with ends wide enough for a finger. */
interface Sheet {
  width: number;
  left: number;
  row: number;
  /** Of a row, above its bars. */
  over: number;
  grip: number;
}

const WIDE: Sheet = { width: 1224, left: 190, row: ROW, over: 0, grip: 12 };
const FOLDED: Sheet = { width: 358, left: 12, row: 76, over: 24, grip: 24 };

/** When to do what: each crop's stages counted back from the frost, the bench's crowding beneath, and the tasks by day. */
export function CalendarScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Days shown={shown} />}</PlanningPage>;
}

function axisFor({ result }: OnScreen, sheet: Sheet): Axis {
  const dates = result.crops.flatMap((crop) => [
    ...crop.stages.flatMap(({ start, end }) => [start, end]),
    ...(crop.cold_on ? [crop.cold_on] : []),
  ]);
  const all = dates.map(dayNumber);
  return axisOf(Math.min(...all) - MARGIN, Math.max(...all) + MARGIN, sheet.left, sheet.width - 8);
}

function Days({ shown }: { shown: OnScreen }) {
  const { season, setup, id, revision } = shown;
  const store = useStore();
  const { data, error } = useCalendar(id, setup.id, revision);
  const sheet = useNarrow() ? FOLDED : WIDE;
  const grown = season.crops.filter((crop) => shown.cropResult(crop.id)?.grown);
  if (grown.length === 0) {
    return (
      <div className="empty">
        <h1>This set-up grows nothing</h1>
        <p>Put a crop on the list, or choose a set-up that grows it.</p>
        <SetupPicker />
      </div>
    );
  }
  const axis = axisFor(shown, sheet);
  return (
    <>
      <div className="list-head">
        <div>
          <h1>The season, from seed to bed</h1>
          <p className="quiet">
            Dates are counted back from the last frost. Seed is drawn below the line, plants above it. A yellow line is the lamp,
            slashes are the heat mat, and ruled lines are outdoors. Drag the sowing or the end of a stage, or move it with the
            arrow keys.
          </p>
        </div>
        <SetupPicker />
      </div>
      {error && (
        <p className="trouble" role="alert">
          {words(error)}
        </p>
      )}
      <div className={s.calendarFacts}>
        <EditText<string>
          label="Last frost"
          name="last_frost"
          type="date"
          value={season.last_frost}
          show={String}
          parse={parseDate}
          save={(to) => store.change([{ path: ['last_frost'], to }], 'last frost')}
        />
        <HabitsPart season={season} />
      </div>
      <div className={s.calendarScroll} tabIndex={0} role="region" aria-label="Calendar of bars">
        <Picture shown={shown} grown={grown} axis={axis} sheet={sheet} />
        {data?.bench.map((place) => (
          <Crowding key={place.id} place={place} axis={axis} width={sheet.width} folded={sheet === FOLDED} />
        ))}
      </div>
      <Notes shown={shown} grown={grown} timing={data?.timing ?? []} due={data?.due ?? []} />
      {data && <ReliefPart shown={shown} calendar={data} />}
      <Pins shown={shown} grown={grown} />
      {data && <TaskList tasks={data.tasks} us={season.units === 'us'} />}
      <FeedPart season={id} setup={setup.id} feed={data?.feed ?? null} />
    </>
  );
}

interface PartProps {
  shown: OnScreen;
  grown: Crop[];
}

/** The bars of all crops over the months, with the frost, today and the days away. */
function Picture({ shown, grown, axis, sheet }: PartProps & { axis: Axis; sheet: Sheet }) {
  const { season, setup } = shown;
  const store = useStore();
  const [today] = useState(() => Math.floor(Date.now() / 86_400_000));
  const us = season.units === 'us';
  const facts = factsOf(season);
  const outdoors = new Set(season.places.filter((place) => place.outdoors).map((place) => place.id));
  const folded = sheet === FOLDED;
  const high = HEAD + grown.length * sheet.row + 6;
  const frost = axis(dayNumber(season.last_frost));
  const [from = 0, to = 0] = axis.domain();
  const move = (crop: string) => (stage: number, by: number) =>
    store.attempt(null, () =>
      answered(
        client.PUT('/api/seasons/{season}/setups/{setup}/crops/{crop}/bar', {
          params: { path: { season: shown.id, setup: setup.id, crop } },
          body: { stage: stage < 0 ? null : stage, by },
        }),
      ),
    );
  return (
    <svg viewBox={`0 0 ${sheet.width} ${high}`} className={s.calendar} role="group" aria-label="Stages of each crop by day">
      <Patterns />
      {months(axis).map(({ day: first, name }) => (
        <g key={first}>
          <line x1={axis(first)} x2={axis(first)} y1={HEAD - 8} y2={high} className={s.month} />
          {axis(first) < sheet.width - MONTH && (
            <text x={axis(first) + 4} y={14} className={s.monthName}>
              {name}
            </text>
          )}
        </g>
      ))}
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
      {grown.map((crop, index) => {
        const line = shown.cropResult(crop.id);
        const known = facts(crop, line);
        if (!line || !known) return null;
        const y = HEAD + index * sheet.row;
        const name = varietyOf(season, crop.id);
        const marks = (known.method?.stages ?? []).map((stage, at): Mark => ({
          heat: stage.mat,
          light: stage.light,
          outdoors: outdoors.has(stage.place),
          potted: at > 0 && stage.container !== null,
        }));
        return (
          <g key={crop.id} data-bars={crop.id}>
            <line x1={0} x2={sheet.width} y1={y + sheet.row} y2={y + sheet.row} className={s.rowLine} />
            <text x={0} y={y + (folded ? 17 : sheet.row / 2 - 3)} className={s.rowName}>
              {name.slice(0, 22)}
              {crop.anchor === 'first_frost' ? ', autumn' : ''}
              {crop.sow_on !== null ? ' ⊙' : ''}
            </text>
            {!folded && (
              <text x={0} y={y + sheet.row / 2 + 13} className={s.rowSpecies}>
                {known.species?.name.toLowerCase()}
              </text>
            )}
            {folded && line.sow_on !== null && (
              <text x={sheet.width} y={y + 17} textAnchor="end">
                {shortDay(line.sow_on, us)}
                {line.plant_out_on === null ? '' : ` to ${shortDay(line.plant_out_on, us)}`}
              </text>
            )}
            <Bars
              result={line}
              name={name}
              axis={axis}
              y={y + sheet.over}
              grip={sheet.grip}
              us={us}
              marks={marks}
              move={move(crop.id)}
            />
          </g>
        );
      })}
    </svg>
  );
}

/** Crops that will be late, and what else is to be said of their timing. */
function Notes({ shown, grown, timing, due }: PartProps & Pick<Calendar, 'timing' | 'due'>) {
  const late = grown.flatMap(({ id }) => {
    const line = shown.cropResult(id);
    return line?.warnings.includes('late') ? [line] : [];
  });
  return (
    <>
      <ul className={s.calendarWarnings} data-part="late">
        {late.map((line) => (
          <li key={line.id} className="trouble">
            ▲ {varietyOf(shown.season, line.id)}: {warningWords('late')} Ready on{' '}
            {day(line.plant_out_on, shown.season.units === 'us')}. {line.buy_cost === null ? '' : 'Buying it may cost less.'}
          </li>
        ))}
      </ul>
      {due.length > 0 && (
        <ul className={s.calendarWarnings} aria-label="Coming up, by the weather" data-part="due">
          {due.map((one) => (
            <li key={one.crop}>
              {varietyOf(shown.season, one.crop)}, sown: {dueWords(one, shown.season.units === 'us')}
            </li>
          ))}
        </ul>
      )}
      {timing.length > 0 && (
        <ul className={s.calendarWarnings} aria-label="Timing">
          {timing.map((note) => (
            <li key={note.crop + note.code}>△ {note.words}</li>
          ))}
        </ul>
      )}
    </>
  );
}

/** Sowings on days of one's own. */
function Pins({ shown, grown }: PartProps) {
  const { season } = shown;
  const store = useStore();
  const us = season.units === 'us';
  return (
    <div className={s.pins}>
      <h2>Sowing date of your own</h2>
      <div className={s.pinList}>
        {grown.map((crop) => {
          const name = varietyOf(season, crop.id);
          const rule = crop.sow_on === null ? `, by rule ${shortDay(shown.cropResult(crop.id)?.sow_on, us)}` : '';
          return (
            <EditText<string>
              key={crop.id}
              label={`${name}${rule}`}
              name={`sow_on.${crop.id}`}
              type="date"
              value={crop.sow_on ?? ''}
              show={String}
              parse={parseMaybeDate}
              save={(to) =>
                store.change([{ path: ['crops', crop.id, 'sow_on'], to: to === '' ? null : to }], `sowing date, ${name}`)
              }
            />
          );
        })}
      </div>
    </div>
  );
}
