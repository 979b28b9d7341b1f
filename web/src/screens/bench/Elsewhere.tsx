import { Link } from 'react-router';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { day } from '../../words/dates';
import { plural } from '../../words/sowing';
import { useCalendar } from '../calendar/useCalendar';

/** Another place for part of a crop's time, where that makes room. */
export function Elsewhere({ shown, crops, us }: { shown: OnScreen; crops: string[]; us: boolean }) {
  const store = useStore();
  const { data } = useCalendar(shown.id, shown.setup.id, shown.revision);
  const moves = (data?.relief ?? []).filter(({ kind, crop }) => kind === 'move' && crops.includes(crop));
  return (
    <>
      {moves.map((move) => {
        const words = `Move ${varietyOf(shown.season, move.crop)} to ${move.place} on ${day(move.on, us)}`;
        return (
          <li key={move.crop} data-part="elsewhere">
            {words}: {move.crowded_days} crowded {plural(move.crowded_days, 'day')} left.{' '}
            <button
              type="button"
              className="plain"
              onClick={() => void store.apply(move.edits, `place, ${varietyOf(shown.season, move.crop)}`)}
            >
              Do it<span className="hidden">: {words}</span>
            </button>
          </li>
        );
      })}
      <li>
        <Link to={`/seasons/${shown.id}/calendar`}>All ways to make room</Link>, with what each costs.
      </li>
    </>
  );
}
