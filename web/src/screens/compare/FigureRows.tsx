import { clsx } from 'clsx';
import type { Compared, Season, Setup, SetupResult } from '../../api/types';
import { useAsk } from '../../page/AskContext';
import { money, range } from '../../words/money';
import { certainty } from '../../words/sowing';

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
      cell: (_, c) => (c.lasting < 0.005 ? null : cash(c.lasting)),
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
    { name: 'Plants you need', figure: 'filled', cell: (r) => `${Math.floor(Number(r.filled.toFixed(6)))} of ${wanted}` },
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

interface Props {
  season: Season;
  /** The set-up that is shown. */
  here: string;
  wanted: number;
  setups: Setup[];
  data: Compared;
}

/** Figure by figure, a row each; a figure that can be worked out is pressed for its working. */
export function FigureRows({ season, here, wanted, setups, data }: Props) {
  const ask = useAsk();
  const results = new Map(data.result.setups.map((result) => [result.id, result]));
  const all = new Map(data.comparison.setups.map((row) => [row.id, row]));
  return (
    <>
      {rows(season, wanted).map((row) => (
        <tr key={row.name}>
          <th scope="row">{row.name}</th>
          {setups.map(({ id, name }) => {
            const [result, compared] = [results.get(id), all.get(id)];
            const text = result && compared ? row.cell(result, compared) : null;
            return (
              <td
                key={id}
                title={compared && row.title?.(compared)}
                className={clsx('mono', id === here ? 'here' : undefined, row.trouble && text !== null ? 'trouble' : undefined)}
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
    </>
  );
}
