import { useState } from 'react';
import type { Season } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { day, isDate } from '../../words/dates';
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
  // A file from elsewhere may hold anything here.
  return { sow_days: kept?.sow_days ?? [], away: (kept?.away ?? []).filter(({ from, to }) => isDate(from) && isDate(to)) };
}

/** The days one sows on, and those away: a dragged sowing goes to the nearest that suits. */
export function HabitsPart({ season }: { season: Season }) {
  const store = useStore();
  const habits = habitsOf(season);
  const changes = (next: Habits) => [{ path: ['meta'], to: { ...((season.meta as object | null) ?? {}), habits: next } }];
  const set = (next: Habits, label: string) => store.apply(changes(next), label);
  return (
    <>
      <fieldset className={s.habits}>
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
      <AwayPart away={habits.away} us={season.units === 'us'} save={(away) => set({ ...habits, away }, 'days away')} />
    </>
  );
}

type Away = Habits['away'];

/** Days away, each as its first and last day. */
function AwayPart({ away, us, save }: { away: Away; us: boolean; save: (away: Away) => void }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const why = from !== '' && to !== '' && to < from ? 'The last day is before the first.' : null;
  const add = () => {
    save([...away, { from, to }].sort((a, b) => a.from.localeCompare(b.from)));
    setFrom('');
    setTo('');
  };
  return (
    <fieldset className={s.habits} data-part="away">
      <legend>Days away</legend>
      {away.map((one) => (
        <span key={`${one.from} ${one.to}`}>
          {day(one.from, us)} to {day(one.to, us)}{' '}
          <button
            type="button"
            className="plain"
            aria-label={`At home from ${day(one.from, us)} to ${day(one.to, us)}`}
            onClick={() => save(away.filter((other) => other !== one))}
          >
            Remove
          </button>
        </span>
      ))}
      <label>
        from <input type="date" name="away_from" value={from} onChange={(event) => setFrom(event.target.value)} />
      </label>
      <label>
        to <input type="date" name="away_to" value={to} min={from} onChange={(event) => setTo(event.target.value)} />
      </label>
      <button type="button" className="plain" disabled={!isDate(from) || !isDate(to) || why !== null} onClick={add}>
        Add
      </button>
      {why !== null && (
        <span className="trouble" role="alert">
          {why}
        </span>
      )}
    </fieldset>
  );
}
