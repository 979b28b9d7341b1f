import { Link } from 'react-router';
import { words } from '../../api/client';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useGuesses } from '../../season/useGuesses';
import { PlanningPage } from '../../page/Page';
import { count, plural, upper } from '../../words/sowing';
import { GuessLine } from './GuessLine';
import s from './guesses.module.css';

/** All numbers that are still the catalogue's, first what moves the answer most. */
export function GuessesScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <All shown={shown} />}</PlanningPage>;
}

function All({ shown }: { shown: OnScreen }) {
  const { id } = useStore();
  const { data, error } = useGuesses(shown, true);
  if (!data)
    return (
      <>
        <h1>Numbers to check</h1>
        {error ? (
          <p role="alert">{words(error)}</p>
        ) : (
          <p className="quiet" aria-busy="true">
            Looking for guesses…
          </p>
        )}
      </>
    );
  const { guesses } = data;
  if (guesses.length === 0)
    return (
      <>
        <h1>Every number is yours</h1>
        <p>
          Nothing in this plan is a guess any more. <Link to={`/seasons/${id}/compare`}>See what your plants cost</Link>
        </p>
      </>
    );
  return (
    <>
      <h1>
        {upper(count(guesses.length))} {plural(guesses.length, 'number is a guess', 'numbers are guesses')}
      </h1>
      <p>Type what you pay or know. Press “That is right” where the guess fits. The first ones matter most.</p>
      <ol className={s.guesses} data-part="guesses">
        {guesses.map((guess) => (
          <GuessLine key={guess.path.join('.')} guess={guess} shown={shown} />
        ))}
      </ol>
    </>
  );
}
