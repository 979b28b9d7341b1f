import type { Potting, Season, Supply } from '../../api/types';
import { AddThing } from '../../edit/AddThing';
import { EditInUnit } from '../../edit/EditInUnit';
import { Said, SaidChoice, SaidNumber } from '../../edit/Said';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { useSupplies } from '../../season/supplies';
import { money, moneySign } from '../../words/money';
import { inUnit, type Unit } from '../../words/units';
import { SPOONED } from './small';
import s from './pots.module.css';
import { LOCALE } from '../../words/region';

const US: Record<string, Unit> = { L: 'qt', kg: 'lb' };
const unitOf = ({ unit }: Supply, us: boolean): Unit | undefined => (us ? US[unit] : unit === 'each' ? undefined : unit);

const amount = (core: number, unit: Unit | undefined): number => (unit ? inUnit(core, unit) : core);
const tidy = (value: number): string => value.toLocaleString(LOCALE, { maximumFractionDigits: value < 10 ? 2 : 0 });

/** Bags, bales, bricks and bottles: what a pack costs and holds, what there is, what to buy, what is left. */
export function SuppliesPart({ season, potting }: { season: Season; potting: Potting }) {
  const store = useStore();
  const isGuess = useIsGuess();
  const save = (row: Supply, key: keyof Supply, label: string) => (to: unknown) =>
    store.change([{ path: ['supplies', row.id, key], to }], `${label}, ${row.name}`);
  // What is sold by the litre or kilogram is said as the season's units say it.
  const said = (row: Supply) => unitOf(row, season.units === 'us');
  const word = (row: Supply) => (row.unit === 'each' ? '' : ` ${said(row) ?? row.unit}`);
  const inUse = (row: Supply) => (potting.supplies.find(({ id }) => id === row.id)?.need ?? 0) > 0;
  const rows = [...season.supplies].sort((a, b) => Number(inUse(b)) - Number(inUse(a)));
  return (
    <section aria-labelledby="supplies-title">
      <h2 id="supplies-title">Bags, bales and bottles</h2>
      <ul className={s.supplies} data-part="supplies">
        {rows.map((row) => {
          const need = potting.supplies.find(({ id }) => id === row.id);
          const key = `${row.id}.`;
          return (
            <li key={row.id} data-supply={row.id}>
              <b>
                <Said<string>
                  label={`Name of ${row.name}`}
                  name={`${key}name`}
                  value={row.name}
                  show={String}
                  parse={parseText}
                  save={save(row, 'name', 'name')}
                />
              </b>
              <p>
                {moneySign(season.currency)}
                <SaidNumber
                  label={`Price of ${row.name}`}
                  name={`${key}pack_price`}
                  field="supplies.pack_price"
                  value={row.pack_price}
                  guess={isGuess('supplies', row.id, 'pack_price')}
                  className="mono"
                  save={save(row, 'pack_price', 'price')}
                />{' '}
                for{' '}
                <SaidNumber
                  label={`In a pack of ${row.name}`}
                  name={`${key}pack_amount`}
                  field="supplies.pack_amount"
                  unit={said(row)}
                  places={2}
                  value={row.pack_amount}
                  save={save(row, 'pack_amount', 'in a pack')}
                />
                {word(row)}
                {row.unit === 'L' && (
                  <>
                    , which makes{' '}
                    <SaidNumber
                      label={`How many times its size ${row.name} makes`}
                      name={`${key}expansion`}
                      field="supplies.expansion"
                      value={row.expansion}
                      save={save(row, 'expansion', 'expansion')}
                    />{' '}
                    times as much
                  </>
                )}
                ; you have{' '}
                <SaidNumber
                  label={`In stock of ${row.name}`}
                  name={`${key}in_stock`}
                  field="supplies.in_stock"
                  unit={said(row)}
                  places={2}
                  value={row.in_stock}
                  save={save(row, 'in_stock', 'stock')}
                />
                {word(row)}; what is left{' '}
                <SaidChoice
                  label={`What is left of ${row.name}`}
                  name={`${key}leftover`}
                  value={row.leftover}
                  options={[
                    ['keep', 'keeps'],
                    ['waste', 'is wasted'],
                  ]}
                  choose={(to) => store.apply([{ path: ['supplies', row.id, 'leftover'], to }], `what is left, ${row.name}`)}
                />
                .
              </p>
              {need && need.need > 0 ? (
                <small className="quiet">
                  {tidy(amount(need.need, said(row)))}
                  {word(row)} needed:{' '}
                  {need.packs === 0 ? 'nothing to buy' : `${need.packs} to buy, ${money(need.cash, season.currency)}`},{' '}
                  {tidy(amount(need.left, said(row)))} left.
                </small>
              ) : (
                <small className="quiet">
                  This set-up does not use it.{' '}
                  <button
                    type="button"
                    className="plain"
                    onClick={() => store.apply([{ path: ['supplies', row.id], to: null }], `${row.name} taken out`)}
                  >
                    Delete
                  </button>
                </small>
              )}
            </li>
          );
        })}
      </ul>
      <AddThing lists={[['supplies', 'Bags, bales, bottles', 'One of my own']]} label="Add a bag or bottle" />
      <Feed season={season} potting={potting} />
    </section>
  );
}

/** Where the bottle's own dose is not known, of its unit in a litre. */
const USUAL_DOSE = 0.004;

/** Feed by the litre made up. */
function Feed({ season, potting }: { season: Season; potting: Potting }) {
  const store = useStore();
  const { feed } = season;
  const { feeds, doseOf } = useSupplies(season);
  const usualDose = (row: Supply | undefined) => (row && doseOf(row)) ?? feed?.dose_per_l ?? USUAL_DOSE;
  const set = (to: unknown) => store.apply([{ path: ['feed'], to }], 'feed');
  if (feed === null)
    return (
      <p>
        No feed.{' '}
        {feeds[0] ? (
          <button
            type="button"
            className="plain"
            onClick={() => set({ supply: feeds[0]?.id, dose_per_l: usualDose(feeds[0]), litres_per_flat: 1 })}
          >
            Feed them
          </button>
        ) : (
          <small className="quiet">To feed your plants, add a bottle of feed above.</small>
        )}
      </p>
    );
  const supply = season.supplies.find(({ id }) => id === feed.supply);
  const save = (key: keyof typeof feed) => (to: unknown) => store.change([{ path: ['feed', key], to }], 'feed');
  const us = season.units === 'us';
  const water: Unit = us ? 'gal' : 'L';
  const small = us && supply !== undefined ? SPOONED[supply.unit] : undefined;
  // As the bottle says it: tablespoons to a gallon, or of its unit to a litre.
  const dose = {
    word: small ?? supply?.unit ?? '',
    times: (small ? inUnit(1, small) : 1) / inUnit(1, water),
  };
  return (
    <section aria-labelledby="feed-title" className={s.feed}>
      <h3 id="feed-title">Feed</h3>
      <p>
        <SaidChoice
          label="Feed"
          name="feed_supply"
          value={feed.supply}
          options={feeds.map(({ id, name }) => [id, name] as const)}
          choose={(to) => set({ ...feed, supply: to, dose_per_l: usualDose(feeds.find(({ id }) => id === to)) })}
        />
        {potting.feed && (
          <>
            : <span className="mono copper">{money(potting.feed.per_l / inUnit(1, water), season.currency, true)}</span> a{' '}
            {us ? 'gallon' : 'litre'} made up, {tidy(inUnit(potting.feed.litres, water))} {water} over the season.
          </>
        )}
      </p>
      <EditInUnit
        label={`To a ${us ? 'gallon' : 'litre'} of water`}
        name="dose_per_l"
        after={dose.word}
        places={us ? 2 : 4}
        field="feed.dose_per_l"
        value={feed.dose_per_l * dose.times}
        save={(to) => save('dose_per_l')((to ?? 0) / dose.times)}
      />
      <EditInUnit
        label="Water for a tray, each time"
        name="litres_per_flat"
        unit={us ? 'qt' : 'L'}
        field="feed.litres_per_flat"
        value={feed.litres_per_flat}
        save={save('litres_per_flat')}
      />
      <button type="button" className="plain" onClick={() => set(null)}>
        No feed
      </button>
    </section>
  );
}
