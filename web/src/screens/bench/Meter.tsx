import { Button } from 'antd';
import type { Bench, BenchPlace, Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { Said, SaidNumber } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';
import { monthName } from '../../words/dates';
import { money, moneySign } from '../../words/money';
import s from './bench.module.css';

const SIZE = 190;
const MIDDLE = SIZE / 2;
const OUTER = 76;

const parseTime = (typed: string) =>
  /^([01]?\d|2[0-3]):[0-5]\d$/.test(typed.trim())
    ? { ok: true as const, value: typed.trim().padStart(5, '0') }
    : { ok: false as const, why: 'Type a time from 00:00 to 23:59.' };

/** A part of the day's ring, from one hour to another. */
function arc(radius: number, from: number, hours: number): string {
  const turn = (hour: number) => ((hour / 24) * 2 - 0.5) * Math.PI;
  const span = Math.min(hours, 23.999);
  const [a, b] = [turn(from), turn(from + span)];
  const point = (angle: number) => `${MIDDLE + radius * Math.cos(angle)},${MIDDLE + radius * Math.sin(angle)}`;
  return `M${point(a)} A${radius},${radius} 0 ${span > 12 ? 1 : 0} 1 ${point(b)}`;
}

const hourOf = (time: string): number => Number(time.slice(0, 2)) + Number(time.slice(3)) / 60;

interface Props {
  season: Season;
  bench: Bench;
  place: BenchPlace;
}

/** A day on the meter: the tariff outside, each lamp's hours as a ring, and what a better hour would save. */
export function Meter({ season, bench, place }: Props) {
  const store = useStore();
  const lamps = place.things
    .filter(({ kind }) => kind === 'lights')
    .map((use) => ({ use, row: season.lights.find(({ id }) => id === use.id) }));
  const rates = [...new Set(bench.tariff)].sort((a, b) => a - b);
  const least = rates[0] ?? 0;
  const best = lamps.filter(({ use }) => (use.best_hour?.saves ?? 0) > 0.005);
  const apply = (light: string, to: string, name: string) =>
    store.apply([{ path: ['lights', light, 'on_at'], to }], `starts at ${to}, ${name}`);
  return (
    <section aria-labelledby="meter-title">
      <h2 id="meter-title">A day on the meter</h2>
      <div className={s.meter}>
        <svg
          viewBox={`-12 -8 ${SIZE + 24} ${SIZE + 16}`}
          role="img"
          aria-label={`Tariff: ${rates.map((rate) => money(rate, season.currency, true)).join(', ')} a kWh.`}
        >
          {bench.tariff.map((rate, half) => (
            <path
              key={half}
              d={arc(OUTER, half / 2, 0.5)}
              className={rate > least + 1e-9 || rates.length === 1 ? s.dear : s.cheap}
            />
          ))}
          {lamps.map(({ row }, index) =>
            row ? (
              <path key={row.id} d={arc(OUTER - 15 - index * 10, hourOf(row.on_at), row.hours_per_day)} className={s.ring} />
            ) : null,
          )}
          {[0, 6, 12, 18].map((hour) => {
            const angle = ((hour / 24) * 2 - 0.5) * Math.PI;
            return (
              <text key={hour} x={MIDDLE + 90 * Math.cos(angle)} y={MIDDLE + 90 * Math.sin(angle) + 5} textAnchor="middle">
                {hour}
              </text>
            );
          })}
        </svg>
        <ul className={s.meterSide}>
          {rates.map((rate, index) => (
            <li key={rate}>
              <span className={index === 0 && rates.length > 1 ? s.cheapKey : s.dearKey} aria-hidden="true" />{' '}
              <span className="mono">{money(rate, season.currency, true)}</span> a kWh
              {index === 0 && rates.length > 1 ? ', cheap' : ''}
            </li>
          ))}
          {lamps.length > 0 && (
            <li>
              <span className={s.ringKey} aria-hidden="true" /> lamps
            </li>
          )}
          {best.map(({ use, row }) =>
            row && use.best_hour ? (
              <li key={use.id} data-best={use.id}>
                <b className="verdict-grow">
                  {row.name} from {use.best_hour.on_at}: −{money(use.best_hour.saves, season.currency)}
                </b>{' '}
                <Button size="small" onClick={() => apply(use.id, use.best_hour?.on_at ?? row.on_at, row.name)}>
                  Do that
                </Button>
              </li>
            ) : null,
          )}
        </ul>
      </div>
      <Tariff season={season} />
      <Bill season={season} bench={bench} />
    </section>
  );
}

/** What a kWh costs, when, and what the lamps' warmth is worth. */
function Tariff({ season }: { season: Season }) {
  const store = useStore();
  const { windows, heat_credit: credit, rate } = season.electricity;
  const put = (to: typeof windows) => store.change([{ path: ['electricity', 'windows'], to }], 'tariff');
  const window = (index: number, key: 'from' | 'to' | 'rate', to: string | number) =>
    put(windows.map((one, at) => (at === index ? { ...one, [key]: to } : one)));
  const setCredit = (to: unknown) => store.apply([{ path: ['electricity', 'heat_credit'], to }], 'heating');
  const saveCredit = (key: string) => (to: unknown) =>
    store.change([{ path: ['electricity', 'heat_credit', key], to }], 'heating');
  return (
    <details className={s.fine}>
      <summary>Price of electricity and heating</summary>
      <EditNumber
        label="Price of a kWh"
        name="bench_rate"
        before={moneySign(season.currency)}
        field="electricity.rate"
        value={rate}
        save={(to) => store.change([{ path: ['electricity', 'rate'], to }], 'price of a kWh')}
      />
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
            <button type="button" className="plain" onClick={() => void put(windows.filter((_, at) => at !== index))}>
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
    </details>
  );
}

type Window = Season['electricity']['windows'][number];

/** A window that overlaps no other, at half the plain price. */
function freeWindow(windows: Window[], rate: number): Window {
  const taken = (hour: number) =>
    windows.some(({ from, to }) => {
      const [a, b] = [hourOf(from), hourOf(to)];
      return a < b ? hour >= a && hour < b : hour >= a || hour < b;
    });
  const from = [22, 23, 0, 1, 2, 12, 13, 14, 9, 18].find((hour) => !taken(hour) && !taken((hour + 1) % 24)) ?? 3;
  const time = (hour: number) => `${String(hour % 24).padStart(2, '0')}:00`;
  return { from: time(from), to: time(from + 1), rate: rate / 2 };
}

/** Bill by month. */
function Bill({ season, bench }: { season: Season; bench: Bench }) {
  if (bench.bill.length === 0) return null;
  const cash = (amount: number) => money(amount, season.currency);
  const total = bench.bill.reduce((sum, row) => sum + row.light + row.heat + row.appliance, 0);
  const credit = bench.bill.reduce((sum, row) => sum + row.credit, 0);
  return (
    <table className="choices" data-part="bill">
      <caption>Electricity bill by month</caption>
      <tbody>
        {bench.bill.map((row) => (
          <tr key={row.month}>
            <th scope="row">{monthName(row.month)}</th>
            <td className="mono">{row.kwh.toFixed(0)} kWh</td>
            <td className="mono">{cash(row.light + row.heat + row.appliance)}</td>
          </tr>
        ))}
        <tr className="now">
          <th scope="row">Season</th>
          <td className="mono">{bench.bill.reduce((sum, row) => sum + row.kwh, 0).toFixed(0)} kWh</td>
          <td className="mono">{cash(total)}</td>
        </tr>
        {credit < -0.005 && (
          <tr>
            <th scope="row">Heating saved</th>
            <td />
            <td className="mono">−{cash(-credit)}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
