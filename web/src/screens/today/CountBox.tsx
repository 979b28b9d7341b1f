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
  const [count, setCount] = useState(value);
  const within = (n: number) => Math.max(0, Math.min(most, n));
  return (
    <div className={s.count} role="group" aria-label={`How many: ${name}`}>
      <button type="button" aria-label="One fewer" data-action="fewer" onClick={() => setCount(within(count - 1))}>
        −
      </button>
      <input
        aria-label={`How many ${verb}`}
        name="count"
        inputMode="numeric"
        value={count}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setCount(within(Number(event.target.value.replace(/\D/g, '')) || 0))}
      />
      <button type="button" aria-label="One more" data-action="more" onClick={() => setCount(within(count + 1))}>
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
      <button type="button" className={s.big} data-action="count" onClick={() => save(count)}>
        {count} {verb}
      </button>
    </div>
  );
}
