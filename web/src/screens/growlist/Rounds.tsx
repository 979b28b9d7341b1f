import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { useStore } from '../../season/SeasonContext';
import { count, plural } from '../../words/sowing';
import s from './growlist.module.css';

/** "Again every 2 weeks, 3 times." */
export function Rounds({ crop, setup }: { crop: string; setup: string }) {
  const store = useStore();
  const [weeks, setWeeks] = useState('2');
  const [times, setTimes] = useState('3');
  const [why, setWhy] = useState<string | null>(null);
  const [added, setAdded] = useState(0);
  const send = () => {
    const [every, many] = [Math.round(Number(weeks.replace(',', '.')) * 7), Math.round(Number(times))];
    if (!(every >= 1 && every <= 180 && many >= 1 && many <= 26)) return setWhy('Type 1 to 25 weeks and 1 to 26 times.');
    setWhy(null);
    store
      .run('rounds', () =>
        answered(
          client.POST('/api/seasons/{season}/crops/{crop}/rounds', {
            params: { path: { season: store.id, crop } },
            body: { every_days: every, times: many, setup },
          }),
        ),
      )
      .then(() => setAdded(many))
      .catch((error: unknown) => setWhy(words(error)));
  };
  // A second press would add the same rounds again, so a number has to change first.
  const change = (set: (typed: string) => void) => (event: { target: { value: string } }) => {
    setAdded(0);
    set(event.target.value);
  };
  return (
    <form
      className={s.rounds}
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      Again every <input aria-label="Weeks between rounds" inputMode="decimal" value={weeks} onChange={change(setWeeks)} /> weeks,{' '}
      <input aria-label="How many times" inputMode="numeric" value={times} onChange={change(setTimes)} /> times{' '}
      <button type="submit" className="plain" disabled={added > 0}>
        Add the rounds
      </button>
      {added > 0 && (
        <span role="status">
          {' '}
          {count(added)} {plural(added, 'round')} added.
        </span>
      )}
      {why !== null && (
        <p className="edit-why" role="alert">
          {why}
        </p>
      )}
    </form>
  );
}
