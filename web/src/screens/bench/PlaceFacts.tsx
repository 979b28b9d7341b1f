import type { ReactNode } from 'react';
import type { Place, Season } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditText } from '../../edit/EditText';
import { SaidChoice } from '../../edit/Said';
import { parseNumber, showNumber } from '../../edit/numbers';
import { boundsOf } from '../../edit/bounds';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { fromUnit, inUnit, type Unit } from '../../words/units';
import s from './bench.module.css';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
/** Rooms as people name them, °C; common practice, no source. */
const USUAL: readonly (readonly [string, number | number[]])[] = [
  ['warm room', 21],
  ['cool room', 16],
  ['unheated garage', [4, 5, 8, 12, 16, 20, 24, 24, 19, 13, 8, 5]],
  ['sunny sill', [16, 16.5, 17.5, 18.5, 20, 22, 24, 24, 22, 19.5, 17.5, 16.5]],
];

/** Daylight that reaches the plants, mol/m² a day; from memory, after outdoor light at about 42° of latitude; common practice, no source. */
const DAYLIGHT: readonly (readonly [string, number | number[]])[] = [
  ['shade', 1],
  ['window', 3],
  ['bright window', [3, 4, 6, 8, 9, 10, 10, 9, 7, 5, 3, 2]],
  ['greenhouse', [7, 10, 14, 19, 22, 24, 24, 21, 17, 12, 7, 6]],
];

/** A place: how warm, how light, how much room. */
export function PlaceFacts({ season, row }: { season: Season; row: Place }) {
  const store = useStore();
  const us = season.units === 'us';
  const unit = us ? '°F' : '°C';
  const south = Number(season.last_frost.slice(5, 7)) >= 7;
  const save = (key: keyof Place, label: string) => (to: unknown) =>
    store.change([{ path: ['places', row.id, key], to }], `${label}, ${row.name}`);
  const usual = (to: number | number[]) => (Array.isArray(to) && south ? [...to.slice(6), ...to.slice(0, 6)] : to);
  const { guess, ...settled } = (row.meta ?? {}) as { guess?: string };
  const guessed = guess === 'temp_c';
  // A temperature of one's own is no guess of ours any more.
  const known = guessed ? [{ path: ['places', row.id, 'meta'], to: settled }] : [];
  const set = (key: keyof Place, label: string, to: unknown) =>
    store.apply([{ path: ['places', row.id, key], to }, ...(key === 'temp_c' ? known : [])], `${label}, ${row.name}`);
  const used = season.methods.some((method) => method.stages.some((stage) => stage.place === row.id));
  return (
    <details className={s.fine} data-part="place-facts">
      <summary>Warmth, light and room</summary>
      <div className={s.facts}>
        <div>
          <EditText<string>
            label="Name"
            name="place_name"
            value={row.name}
            show={String}
            parse={parseText}
            save={save('name', 'name')}
          />
          <Monthly
            label="Air"
            unit={unit}
            value={row.temp_c}
            field="places.temp_c"
            save={(to) => store.change([{ path: ['places', row.id, 'temp_c'], to }, ...known], `temperature, ${row.name}`)}
            out={(c) => inUnit(c, unit)}
            back={(v) => fromUnit(v, unit)}
          />
          {guessed && row.temp_c !== null && (
            <p className="quiet" data-part="guess">
              {row.outdoors ? 'A guess from your frost dates.' : 'A guess.'} Change it if you know better.
            </p>
          )}
          <Usual of={USUAL} choose={(to, name) => set('temp_c', name, usual(to))}>
            {row.outdoors && (
              <>
                {' · '}
                <button type="button" className="plain" onClick={() => set('temp_c', 'temperature', null)}>
                  not known
                </button>
              </>
            )}
          </Usual>
        </div>
        <div>
          {!row.outdoors && (
            <EditInUnit
              label="Room"
              name="place_flats"
              field="places.flats"
              after="trays"
              maybe
              value={row.flats}
              save={save('flats', 'room')}
            />
          )}
          <label className="tick">
            <input
              type="checkbox"
              name="outdoors"
              checked={row.outdoors}
              onChange={(event) =>
                store.apply(
                  event.target.checked
                    ? [
                        { path: ['places', row.id, 'flats'], to: null },
                        { path: ['places', row.id, 'outdoors'], to: true },
                      ]
                    : [
                        ...(row.temp_c === null ? [{ path: ['places', row.id, 'temp_c'], to: 15 }] : []),
                        { path: ['places', row.id, 'outdoors'], to: false },
                      ],
                  `outdoors, ${row.name}`,
                )
              }
            />{' '}
            outdoors
          </label>
          {!row.outdoors && (
            <label className="tick">
              <input
                type="checkbox"
                name="heated"
                checked={row.heated}
                onChange={(event) => set('heated', 'heated', event.target.checked)}
              />{' '}
              a heated room
            </label>
          )}
          <Monthly
            label="Daylight"
            unit="mol/m² a day"
            value={row.daylight}
            field="places.daylight"
            save={(to) => save('daylight', 'daylight')(to)}
            out={(v) => v}
            back={(v) => v}
            maybe
          />
          <Usual of={DAYLIGHT} choose={(to, name) => set('daylight', name, usual(to))} />
          {!used && season.places.length > 1 && (
            <button
              type="button"
              className="plain"
              onClick={() => store.apply([{ path: ['places', row.id], to: null }], `${row.name} taken out`)}
            >
              Delete this place
            </button>
          )}
        </div>
      </div>
    </details>
  );
}

interface UsualProps {
  of: readonly (readonly [string, number | number[]])[];
  choose: (to: number | number[], name: string) => void;
  children?: ReactNode;
}

/** What people say instead of numbers; a press puts the number behind it into the field. */
function Usual({ of, choose, children }: UsualProps) {
  return (
    <p>
      {of.map(([name, to], index) => (
        <span key={name}>
          {index > 0 && ' · '}
          <button type="button" className="plain" onClick={() => choose(to, name)}>
            {name}
          </button>
        </span>
      ))}
      {children}
    </p>
  );
}

interface MonthlyProps {
  label: string;
  unit: string;
  field: 'places.temp_c' | 'places.daylight';
  value: number | number[] | null;
  save: (value: number | number[] | null) => Promise<unknown>;
  out: (core: number) => number;
  back: (shown: number) => number;
  maybe?: boolean;
}

/** One number for the year, or twelve by month: typed as they are read off, with commas between. */
function Monthly({ label, unit, field, value, save, out, back, maybe = false }: MonthlyProps) {
  const bounds = boundsOf(field);
  const degrees: Unit | undefined = unit === '°F' || unit === '°C' ? unit : undefined;
  const shownBounds = { ...bounds, least: out(bounds.least), most: out(bounds.most), unit: degrees };
  const tidy = (core: number) => showNumber(Number(out(core).toFixed(1)));
  const show = (now: number | number[] | null) => (now === null ? '' : Array.isArray(now) ? now.map(tidy).join(', ') : tidy(now));
  const monthly = Array.isArray(value);
  return (
    <>
      <EditText<number | number[] | null>
        label={`${label}, ${unit}`}
        name={field}
        value={value}
        show={show}
        parse={(typed) => {
          if (typed.trim() === '' && (maybe || value === null)) return { ok: true, value: null };
          const cells = typed.split(/[,;]\s+|;|\s{2,}|\t/).filter((cell) => cell.trim() !== '');
          if (cells.length !== 1 && cells.length !== 12)
            return { ok: false, why: 'Type one number, or twelve from January on with commas between.' };
          const numbers: number[] = [];
          for (const cell of cells) {
            const parsed = parseNumber(cell, shownBounds);
            if (!parsed.ok) return parsed;
            numbers.push(back(parsed.value));
          }
          return { ok: true, value: numbers.length === 12 ? numbers : (numbers[0] ?? null) };
        }}
        save={save}
      />
      {value !== null && (
        <SaidChoice
          label={`${label}: one number or by month`}
          name={`${field}.kind`}
          value={monthly ? 'months' : 'one'}
          options={[
            ['one', 'the same all year'],
            ['months', `by month, ${MONTHS[0]} to ${MONTHS[11]}`],
          ]}
          choose={(to) =>
            void save(to === 'months' ? Array.from({ length: 12 }, () => value as number) : ((value as number[])[3] ?? null))
          }
        />
      )}
    </>
  );
}
