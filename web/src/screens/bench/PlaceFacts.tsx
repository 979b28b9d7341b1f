import type { Place, Season } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditText } from '../../edit/EditText';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { fromUnit, inUnit } from '../../words/units';
import { Monthly } from './Monthly';
import { Usual } from './Usual';
import s from './bench.module.css';

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
            set={(to) => set('temp_c', 'temperature', to)}
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
        <RoomAndLight season={season} row={row} save={save} usual={usual} />
      </div>
    </details>
  );
}

interface RoomProps {
  season: Season;
  row: Place;
  save: (key: keyof Place, label: string) => (to: unknown) => Promise<void>;
  usual: (to: number | number[]) => number | number[];
}

function RoomAndLight({ season, row, save, usual }: RoomProps) {
  const store = useStore();
  const set = (key: keyof Place, label: string, to: unknown) =>
    store.apply([{ path: ['places', row.id, key], to }], `${label}, ${row.name}`);
  const used = season.methods.some((method) => method.stages.some((stage) => stage.place === row.id));
  return (
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
      <Outdoors row={row} />
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
        save={save('daylight', 'daylight')}
        set={(to) => set('daylight', 'daylight', to)}
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
  );
}

function Outdoors({ row }: { row: Place }) {
  const store = useStore();
  return (
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
  );
}
