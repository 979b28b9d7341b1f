import { useState } from 'react';
import { Link } from 'react-router';
import { useSnapshot } from '../season/SeasonContext';
import s from './shell.module.css';

const SEEN = 'jolly-penny/seen';

const seen = (): boolean => {
  try {
    return localStorage.getItem(SEEN) !== null;
  } catch {
    return true;
  }
};

/** Says that the season is made up, with the way to one's own; on a first visit, what there is to look at. */
export function MadeUp() {
  const { entry } = useSnapshot();
  const [first, setFirst] = useState(() => !seen());
  if (entry?.demo !== true) return null;
  const done = () => {
    try {
      localStorage.setItem(SEEN, 'yes');
    } catch {
      // Without a store it is said again next time.
    }
    setFirst(false);
  };
  return (
    <aside className={s.madeUp} aria-label="A made-up season" data-part="made-up">
      <p>
        <b>This season is made up</b>, to look around in and to change as you like. <Link to="/seasons">Begin your own</Link>
      </p>
      {first && (
        <p data-part="first-visit">
          Each stack is one plant in the bed, coin by coin, beside the nursery’s price. Whatever is underlined with dots opens or
          changes where it stands, and the strip below says what that did. Nothing needs saving, and everything can be undone.{' '}
          <button type="button" className="plain" onClick={done}>
            I see
          </button>
        </p>
      )}
    </aside>
  );
}
