import type { Season } from '../../api/types';
import { EditText } from '../../edit/EditText';
import type { Parsed } from '../../edit/useDraft';
import { useStore } from '../../season/SeasonContext';
import { isDate } from '../../words/dates';
import s from './calendar.module.css';

interface Habits {
  /** Weekdays one sows on, 0 for Sunday; empty is any. */
  sow_days: number[];
  away: { from: string; to: string }[];
}

const DAYS = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa'];
const NAMES = ['Sundays', 'Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays'];

/** Days one sows on and days away, as the season keeps them beside its sums (`meta.habits`). */
export function habitsOf(season: Season): Habits {
  const kept = (season.meta as { habits?: Partial<Habits> } | null | undefined)?.habits;
  return { sow_days: kept?.sow_days ?? [], away: kept?.away ?? [] };
}

const showAway = (away: Habits['away']): string => away.map(({ from, to }) => `${from} to ${to}`).join(', ');

function parseAway(typed: string): Parsed<Habits['away']> {
  const dates = typed.match(/\d{4}-\d{2}-\d{2}/g) ?? [];
  if (typed.trim() === '') return { ok: true, value: [] };
  const away = Array.from({ length: dates.length / 2 }, (_, index) => ({
    from: dates[2 * index] ?? '',
    to: dates[2 * index + 1] ?? '',
  }));
  return dates.length > 0 && dates.length % 2 === 0 && away.every(({ from, to }) => isDate(from) && isDate(to) && from <= to)
    ? { ok: true, value: away }
    : { ok: false, why: 'Type two dates, for example 2027-04-10 to 2027-04-17.' };
}

/** The days one sows on, and those away: a dragged sowing goes to the nearest that suits. */
export function HabitsPart({ season }: { season: Season }) {
  const store = useStore();
  const habits = habitsOf(season);
  const changes = (next: Habits) => [{ path: ['meta'], to: { ...((season.meta as object | null) ?? {}), habits: next } }];
  const set = (next: Habits, label: string) => store.apply(changes(next), label);
  return (
    <>
      <fieldset className={s.weekdays}>
        <legend>You sow on</legend>
        {DAYS.map((short, index) => (
          <label key={short} title={NAMES[index]}>
            <input
              type="checkbox"
              aria-label={NAMES[index]}
              checked={habits.sow_days.includes(index)}
              onChange={(event) =>
                set(
                  {
                    ...habits,
                    sow_days: event.target.checked
                      ? [...habits.sow_days, index].sort()
                      : habits.sow_days.filter((one) => one !== index),
                  },
                  'days to sow on',
                )
              }
            />
            {short}
          </label>
        ))}
        <span className="quiet">{habits.sow_days.length === 0 ? 'any day' : ''}</span>
      </fieldset>
      <EditText<Habits['away']>
        label="Away"
        name="away"
        value={habits.away}
        show={showAway}
        parse={parseAway}
        save={(away) => store.change(changes({ ...habits, away }), 'days away')}
      />
    </>
  );
}
