import { useState } from 'react';
import { words } from '../../api/client';
import type { Crop } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import { EditText } from '../../edit/EditText';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { factsOf } from '../../season/site';
import { PlanningPage } from '../../shell/Page';
import { SetupPicker } from '../../shell/SetupPicker';
import { day, shortDay } from '../../words/dates';
import { warningWords } from '../../words/sowing';
import { parseMaybeDate } from '../growlist/parse';
import { Bars, ROW, xOf, type Axis } from './Bars';
import { Crowding } from './Crowding';
import { dateOf, dayNumber, isAway, months, snap } from './days';
import { FeedPart } from './FeedPart';
import { HabitsPart, habitsOf } from './HabitsPart';
import { ReliefPart } from './ReliefPart';
import { TaskList } from './TaskList';
import { useCalendar } from './useCalendar';

const WIDTH = 1224;
const LEFT = 190;
const HEAD = 26;

/** When to do what: each crop's stages counted back from the frost, the bench's crowding beneath, and the tasks by day. */
export function CalendarScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Days shown={shown} />}</PlanningPage>;
}

function Days({ shown }: { shown: OnScreen }) {
  const { season, setup, state, result } = shown;
  const store = useStore();
  const [why, setWhy] = useState<string | null>(null);
  const { data, error } = useCalendar(state.id, setup.id, state.revision);
  const us = season.units === 'us';
  const habits = habitsOf(season);
  const grown = season.crops.filter(({ id }) => shown.cropResult(id)?.grown);
  const facts = factsOf(season);
  const name = (crop: Crop) => season.seed_lots.find(({ id }) => id === crop.lot)?.variety ?? crop.id;
  const all = result.crops.flatMap((crop) => [...crop.stages.flatMap(({ start, end }) => [start, end]), ...(crop.cold_on ? [crop.cold_on] : [])]).map(dayNumber);
  const [today] = useState(() => Math.floor(Date.now() / 86_400_000));
  const axis: Axis = { from: Math.min(...all) - 4, to: Math.max(...all) + 4, left: LEFT, right: WIDTH - 8 };
  const failed = (reason: unknown) => setWhy(words(reason));

  const sow = (crop: Crop) => (to: number) => void store.change([{ path: ['crops', crop.id, 'sow_on'], to: dateOf(snap(to, habits)) }], `sowing date, ${name(crop)}`).catch(failed);
  const stretch = (crop: Crop) => (stage: number, by: number) => {
    const method = season.methods.find(({ id }) => id === shown.cropResult(crop.id)?.method);
    const row = method?.stages[stage];
    if (!method || !row) return;
    const shared = grown.filter(({ id }) => shown.cropResult(id)?.method === method.id).length;
    const [key, now] = row.days === 'emergence' ? ['extra_days', row.extra_days] as const : ['days', Number(row.days)] as const;
    const to = Math.max(0, now + by);
    if (to === now) return setWhy(`${row.name} lasts until the seed is up: it can be made longer, not shorter. Move the sowing instead.`);
    setWhy(null);
    void store.change([{ path: ['methods', method.id, 'stages', stage, key], to }], `${row.name} ${now} to ${to} days${shared > 1 ? `, ${shared} crops` : `, ${name(crop)}`}`).catch(failed);
  };
  if (grown.length === 0) return <div className="empty"><h1>Nothing is raised in this set-up</h1><p>Put something on the grow list, or pick a set-up that raises it.</p><SetupPicker /></div>;
  const high = HEAD + grown.length * ROW + 6;
  const frost = dayNumber(season.last_frost);
  return (
    <>
      <div className="list-head">
        <div>
          <h1>When to do what</h1>
          <p className="quiet">Counted back from the last frost. Drag a bar’s end or the sowing mark, or move it with the arrow keys. Slashed red is under heat, yellow under light, dashed blue in the cold, ruled green outdoors.</p>
        </div>
        <SetupPicker />
      </div>
      {why !== null && <p className="trouble" role="alert">{why}</p>}
      {error && <p className="trouble" role="alert">{words(error)}</p>}
      <div className="calendar-facts">
        <EditText<string> label="Last frost" name="last_frost" type="date" value={season.last_frost} show={String} parse={(typed) => (typed === '' ? { ok: false, why: 'Give the date of your last frost.' } : parseMaybeDate(typed))} save={(to) => store.change([{ path: ['last_frost'], to }], 'last frost')} />
        <HabitsPart season={season} />
      </div>
      <div className="calendar-scroll" tabIndex={0} role="region" aria-label="Calendar of bars">
        <svg viewBox={`0 0 ${WIDTH} ${high}`} className="calendar" role="group" aria-label="Stages of each crop by day">
          <Patterns />
          {months(axis.from, axis.to).map((month) => <g key={month}><line x1={xOf(axis, month)} x2={xOf(axis, month)} y1={HEAD - 8} y2={high} className="month" /><text x={xOf(axis, month) + 4} y={14} className="month-name">{new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(month * 86_400_000)}</text></g>)}
          {habits.away.map(({ from, to }) => <rect key={from} className="away-days" x={xOf(axis, dayNumber(from))} y={HEAD} width={Math.max(1, xOf(axis, dayNumber(to) + 1) - xOf(axis, dayNumber(from)))} height={high - HEAD}><title>away</title></rect>)}
          <line x1={xOf(axis, frost)} x2={xOf(axis, frost)} y1={HEAD - 8} y2={high} className="frost" /><text x={xOf(axis, frost) - 4} y={24} textAnchor="end" className="frost-name">last frost {shortDay(season.last_frost, us)}</text>
          {today >= axis.from && today <= axis.to && <line x1={xOf(axis, today)} x2={xOf(axis, today)} y1={HEAD - 8} y2={high} className="today" />}
          {grown.map((crop, index) => {
            const line = shown.cropResult(crop.id);
            const known = line && facts(crop, line);
            if (!line || !known) return null;
            const y = HEAD + index * ROW;
            const outdoors = new Set(season.places.filter((place) => place.outdoors).map(({ id }) => id));
            const kinds = (known.method?.stages ?? []).map((stage) => (stage.mat ? 'heat' : stage.light ? 'light' : outdoors.has(stage.place) ? 'outdoors' : 'plain') as 'heat' | 'light' | 'outdoors' | 'plain');
            return (
              <g key={crop.id} data-bars={crop.id}>
                <line x1={0} x2={WIDTH} y1={y + ROW} y2={y + ROW} className="row-line" />
                <text x={0} y={y + ROW / 2 + 5} className="row-name">{name(crop).slice(0, 22)}{crop.anchor === 'first_frost' ? ', autumn' : ''}{crop.sow_on !== null ? ' ⊙' : ''}</text>
                <Bars result={line} name={name(crop)} axis={axis} y={y} us={us} kinds={kinds} sow={sow(crop)} stretch={stretch(crop)} />
              </g>
            );
          })}
        </svg>
        {data?.bench.map((place) => <Crowding key={place.id} place={place} axis={axis} width={WIDTH} />)}
      </div>
      <ul className="calendar-warnings">
        {grown.flatMap((crop) => {
          const line = shown.cropResult(crop.id);
          return line?.warnings.filter((code) => code === 'late').map((code) => <li key={crop.id + code} className="trouble">▲ {name(crop)}: {warningWords(code)} Ready on {day(line.plant_out_on, us)}. {line.buy_cost === null ? '' : 'It may be better bought.'}</li>) ?? [];
        })}
      </ul>
      {data && data.timing.length > 0 && <ul className="calendar-warnings" aria-label="Timing">{data.timing.map((note) => <li key={note.crop + note.code}>△ {note.words}</li>)}</ul>}
      {data && <ReliefPart shown={shown} calendar={data} />}
      <div className="pins">
        <h2>Sowing on a day of yours</h2>
        <div className="pin-list">
          {grown.map((crop) => (
            <EditText<string> key={crop.id} label={`${name(crop)}${crop.sow_on === null ? `, by rule ${shortDay(shown.cropResult(crop.id)?.sow_on, us)}` : ''}`} name={`sow_on.${crop.id}`} type="date" value={crop.sow_on ?? ''} show={String} parse={parseMaybeDate}
              save={(to) => store.change([{ path: ['crops', crop.id, 'sow_on'], to: to === '' ? null : to }], `sowing date, ${name(crop)}`)} />
          ))}
        </div>
      </div>
      {data && <TaskList tasks={data.tasks} us={us} away={(date) => isAway(dayNumber(date), habits)} />}
      <FeedPart season={state.id} setup={setup.id} feed={data?.feed ?? null} />
    </>
  );
}
