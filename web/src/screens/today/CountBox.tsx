import { useState } from 'react';
import s from './today.module.css';

interface Props {
  name: string;
  value: number;
  most: number;
  /** Counted at a look: all, half, none yet. */
  looks: boolean;
  /** "up", "planted out": what is said of so many. */
  verb: string;
  save: (count: number) => void;
}

/** A number by plus and minus, with a wet thumb. */
export function CountBox({ name, value, most, looks, verb, save }: Props) {
  // What is known can be renewed while the box stands open: it follows until somebody has given a number.
  const [given, setGiven] = useState<number | null>(null);
  const count = given ?? value;
  const [why, setWhy] = useState<string | null>(null);
  const set = (n: number) => {
    setWhy(null);
    setGiven(Math.max(0, n));
  };
  // Never cut: who typed 40 meant 40, and is told what there is.
  const check = () => (count > most ? setWhy(`There are ${most}: give at most that, or count again.`) : save(count));
  return (
    <div className={s.count} role="group" aria-label={`How many: ${name}`}>
      <button type="button" aria-label="One fewer" data-action="fewer" onClick={() => set(count - 1)}>
        −
      </button>
      <input
        aria-label={`How many ${verb}`}
        name="count"
        inputMode="numeric"
        value={count}
        onFocus={(event) => event.target.select()}
        onChange={(event) => set(Number(event.target.value.replace(/\D/g, '').slice(0, 6)) || 0)}
      />
      <button type="button" aria-label="One more" data-action="more" onClick={() => set(count + 1)}>
        +
      </button>
      {looks && (
        <>
          <button type="button" data-action="all" onClick={() => save(most)}>
            all
          </button>
          <button type="button" data-action="half" onClick={() => save(Math.round(most / 2))}>
            half
          </button>
          <button type="button" data-action="none" onClick={() => save(0)}>
            none yet
          </button>
        </>
      )}
      <button type="button" className={s.big} data-action="count" onClick={check}>
        {count} {verb}
      </button>
      {why !== null && (
        <p role="alert" className="trouble" data-part="count-why">
          {why}
        </p>
      )}
    </div>
  );
}
