import type { BenchPlace, Season, ThingUse } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditNumber } from '../../edit/EditNumber';
import { Said, SaidNumber } from '../../edit/Said';
import { parseText } from '../../edit/text';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { money, moneySign } from '../../words/money';
import s from './bench.module.css';

const LISTS = ['lights', 'mats', 'appliances'] as const;
type List = (typeof LISTS)[number];

const ADD = [
  ['lights', 'Lamps', 'A lamp of my own'],
  ['mats', 'Mats and chambers', 'A mat of my own'],
  ['appliances', 'Fans and the like', 'A fan of my own'],
] as const;

interface Props {
  shown: OnScreen;
  place: BenchPlace;
}

/** What lights, warms and moves the air at one place: every number where it stands, and what it comes to over the season. */
export function Things({ shown: { season, setup }, place }: Props) {
  const rows = LISTS.flatMap((list) =>
    season[list]
      .filter((row) => row.place === place.id)
      .map((row) => ({ list, row, use: place.things.find((one) => one.kind === list && one.id === row.id) })),
  );
  const idle = rows.filter(({ use }) => use !== undefined && use.days === 0);
  return (
    <section aria-labelledby={`things-${place.id}`}>
      <h2 id={`things-${place.id}`}>
        On this place <small className={s.unitHead}>season</small>
      </h2>
      <ul className={s.things} data-part="things">
        {rows.map(({ list, row, use }) => (
          <Thing key={list + row.id} season={season} setup={setup} list={list} id={row.id} use={use} />
        ))}
      </ul>
      {rows.length === 0 && <p className="quiet">No lamp, mat or fan here yet.</p>}
      {idle.length > 0 && <p className="trouble">△ Never on: {idle.map(({ row }) => row.name).join(', ')}.</p>}
      <AddThing lists={ADD} label="Add a lamp, a mat…" place={place.id} many />
      <Load season={season} place={place} />
    </section>
  );
}

interface ThingProps {
  season: Season;
  setup: OnScreen['setup'];
  list: List;
  id: string;
  use: ThingUse | undefined;
}

function Thing({ season, setup, list, id, use }: ThingProps) {
  const store = useStore();
  const us = season.units === 'us';
  const row = season[list].find((one) => one.id === id);
  if (!row) return null;
  const named = setup[list].includes(id);
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: [list, id, key], to }], `${label}, ${row.name}`);
  const apply = (key: string, label: string, to: unknown) =>
    store.apply([{ path: [list, id, key], to }], `${label}, ${row.name}`);
  const light = list === 'lights' ? season.lights.find((one) => one.id === id) : undefined;
  const mat = list === 'mats' ? season.mats.find((one) => one.id === id) : undefined;
  const fan = list === 'appliances' ? season.appliances.find((one) => one.id === id) : undefined;
  const hours = light?.hours_per_day ?? fan?.hours_per_day;
  const name = (key: string) => `${id}.${key}`;
  const cost = use ? use.power + use.share : null;
  const degrees = us ? 1.8 : 1;
  return (
    <li data-thing={id}>
      <div>
        <b>
          <Said<string>
            label={`Name of ${row.name}`}
            name={name('name')}
            value={row.name}
            show={String}
            parse={parseText}
            save={save('name', 'name')}
          />
        </b>
        <p>
          <SaidNumber
            label={`Watts of ${row.name}`}
            name={name('watts')}
            field={`${list}.watts`}
            value={row.watts}
            save={save('watts', 'watts')}
          />{' '}
          W
          {light && (
            <>
              {' '}
              over{' '}
              <SaidNumber
                label={`Trays it lights: ${row.name}`}
                name={name('flats')}
                field="lights.flats"
                value={light.flats}
                save={save('flats', 'flats')}
              />{' '}
              trays
            </>
          )}
          {mat && (
            <>
              {' '}
              under{' '}
              <SaidNumber
                label={`Trays it heats: ${row.name}`}
                name={name('flats')}
                field="mats.flats"
                value={mat.flats}
                save={save('flats', 'flats')}
              />{' '}
              trays, warms by{' '}
              <Said<number>
                label={`Degrees it warms the soil: ${row.name}`}
                name={name('lift_c')}
                value={Number((mat.lift_c * degrees).toFixed(1))}
                show={String}
                inputMode="decimal"
                parse={(typed) => {
                  const value = Number(typed.replace(',', '.').replace('−', '-'));
                  return Number.isFinite(value) && value !== 0
                    ? { ok: true, value }
                    : { ok: false, why: 'Type by how many degrees; below 0 for a chamber that cools.' };
                }}
                save={(to) => save('lift_c', 'lift')(to / degrees)}
              />{' '}
              {us ? '°F' : '°C'}
            </>
          )}
          {hours !== undefined && (
            <>
              ,{' '}
              <SaidNumber
                label={`Hours a day: ${row.name}`}
                name={name('hours_per_day')}
                field={list === 'lights' ? 'lights.hours_per_day' : 'appliances.hours_per_day'}
                value={hours}
                save={save('hours_per_day', 'hours')}
              />{' '}
              h{light ? ' from ' : ''}
            </>
          )}
          {light && (
            <Said<string>
              label={`On from: ${row.name}`}
              name={name('on_at')}
              value={light.on_at}
              show={String}
              parse={(typed) =>
                /^([01]?\d|2[0-3]):[0-5]\d$/.test(typed.trim())
                  ? { ok: true, value: typed.trim().padStart(5, '0') }
                  : { ok: false, why: 'Type a time from 00:00 to 23:59.' }
              }
              save={save('on_at', 'starts')}
            />
          )}
          {use?.dose != null && (
            <>
              ; dose {use.dose.toFixed(1)},{' '}
              {use.dose >= 10
                ? 'enough'
                : `too little: ${use.hours_to_dose !== null && use.hours_to_dose <= 24 ? `${use.hours_to_dose.toFixed(0)} h would do` : 'another lamp'}`}
            </>
          )}
          {use && use.days > 0 ? `; on ${use.days} days` : ''}
        </p>
        {use?.instead && (
          <p className="verdict-grow" data-instead={id}>
            {use.instead.name} for {money(use.instead.price, season.currency)} gives the same light, and is cheaper than going on
            with this one from season {use.instead.cheaper_from} on.
          </p>
        )}
        <label className="tick">
          <input
            type="checkbox"
            name={name('named')}
            checked={named}
            onChange={(event) =>
              store.apply(
                [
                  {
                    path: ['setups', setup.id, list],
                    to: event.target.checked ? [...setup[list], id] : setup[list].filter((one) => one !== id),
                  },
                ],
                `${row.name}, ${setup.name}`,
              )
            }
          />{' '}
          used in this set-up
          <span className="hidden">: {row.name}</span>
        </label>
        <label className="tick">
          <input
            type="checkbox"
            name={name('owned')}
            checked={row.owned}
            onChange={(event) => apply('owned', 'owned', event.target.checked)}
          />{' '}
          already mine
          <span className="hidden">: {row.name}</span>
        </label>
        <details className={s.fine}>
          <summary>
            Price, lifetime and label<span className="hidden"> of {row.name}</span>
          </summary>
          <EditNumber
            label="Price"
            name={name('price')}
            before={moneySign(season.currency)}
            field={`${list}.price`}
            value={row.price}
            save={save('price', 'price')}
          />
          <EditNumber
            label="It lasts"
            name={name('life_seasons')}
            after="seasons"
            field={`${list}.life_seasons`}
            value={row.life_seasons}
            save={save('life_seasons', 'life')}
          />
          <MeterReading save={save('watts', 'watts')} name={id} />
          {light && (
            <>
              <EditInUnit
                label="Lumens on the box"
                name={name('lumens')}
                field="lights.lumens"
                after="lm"
                places={0}
                maybe
                value={light.lumens}
                save={save('lumens', 'lumens')}
              />
              <EditInUnit
                label="Colour of its light"
                name={name('kelvin')}
                field="lights.kelvin"
                after="K"
                places={0}
                maybe
                value={light.kelvin}
                save={save('kelvin', 'colour')}
              />
              <EditInUnit
                label="Light, if it says so"
                name={name('ppf')}
                field="lights.ppf_umol_s"
                after="µmol/s"
                places={1}
                maybe
                value={light.ppf_umol_s}
                save={save('ppf_umol_s', 'light')}
              />
              <p className="quiet">
                {use?.ppfd == null
                  ? 'Its light is not known: give lumens, or µmol/s.'
                  : `${use.ppfd.toFixed(0)} µmol/m²/s on the trays`}
                {use?.estimated ? ', estimated from lumens (74 lumens to a µmol for cool white, Thimijan and Heins 1983)' : ''}.
              </p>
              <EditInUnit
                label="Warms the soil by"
                name={name('lift')}
                field="lights.lift_c"
                after={us ? '°F' : '°C'}
                value={light.lift_c * degrees}
                save={(to) => save('lift_c', 'warmth')((to ?? 0) / degrees)}
              />
            </>
          )}
          {mat && (
            <EditInUnit
              label="Thermostat at"
              name={name('thermostat_c')}
              field="mats.thermostat_c"
              unit={us ? '°F' : '°C'}
              places={1}
              maybe
              value={mat.thermostat_c}
              save={save('thermostat_c', 'thermostat')}
            />
          )}
          <button
            type="button"
            className="plain"
            data-action={`remove-${id}`}
            onClick={() => store.apply([{ path: [list, id], to: null }], `${row.name} taken out`)}
          >
            Delete
          </button>
        </details>
      </div>
      <div className={s.thingCost}>
        <span className="mono copper">{money(cost, season.currency)}</span>
        {use && use.share > 0 && (
          <small>
            {money(row.price, season.currency)} over {row.life_seasons} seasons
          </small>
        )}
        {use && use.kwh >= 0.05 && <small>{use.kwh.toFixed(1)} kWh</small>}
      </div>
    </li>
  );
}

/** Watts from the label's volts and amps, or from a plug meter's kWh over hours. */
function MeterReading({ save, name }: { save: (watts: number) => Promise<unknown>; name: string }) {
  const read = (typed: string) => {
    const numbers =
      typed
        .replaceAll(',', '.')
        .match(/\d+(\.\d+)?/g)
        ?.map(Number) ?? [];
    const [a, b] = numbers;
    if (a === undefined || b === undefined || b === 0) return null;
    if (/kwh/i.test(typed)) return (a * 1000) / b;
    if (/v/i.test(typed) && /a/i.test(typed)) return a * b;
    return null;
  };
  return (
    <p className={s.reading}>
      or{' '}
      <Said<string>
        label="Watts from volts and amps, or from a meter"
        name={`${name}.reading`}
        value="120 V, 0.35 A"
        show={String}
        parse={(typed) => {
          const watts = read(typed);
          return watts === null
            ? { ok: false, why: 'Type “120 V, 0.35 A”, or “1.4 kWh in 48 hours”.' }
            : { ok: true, value: String(Number(watts.toFixed(1))) };
        }}
        save={(watts) => save(Number(watts))}
      />{' '}
      from the label, or “1.4 kWh in 48 hours” from a meter
    </p>
  );
}

/** All of it on together, against what the outlet may carry. */
function Load({ season, place }: { season: Season; place: BenchPlace }) {
  const store = useStore();
  const row = season.places.find(({ id }) => id === place.id);
  const { load } = place;
  const outlet = row?.outlet ?? null;
  const put = (to: unknown) => store.apply([{ path: ['places', place.id, 'outlet'], to }], 'outlet');
  const save = (key: 'volts' | 'amps') => (to: unknown) =>
    store.change([{ path: ['places', place.id, 'outlet', key], to }], 'outlet');
  const us = season.units === 'us';
  return (
    <p className={load.over ? 'trouble' : undefined} data-part="load">
      Everything switched on {load.watts.toFixed(0)} W
      {load.amps !== null && load.most !== null && outlet && (
        <>
          , {load.amps.toFixed(1)} A on{' '}
          <SaidNumber
            label="Volts of the outlet"
            name="volts"
            field="places.outlet.volts"
            value={outlet.volts}
            save={save('volts')}
          />{' '}
          V,{' '}
          <SaidNumber label="Amps of its fuse" name="amps" field="places.outlet.amps" value={outlet.amps} save={save('amps')} />{' '}
          A: it may carry {load.most.toFixed(1)} A for hours
          {load.over ? '. ▲ That is too much for it.' : '.'}
        </>
      )}
      {outlet === null && (
        <>
          {'. '}
          <button
            type="button"
            className="plain"
            data-action="outlet"
            onClick={() => put(us ? { volts: 120, amps: 15 } : { volts: 230, amps: 16 })}
          >
            Is that too much for the outlet?
          </button>
        </>
      )}{' '}
      <b>{us ? 'GFCI' : 'RCD'}</b> at the outlet, drip loops, plugs above the water line, no chained leads. The local code and a
      licensed electrician have the last word, and the maker’s label.
    </p>
  );
}
