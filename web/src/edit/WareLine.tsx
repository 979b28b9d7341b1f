import type { ReactNode } from 'react';
import type { FieldName } from '../api/fields.generated';
import type { Season } from '../api/types';
import { useStore } from '../season/SeasonContext';
import { useIsGuess } from '../season/useIsGuess';
import { moneySign } from '../words/money';
import { Said, SaidNumber } from './Said';
import { parseText } from './text';
import s from './edit.module.css';

interface Props {
  season: Season;
  list: 'gear' | 'trayware';
  row: Season['gear'][number] | Season['trayware'][number];
  /** What else there is to say of it. */
  children: ReactNode;
}

/** Something durable without wattage: its name, price and life as a sentence. */
export function WareLine({ season, list, row, children }: Props) {
  const store = useStore();
  const isGuess = useIsGuess();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: [list, row.id, key], to }], `${label}, ${row.name}`);
  const number = (key: 'price' | 'life_seasons', label: string) => (
    <SaidNumber
      label={`${label} ${row.name}`}
      name={`${row.id}.${key}`}
      field={`${list}.${key}` as FieldName}
      value={row[key]}
      guess={isGuess(list, row.id, key)}
      save={save(key, label)}
    />
  );
  return (
    <li className={s.ware} data-ware={row.id}>
      <Said<string>
        label={`Name of ${row.name}`}
        name={`${row.id}.name`}
        value={row.name}
        show={String}
        parse={parseText}
        save={save('name', 'name')}
      />
      <span>
        {moneySign(season.currency)}
        {number('price', 'Price of')}, lasts {number('life_seasons', 'Seasons of')} seasons
      </span>
      {children}
      <button
        type="button"
        className="plain"
        data-action={`remove-${row.id}`}
        aria-label={`Take it out: ${row.name}`}
        onClick={() => store.apply([{ path: [list, row.id], to: null }], `${row.name} taken out`)}
      >
        Take it out
      </button>
    </li>
  );
}
