import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { answered, client, words } from '../../api/client';
import type { Device, Season } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { useOfRevision } from '../../season/useOfRevision';
import { shortDay } from '../../words/dates';
import { plural } from '../../words/sowing';
import { inUnit } from '../../words/units';
import s from './bench.module.css';

interface Props {
  season: Season;
  id: number;
  setup: string;
  revision: number;
}

type List = 'lights' | 'mats' | 'appliances' | 'places';
const KINDS = [
  ['meter', 'a plug meter'],
  ['soil', 'a thermometer in the soil'],
  ['air', 'a thermometer in the air'],
] as const;
const LISTS: Record<(typeof KINDS)[number][0], readonly List[]> = {
  meter: ['lights', 'mats', 'appliances'],
  soil: ['mats'],
  air: ['places'],
};
/** Days shown of each. */
const DAYS = 14;

/** Plug meters and thermometers: what they say day by day beside the plan, and what of it the plan can take over. */
export function DevicesPart({ season, id, setup, revision }: Props) {
  const { data, error } = useOfRevision(['devices', id, setup], revision, () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/devices', { params: { path: { season: id, setup } } })),
  );
  return (
    <section className={s.devices} aria-labelledby="devices-title" data-part="devices">
      <h2 id="devices-title">Meters and thermometers</h2>
      {error && !data && <p role="alert">{words(error)}</p>}
      {data?.devices.length === 0 && (
        <p className="quiet">None yet. A plug meter on a lamp or a probe in a tray can send its readings here.</p>
      )}
      {data?.devices.map((device) => (
        <DeviceLine key={device.id} season={season} id={id} device={device} />
      ))}
      <AddDevice season={season} id={id} />
    </section>
  );
}

/** A reading in the garden's units; a lift is a difference of temperatures. */
const show = (value: number, unit: string, lift: boolean, us: boolean): string =>
  unit === 'W'
    ? `${Math.round(value)} W`
    : us
      ? `${Number((lift ? value * 1.8 : inUnit(value, '°F')).toFixed(1))} °F`
      : `${Number(value.toFixed(1))} °C`;

/** Day by day: kWh as bars beside the plan's line, or the mean temperature. */
function Readings({ days, power, us }: { days: Device['report']['days']; power: boolean; us: boolean }) {
  const most = Math.max(...days.map(({ kwh, planned }) => Math.max(kwh, planned ?? 0)), 0.001);
  return (
    <div
      className={s.readings}
      role="img"
      aria-label={days
        .map(({ date, kwh, mean, planned }) =>
          power
            ? `${date}: ${kwh.toFixed(2)} kWh${planned === null ? '' : `, planned ${planned.toFixed(2)}`}`
            : `${date}: ${show(mean, '°C', false, us)}`,
        )
        .join('; ')}
    >
      {days.map(({ date, kwh, mean, hours, planned }) => (
        <span
          key={date}
          title={`${shortDay(date, us)}: ${power ? `${kwh.toFixed(2)} kWh` : show(mean, '°C', false, us)}, ${Math.round(hours)} h measured`}
        >
          {power ? (
            <>
              <i style={{ height: `${(44 * kwh) / most}px` }} />
              {planned !== null && <u style={{ bottom: `${(44 * planned) / most + 18}px` }} />}
              <small>{Number(date.slice(8))}</small>
            </>
          ) : (
            <>
              <b className="mono">{Math.round(us ? inUnit(mean, '°F') : mean)}°</b>
              <small>{Number(date.slice(8))}</small>
            </>
          )}
        </span>
      ))}
    </div>
  );
}

function DeviceLine({ season, id, device }: { season: Season; id: number; device: Device }) {
  const store = useStore();
  const queries = useQueryClient();
  const [why, setWhy] = useState<string | null>(null);
  const us = season.units === 'us';
  const days = device.report.days.slice(-DAYS);
  const power = device.kind === 'meter';
  const remove = () =>
    answered(client.DELETE('/api/seasons/{season}/devices/{device}', { params: { path: { season: id, device: device.id } } }))
      .then(() => queries.invalidateQueries({ queryKey: ['devices', id] }))
      .catch((error: unknown) => setWhy(words(error)));
  return (
    <div className={s.device} data-device={device.id}>
      <p>
        <b>{device.name}</b>{' '}
        <span className="quiet">
          {device.heard_at === null ? 'no readings yet' : `heard last ${device.heard_at.slice(0, 10)}`}
          {device.refused > 0 ? `; ${device.refused} ${plural(device.refused, 'reading')} made no sense and were left out` : ''}
        </span>{' '}
        <button
          type="button"
          className="plain"
          aria-label={`take out ${device.name}, with its token and readings`}
          onClick={() => void remove()}
        >
          take out
        </button>
      </p>
      {device.report.offers.map((offer) => {
        const lift = offer.path[2] === 'lift_c';
        return (
          <p key={offer.path.join('.')} data-part="device-offer">
            {offer.name} really {offer.unit === 'W' ? 'draws' : lift ? 'lifts' : 'stands at'}{' '}
            <b>{show(offer.real, offer.unit, lift, us)}</b>, not {show(offer.now, offer.unit, lift, us)}.{' '}
            <button
              type="button"
              className="plain"
              data-action="take-reading"
              onClick={() => store.apply([{ path: offer.path, to: offer.real }], `as measured, ${offer.name}`)}
            >
              Use the measured value
            </button>
          </p>
        );
      })}
      {days.length > 0 && <Readings days={days} power={power} us={us} />}
      {power && days.length > 0 && <p className="quiet">Bars: kWh a day as measured; the line is the plan’s.</p>}
      {why !== null && <p role="alert">{why}</p>}
    </div>
  );
}

/** Makes a device known; its token is shown once, to be put into it. */
function AddDevice({ season, id }: { season: Season; id: number }) {
  const queries = useQueryClient();
  const [kind, setKind] = useState<(typeof KINDS)[number][0]>('meter');
  const things = LISTS[kind].flatMap((list) => season[list].map(({ id: thing, name }) => ({ list, thing, name })));
  const [at, setAt] = useState('');
  const [made, setMade] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const chosen = things.find(({ list, thing }) => `${list} ${thing}` === at) ?? things[0];
  const add = () => {
    if (!chosen) return setWhy('There is nothing on the bench to measure.');
    setWhy(null);
    const name = `${KINDS.find(([key]) => key === kind)?.[1].replace(/^a /, '') ?? ''}: ${chosen.name}`;
    answered(
      client.POST('/api/seasons/{season}/devices', {
        params: { path: { season: id } },
        body: { name: name.charAt(0).toUpperCase() + name.slice(1), kind, list: chosen.list, thing: chosen.thing },
      }),
    )
      .then(({ token }) => {
        setMade(token);
        return queries.invalidateQueries({ queryKey: ['devices', id] });
      })
      .catch((error: unknown) => setWhy(words(error)));
  };
  return (
    <details data-part="add-device">
      <summary>Add one</summary>
      <p className={s.deviceForm}>
        <select
          aria-label="Device"
          name="device-kind"
          value={kind}
          onChange={(event) => setKind(event.target.value as typeof kind)}
        >
          {KINDS.map(([key, label]) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>{' '}
        at{' '}
        <select aria-label="Measures" name="device-at" value={at} onChange={(event) => setAt(event.target.value)}>
          {things.map(({ list, thing, name }) => (
            <option key={`${list} ${thing}`} value={`${list} ${thing}`}>
              {name}
            </option>
          ))}
        </select>{' '}
        <button type="button" className="plain" data-action="add-device" onClick={add}>
          Add the device
        </button>
      </p>
      {made !== null && (
        <p role="status" data-part="token">
          Its token, shown only now: <code>{made}</code>. It posts to <code>/api/device/readings</code> with the header{' '}
          <code>Authorization: Bearer …</code>. Without a device at hand: <code>bin/jolly simulate-meter --token …</code>
        </p>
      )}
      {why !== null && <p role="alert">{why}</p>}
    </details>
  );
}
