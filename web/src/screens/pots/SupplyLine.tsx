import type { Potting, Season, Supply } from '../../api/types';
import { Said, SaidChoice, SaidNumber } from '../../edit/Said';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { money, moneySign } from '../../words/money';
import { inUnit, type Unit } from '../../words/units';
import { tidy } from './small';

const US: Record<string, Unit> = { L: 'qt', kg: 'lb' };
const unitOf = ({ unit }: Supply, us: boolean): Unit | undefined => (us ? US[unit] : unit === 'each' ? undefined : unit);
const wordOf = (row: Supply, said: Unit | undefined): string => (row.unit === 'each' ? '' : ` ${said ?? row.unit}`);

const amount = (core: number, unit: Unit | undefined): number => (unit ? inUnit(core, unit) : core);

interface Props {
  season: Season;
  row: Supply;
  need: Potting['supplies'][number] | undefined;
}

/** What a pack of one thing costs and holds, what there is, what to buy, what is left. */
export function SupplyLine({ season, row, need }: Props) {
  const store = useStore();
  const isGuess = useIsGuess();
  const save = (key: keyof Supply, label: string) => (to: unknown) =>
    store.change([{ path: ['supplies', row.id, key], to }], `${label}, ${row.name}`);
  // What is sold by the litre or kilogram is said as the season's units say it.
  const said = unitOf(row, season.units === 'us');
  const word = wordOf(row, said);
  const key = `${row.id}.`;
  return (
    <li data-supply={row.id}>
      <b>
        <Said<string>
          label={`Name of ${row.name}`}
          name={`${key}name`}
          value={row.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
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
          save={save('pack_price', 'price')}
        />{' '}
        for{' '}
        <SaidNumber
          label={`In a pack of ${row.name}`}
          name={`${key}pack_amount`}
          field="supplies.pack_amount"
          unit={said}
          places={2}
          value={row.pack_amount}
          save={save('pack_amount', 'in a pack')}
        />
        {word}
        {row.unit === 'L' && <Expands row={row} save={save('expansion', 'expansion')} />}; you have{' '}
        <SaidNumber
          label={`In stock of ${row.name}`}
          name={`${key}in_stock`}
          field="supplies.in_stock"
          unit={said}
          places={2}
          value={row.in_stock}
          save={save('in_stock', 'stock')}
        />
        {word}; what is left{' '}
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
      <Need season={season} row={row} need={need} />
    </li>
  );
}

/** Pressed bales swell. */
function Expands({ row, save }: { row: Supply; save: (to: unknown) => Promise<void> }) {
  return (
    <>
      , which makes{' '}
      <SaidNumber
        label={`How many times its size ${row.name} makes`}
        name={`${row.id}.expansion`}
        field="supplies.expansion"
        value={row.expansion}
        save={save}
      />{' '}
      times as much
    </>
  );
}

/** What the set-up needs of it, buys and leaves; where it needs none, it can be taken out. */
function Need({ season, row, need }: Props) {
  const store = useStore();
  const said = unitOf(row, season.units === 'us');
  const word = wordOf(row, said);
  if (need && need.need > 0)
    return (
      <small className="quiet">
        {tidy(amount(need.need, said))}
        {word} needed: {need.packs === 0 ? 'nothing to buy' : `${need.packs} to buy, ${money(need.cash, season.currency)}`},{' '}
        {tidy(amount(need.left, said))} left.
      </small>
    );
  return (
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
  );
}
