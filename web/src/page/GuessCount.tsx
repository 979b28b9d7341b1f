import { Link, useLocation } from 'react-router';
import { useSnapshot, type OnScreen } from '../season/SeasonContext';
import { useGuesses } from '../season/useGuesses';
import { count, plural, upper } from '../words/sowing';
import s from './page.module.css';

/** How many numbers of one's own season nobody has looked at yet, and the way to them. */
export function GuessCount({ shown }: { shown: OnScreen }) {
  const { entry } = useSnapshot();
  const isOwn = entry?.demo !== true && shown.season.crops.length > 0;
  const { data } = useGuesses(shown, false, isOwn);
  const { pathname } = useLocation();
  const guesses = data?.guesses.length ?? 0;
  if (!isOwn || guesses === 0 || pathname.endsWith('/guesses')) return null;
  return (
    <p className={s.guessCount} data-part="guess-count">
      {upper(count(guesses))} {plural(guesses, 'number is a guess', 'numbers are guesses')}:{' '}
      <Link className="plain" to={`/seasons/${shown.id}/guesses`}>
        check {plural(guesses, 'it', 'them')}
      </Link>
    </p>
  );
}
