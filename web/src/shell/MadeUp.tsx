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

/** On a first visit: that the season is made up, what there is to look at, and the way to one's own. */
export function MadeUp() {
  const { entry } = useSnapshot();
  const [first, setFirst] = useState(() => !seen());
  if (entry?.demo !== true || !first) return null;
  const done = () => {
    try {
      localStorage.setItem(SEEN, 'yes');
    } catch {
      // Without a store it is said again next time.
    }
    setFirst(false);
  };
  return (
    <aside className={s.madeUp} aria-label="An example season" data-part="made-up">
      <p>
        <b>This season is made up.</b> Look around in it and change what you like: everything can be undone. On Compare, each
        stack shows what one plant costs. Press any dotted figure to change it or see how it is worked out.{' '}
        <Link to="/begin">Begin your own season</Link>{' '}
        <button type="button" className="plain" data-action="seen" onClick={done}>
          Close
        </button>
      </p>
    </aside>
  );
}
