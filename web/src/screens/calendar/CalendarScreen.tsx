import { words } from '../../api/client';
import type { Calendar, Crop } from '../../api/types';
import { EditText } from '../../edit/EditText';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { useNarrow } from '../../hooks/useNarrow';
import { day, shortDay } from '../../words/dates';
import { dueWords } from '../../words/due';
import { warningWords } from '../../words/sowing';
import { parseDate } from '../../edit/text';
import { parseMaybeDate } from '../growlist/parse';
import { Crowding } from './Crowding';
import { axisOf, dayNumber, type Axis } from './days';
import { FeedPart } from './FeedPart';
import { HabitsPart } from './HabitsPart';
import { ReliefPart } from './ReliefPart';
import { FOLDED, SeasonBars, WIDE, type Sheet } from './SeasonBars';
import { TaskList } from './TaskList';
import { useCalendar } from './useCalendar';
import s from './calendar.module.css';

/** Days left free at either end. */
const MARGIN = 4;

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
        <SeasonBars shown={shown} grown={grown} axis={axis} sheet={sheet} />
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
