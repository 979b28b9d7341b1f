import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSnapshot } from '../season/SeasonContext';
import s from './page.module.css';

const SEEN = 'jolly-penny/seen';

const seen = (): boolean => {
  try {
    return localStorage.getItem(SEEN) !== null;
  } catch {
    return true;
  }
};

/** Said on one screen, it need not be said on the next. */
function remember(): void {
  try {
    localStorage.setItem(SEEN, 'yes');
  } catch {
    // Without a store it is said again next time.
  }
}

/** On a first visit: that the season is made up, what there is to look at, and the way to one's own. */
export function MadeUp() {
  const { entry } = useSnapshot();
  const [first, setFirst] = useState(() => !seen());
  const isShown = entry?.demo === true && first;
  useEffect(() => {
    if (isShown) remember();
  }, [isShown]);
  if (!isShown) return null;
  return (
    <aside className={s.madeUp} aria-label="An example season" data-part="made-up">
      <p>
        <b>This season is made up.</b> Look around in it and change what you like: everything can be undone. On Compare, each
        stack shows what one plant costs. Press any dotted figure to change it or see how it is worked out.{' '}
        <Link to="/begin">Begin your own season</Link>{' '}
        <button type="button" className="plain" data-action="seen" onClick={() => setFirst(false)}>
          Close
        </button>
      </p>
    </aside>
  );
}
