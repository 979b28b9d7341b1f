import type { ShedChange, ShedItem } from '../../api/types';
import { parseNumber } from '../../edit/numbers';
import { Said } from '../../edit/Said';
import { parseTest, type HomeTest } from '../growlist/parse';
import { today } from '../../words/dates';
import { plural } from '../../words/sowing';

interface Props {
  item: ShedItem;
  save: (change: ShedChange) => Promise<unknown>;
}

/** One thing: how much is left, where it lies, how long it served, and for seed its tests. */
export function ShedLine({ item, save }: Props) {
  const test = item.tests.at(-1);
  const unit = item.unit === 'each' ? '' : ` ${item.unit}`;
  return (
    <li data-shed={item.id}>
      <b>{item.name}</b>
      {item.packed_for !== null && <span>packed for {item.packed_for}</span>}
      <span>
        <Said<number>
          label={`Left of ${item.name}`}
          name={`shed-${item.id}.amount`}
          value={item.amount}
          show={(value) => String(Number(value.toFixed(2)))}
          parse={(typed) => parseNumber(typed, { least: 0, most: 1_000_000_000 })}
          inputMode="decimal"
          save={(amount) => save({ amount })}
        />
        {unit} left
      </span>
      <span>
        in{' '}
        <Said<string>
          label={`Where ${item.name} lies`}
          name={`shed-${item.id}.place`}
          value={item.place}
          show={(value) => (value === '' ? 'no place' : value)}
          parse={(typed) => ({ ok: true, value: typed.trim() === 'no place' ? '' : typed.trim().slice(0, 100) })}
          save={(place) => save({ place })}
        />
      </span>
      {item.served > 0 && (
        <span>
          served {item.served} {plural(item.served, 'season')}
        </span>
      )}
      {item.kind === 'seed' && (
        <span>
          tested:{' '}
          <Said<HomeTest | null>
            label={`A test of ${item.name}`}
            name={`shed-${item.id}.test`}
            value={test ? { sown: test.sown, sprouted: test.sprouted } : null}
            show={(value) => (value === null ? 'not yet' : `of ${value.sown}, ${value.sprouted} came up`)}
            parse={(typed) => (typed.trim() === 'not yet' ? { ok: true, value: null } : parseTest(typed))}
            save={(value) => (value === null ? Promise.resolve() : save({ test: { ...value, on: today() } }))}
          />
          {test && <small> {test.on}</small>}
        </span>
      )}
      <button
        type="button"
        className="plain"
        aria-label={`Thrown out: ${item.name}`}
        data-action="throw-out"
        onClick={() => void save({ gone: item.kind === 'seed' ? 'too old' : 'worn out' })}
      >
        Thrown out
      </button>
    </li>
  );
}
