import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { Said, SaidNumber } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';
import { moneySign } from '../../words/money';
import { freeWindow } from './freeWindow';
import s from './bench.module.css';

const parseTime = (typed: string) =>
  /^([01]?\d|2[0-3]):[0-5]\d$/.test(typed.trim())
    ? { ok: true as const, value: typed.trim().padStart(5, '0') }
    : { ok: false as const, why: 'Type a time from 00:00 to 23:59.' };

/** What a kWh costs, when, and what the lamps' warmth is worth. */
export function Tariff({ season }: { season: Season }) {
  const store = useStore();
  return (
    <details className={s.fine}>
      <summary>Price of electricity and heating</summary>
      <EditNumber
        label="Price of a kWh"
        name="bench_rate"
        before={moneySign(season.currency)}
        field="electricity.rate"
        value={season.electricity.rate}
        save={(to) => store.change([{ path: ['electricity', 'rate'], to }], 'price of a kWh')}
      />
      <Windows season={season} />
      <HeatCredit season={season} />
    </details>
  );
}

function Windows({ season }: { season: Season }) {
  const store = useStore();
  const { windows, rate } = season.electricity;
  const put = (to: typeof windows) => store.change([{ path: ['electricity', 'windows'], to }], 'tariff');
  const window = (index: number, key: 'from' | 'to' | 'rate', to: string | number) =>
    put(windows.map((one, at) => (at === index ? { ...one, [key]: to } : one)));
  return (
    <>
      <ul className={s.windows} data-part="windows">
        {windows.map((one, index) => (
          <li key={index}>
            from{' '}
            <Said<string>
              label="from"
              name={`window-${index}-from`}
              value={one.from}
              show={String}
              parse={parseTime}
              save={(to) => window(index, 'from', to)}
            />{' '}
            to{' '}
            <Said<string>
              label="to"
              name={`window-${index}-to`}
              value={one.to}
              show={String}
              parse={parseTime}
              save={(to) => window(index, 'to', to)}
            />
            : {moneySign(season.currency)}
            <SaidNumber
              label="price of a kWh then"
              name={`window-${index}-rate`}
              field="electricity.windows.rate"
              value={one.rate}
              places={4}
              save={(to) => window(index, 'rate', to)}
            />{' '}
            <button
              type="button"
              className="plain"
              onClick={() =>
                store.apply([{ path: ['electricity', 'windows'], to: windows.filter((_, at) => at !== index) }], 'tariff')
              }
            >
              not any more
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="plain"
        data-action="add-window"
        onClick={() =>
          store.apply([{ path: ['electricity', 'windows'], to: [...windows, freeWindow(windows, rate)] }], 'a cheaper time')
        }
      >
        + a time at another price
      </button>
    </>
  );
}

function HeatCredit({ season }: { season: Season }) {
  const store = useStore();
  const { heat_credit: credit, rate } = season.electricity;
  const setCredit = (to: unknown) => store.apply([{ path: ['electricity', 'heat_credit'], to }], 'heating');
  const saveCredit = (key: string) => (to: unknown) =>
    store.change([{ path: ['electricity', 'heat_credit', key], to }], 'heating');
  return (
    <>
      <p>
        In the heating season a lamp also warms the room, so you heat less.{' '}
        {credit === null ? (
          <button
            type="button"
            className="plain"
            data-action="heat-credit"
            onClick={() => setCredit({ fraction: 0.5, price_per_kwh: Number((rate / 2).toFixed(3)), until: season.last_frost })}
          >
            Count this saving
          </button>
        ) : (
          <button type="button" className="plain" onClick={() => setCredit(null)}>
            Do not count it
          </button>
        )}
      </p>
      {credit !== null && (
        <>
          <EditNumber
            label="A kWh of your heating costs"
            name="heating_price"
            before={moneySign(season.currency)}
            field="electricity.heat_credit.price_per_kwh"
            value={credit.price_per_kwh}
            save={saveCredit('price_per_kwh')}
          />
          <EditNumber
            label="Share of the warmth you can use"
            name="heating_share"
            after="%"
            field="electricity.heat_credit.fraction"
            share
            value={credit.fraction}
            save={saveCredit('fraction')}
          />
          <label className="pick">
            Heating goes on until
            <input
              type="date"
              name="heating_until"
              value={credit.until}
              onChange={(event) => event.target.value && setCredit({ ...credit, until: event.target.value })}
            />
          </label>
        </>
      )}
    </>
  );
}
