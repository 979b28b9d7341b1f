import { words } from '../../api/client';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { useAsk } from '../../page/AskContext';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { money } from '../../words/money';
import { FromWorkbook } from './FromWorkbook';
import s from './ledger.module.css';
import { SeenRows } from '../../edit/SeenRows';
import { useLedger } from './useLedger';

/** What the season costs, crop by crop and head by head, down to the coin. */
export function LedgerScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Book shown={shown} />}</PlanningPage>;
}

/** Of a row, as a rule, pixels. */
const ROW_HEIGHT = 52;

function Book({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
  const ask = useAsk();
  const url = `/api/seasons/${id}/setups/${setup.id}`;
  const { data, error } = useLedger(id, setup.id, revision);
  if (error && !data) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Adding up…
      </p>
    );
  const sum = (amount: number | null | undefined) => money(amount, season.currency);
  const cell = (amount: number | undefined, figure: string, name: string, crop: string | null, grown: boolean) =>
    amount === undefined || amount === 0 ? (
      <span className="quiet">–</span>
    ) : grown ? (
      <button type="button" className="figure" aria-label={`${sum(amount)}, ${name}`} onClick={() => ask({ figure, crop })}>
        {sum(amount)}
      </button>
    ) : (
      sum(amount)
    );
  const totals = [
    ['Season cost', 'cost', data.cost],
    ['Hours of work', 'hours', null],
    ['With the hours', null, data.with_time],
    ['To pay now', 'cash_now', data.cash_now],
    ['On the electricity bill', 'kwh', data.electricity_bill],
    ['Income from what is sold', 'income', data.income],
  ] as const;
  return (
    <>
      <div className="list-head">
        <div>
          <h1>The ledger</h1>
          <p className="quiet">
            The cost of each crop by kind. Every row and column adds up. Press an amount to see how it is worked out.
          </p>
          <div className="list-tools">
            <SetupPicker />
            <span className={s.files}>
              As{' '}
              <a className="plain" href={`${url}/workbook.xlsx`} download>
                a workbook (xlsx)
              </a>
              ,{' '}
              <a className="plain" href={`${url}/workbook.ods`} download>
                the same (ods)
              </a>
              ,{' '}
              <a className="plain" href={`${url}/ledger.csv`} download>
                a table (CSV)
              </a>
              ,{' '}
              <a className="plain" href={`${url}/result.json`} download>
                the result (JSON)
              </a>
            </span>
          </div>
        </div>
      </div>
      {data.rows.length === 0 ? (
        <p className="empty">No crops yet: there is nothing to add up.</p>
      ) : (
        <div className={s.wide} role="region" aria-label="Crops by kind of cost" tabIndex={0}>
          <table className={s.book} data-part="ledger" aria-rowcount={data.rows.length + 2}>
            <thead>
              <tr>
                <th scope="col">Crop</th>
                {data.heads.map(({ head, words: name }) => (
                  <th scope="col" key={head}>
                    {name}
                  </th>
                ))}
                <th scope="col">Total</th>
                <th scope="col">Useful plants</th>
                <th scope="col">Cost each</th>
              </tr>
            </thead>
            <SeenRows
              count={data.rows.length}
              height={ROW_HEIGHT}
              columns={data.heads.length + 4}
              row={(at, measure) => {
                const row = data.rows[at];
                if (row === undefined) return null;
                return (
                  <tr key={row.crop} ref={measure} data-index={at} aria-rowindex={at + 2}>
                    <th scope="row">
                      {row.name}
                      <small>{row.method ?? 'bought'}</small>
                    </th>
                    {data.heads.map(({ head, words: name }) => (
                      <td key={head}>
                        {cell(
                          row.heads[head],
                          head,
                          `${name} of ${row.name}`,
                          row.crop,
                          row.method !== null && row.hours !== null,
                        )}
                      </td>
                    ))}
                    <td className={s.sum}>
                      {cell(row.cost, 'cost', `cost of ${row.name}`, row.crop, row.method !== null && row.hours !== null)}
                    </td>
                    <td>{row.useful === null ? '–' : row.useful.toFixed(1)}</td>
                    <td>{row.per_finished === null ? '–' : money(row.per_finished, season.currency, true)}</td>
                  </tr>
                );
              }}
            />
            <tfoot>
              <tr>
                <th scope="row">Total</th>
                {data.heads.map(({ head, words: name }) => (
                  <td key={head}>{cell(data.totals[head], head, `${name} of all crops`, null, true)}</td>
                ))}
                <td className={s.sum}>{cell(data.cost, 'cost', 'cost of all crops', null, true)}</td>
                <td />
                <td>{money(data.per_finished, season.currency, true)}</td>
              </tr>
            </tfoot>
          </table>
        </div>
      )}
      <dl className={s.totals}>
        {totals.map(([name, figure, amount]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              {figure === null ? (
                sum(amount)
              ) : (
                <button
                  type="button"
                  className="figure"
                  aria-label={`${amount === null ? `${data.hours.toFixed(1)} h, ${sum(data.hours_worth)}` : sum(amount)}, ${name}`}
                  onClick={() => ask({ figure, crop: null })}
                >
                  {amount === null ? `${data.hours.toFixed(1)} h, ${sum(data.hours_worth)}` : sum(amount)}
                </button>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <FromWorkbook season={season} />
    </>
  );
}
