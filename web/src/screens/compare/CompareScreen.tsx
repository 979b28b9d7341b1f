import { clsx } from 'clsx';
import { useState } from 'react';
import { words } from '../../api/client';
import type { Compared, Season, SetupResult } from '../../api/types';
import { moveInTable } from '../../edit/moveInTable';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useAsk } from '../../page/AskContext';
import { PlanningPage } from '../../page/Page';
import { coinMoney, money, range } from '../../words/money';
import { certainty } from '../../words/sowing';
import { AddSetup } from '../../page/AddSetup';
import { Answer } from './Answer';
import { DifferencePart } from './DifferencePart';
import { LacksCell, LeadCell } from './LeadCell';
import { SetupPanel } from './SetupPanel';
import { StackRow } from './StackRow';
import { useCompared } from './useCompared';
import { VerdictTable } from './VerdictTable';
import { YearsPart } from './YearsPart';
import s from './compare.module.css';

/** All the ways side by side: what one plant costs in each, and everything that goes with it. */
export function CompareScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Side shown={shown} />}</PlanningPage>;
}

interface Row {
  name: string;
  figure?: string;
  cell: (result: SetupResult, compared: Compared['comparison']['setups'][number]) => string | null;
  trouble?: boolean;
  title?: (compared: Compared['comparison']['setups'][number]) => string;
}

const rows = (season: Season, wanted: number): Row[] => {
  const cash = (amount: number | null) => money(amount, season.currency);
  return [
    {
      name: 'Cost per finished seedling, all crops',
      figure: 'per_finished',
      cell: (r) => (r.per_finished === null ? null : money(r.per_finished, season.currency, true)),
    },
    {
      name: 'Range in most seasons',
      figure: 'per_finished_high',
      cell: (r) =>
        r.per_finished_low === null || r.per_finished_high === null
          ? null
          : range(r.per_finished_low, r.per_finished_high, season.currency),
    },
    {
      name: 'Cost each, crops not sold as plants',
      cell: (_, c) => (c.unsold_each === null ? null : money(c.unsold_each, season.currency, true)),
    },
    { name: 'Whole list, replacements included', figure: 'fill_cost', cell: (r) => cash(r.fill_cost) },
    { name: 'Cash now', figure: 'cash_now', cell: (r) => cash(r.cash_now) },
    {
      name: 'of this for equipment that lasts',
      title: (c) => c.to_buy.map(({ name, packs, cost: price }) => `${packs} × ${name}, ${cash(price)}`).join('\n'),
      cell: (_, c) => {
        const price = c.to_buy.reduce((sum, thing) => sum + thing.cost, 0);
        return price < 0.005 ? null : cash(price);
      },
    },
    { name: 'Electricity', figure: 'kwh', cell: (_, c) => (c.electricity < 0.05 ? null : `${c.electricity.toFixed(0)} kWh`) },
    { name: 'Your hours', figure: 'hours', cell: (r) => (r.hours < 0.05 ? null : r.hours.toFixed(1)) },
    {
      name: 'Chance that it saves money',
      figure: 'p_keep',
      cell: (r) => (r.p_keep === null ? null : `${certainty(r.p_keep)} %`),
    },
    {
      name: 'Saved per hour of work',
      figure: 'implied_wage',
      cell: (r) => (r.implied_wage === null ? null : cash(r.implied_wage)),
    },
    { name: 'Plants you need', figure: 'filled', cell: (r) => `${Math.floor(r.filled + 1e-6)} of ${wanted}` },
    {
      name: 'Chance that every crop is enough',
      figure: 'p_all_enough',
      cell: (r) => (r.p_all_enough === null ? null : `${certainty(r.p_all_enough)} %`),
    },
    { name: 'Income from sales', figure: 'income', cell: (r) => (r.income < 0.005 ? null : cash(r.income)) },
    { name: 'Cannot supply', figure: 'filled', trouble: true, cell: (r, c) => (c.fair ? null : `▲ ${Math.round(r.missing)}`) },
    {
      name: 'Crowded days',
      figure: 'crowded_days',
      trouble: true,
      cell: (r) => (r.crowded_days === 0 ? null : `▲ ${r.crowded_days}`),
    },
  ];
};

function Side({ shown }: { shown: OnScreen }) {
  const { season, setup, id: seasonId, revision } = shown;
  const store = useStore();
  const ask = useAsk();
  const { data, error } = useCompared(seasonId, revision);
  const [price, setPrice] = useState(false);
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Costing every set-up…
      </p>
    );
  const setups = season.setups.filter(({ id }) => data.comparison.setups.some((row) => row.id === id));
  const results = new Map(data.result.setups.map((result) => [result.id, result]));
  const { wanted } = shown.pictures;
  const best = data.comparison.advice?.setup;
  // What every way is short of is said once, above.
  const allShort = data.comparison.setups.every(({ fair }) => !fair);
  const unfair = data.comparison.setups.filter(({ fair, priced_in }) => !fair && priced_in !== null);
  if (season.setups.length === 0 || season.crops.length === 0) {
    return (
      <div className="empty">
        <h1>Nothing to compare yet</h1>
        <p>
          {season.crops.length === 0
            ? 'Put crops on your list first.'
            : 'Add a set-up: the pots, lights and methods of a season.'}
        </p>
        <AddSetup season={season} />
      </div>
    );
  }
  const sideBySide = (Cell: typeof LeadCell) =>
    setups.map((row) => {
      const [result, compared] = [results.get(row.id), data.comparison.setups.find(({ id }) => id === row.id)];
      return result && compared ? (
        <Cell
          key={row.id}
          season={season}
          result={result}
          compared={compared}
          here={row.id === setup.id}
          price={price}
          allShort={allShort}
        />
      ) : (
        <td key={row.id} />
      );
    });
  return (
    <>
      <Answer compared={data.comparison} season={season} />
      <div className="list-head">
        <p className="quiet">
          Each coin is {coinMoney(data.stacks.coin, season.currency)}.
          {data.comparison.nursery === null
            ? ''
            : ` Dashed line: the same plants from the nursery, ${money(data.comparison.nursery, season.currency, true)} each.`}{' '}
          Press a figure to see how it is worked out.
        </p>
        <AddSetup season={season} />
      </div>
      <div className={s.compareScroll} tabIndex={0} role="region" aria-label="Set-ups side by side">
        <table className={s.compare} style={{ ['--ways' as string]: setups.length }} onKeyDown={moveInTable}>
          <thead className={s.hiddenHead}>
            <tr>
              <th scope="col">What</th>
              {setups.map((row) => (
                <th key={row.id} scope="col">
                  {row.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <StackRow
              stacks={data.stacks}
              compared={data.comparison}
              setups={season.setups}
              currency={season.currency}
              shown={setup.id}
            />
            <tr className={s.lead}>
              <th scope="row">Cost each, plants a nursery sells too</th>
              {sideBySide(LeadCell)}
            </tr>
            <tr className={s.names}>
              <th scope="row">
                <span className="hidden">Set-up</span>
              </th>
              {setups.map((row) => (
                <td key={row.id} className={row.id === setup.id ? 'here' : undefined}>
                  <button
                    type="button"
                    className="link"
                    aria-pressed={row.id === setup.id}
                    data-setup={row.id}
                    onClick={() => store.show(row.id)}
                  >
                    {row.name}
                  </button>
                </td>
              ))}
            </tr>
            <tr className={s.lacks}>
              <th scope="row">
                <span className="hidden">What it lacks</span>
              </th>
              {sideBySide(LacksCell)}
            </tr>
            {rows(season, wanted).map((row) => (
              <tr key={row.name}>
                <th scope="row">{row.name}</th>
                {setups.map(({ id, name }) => {
                  const [result, compared] = [results.get(id), data.comparison.setups.find((one) => one.id === id)];
                  const text = result && compared ? row.cell(result, compared) : null;
                  return (
                    <td
                      key={id}
                      title={compared && row.title?.(compared)}
                      className={clsx(
                        'mono',
                        id === setup.id ? 'here' : undefined,
                        row.trouble && text !== null ? 'trouble' : undefined,
                      )}
                    >
                      {text === null ? (
                        '–'
                      ) : row.figure ? (
                        <button
                          type="button"
                          className="amount"
                          aria-label={`${row.name}, ${name}: ${text}`}
                          onClick={() => ask({ figure: row.figure ?? '', crop: null, setup: id })}
                        >
                          {text}
                        </button>
                      ) : (
                        text
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {unfair.length > 0 && (
        <label className={clsx('tick', s.fair)}>
          <input type="checkbox" name="priced_in" checked={price} onChange={(event) => setPrice(event.target.checked)} /> Add the
          nursery price of the plants that a set-up cannot supply (marked ▲)
        </label>
      )}
      {data.comparison.setups.some(({ fair, fair_priced_in }) => !fair && !fair_priced_in) && (
        <p className="quiet">
          A set-up marked ▲ still lacks plants that are not sold. Its price is for fewer plants, so do not compare it.
        </p>
      )}
      <SetupPanel shown={shown} toBuy={data.comparison.setups.find(({ id }) => id === setup.id)?.to_buy ?? []} />
      <div className={s.two}>
        <DifferencePart
          season={season}
          id={seasonId}
          revision={revision}
          here={setup.id}
          other={best === undefined || best === setup.id ? (setups.find(({ id }) => id !== setup.id)?.id ?? setup.id) : best}
        />
        <YearsPart season={season} id={seasonId} revision={revision} here={setup.id} />
      </div>
      <VerdictTable season={season} compared={data} here={setup.id} />
    </>
  );
}
