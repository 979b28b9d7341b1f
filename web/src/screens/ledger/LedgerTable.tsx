import { SeenRows, type Measure } from '../../edit/SeenRows';
import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import type { useLedger } from './useLedger';
import s from './ledger.module.css';

/** Of a row, as a rule, pixels. */
const ROW_HEIGHT = 52;

export interface BookProps {
  data: NonNullable<ReturnType<typeof useLedger>['data']>;
  currency: string;
}

/** Crops by kind of cost, with their totals. */
export function LedgerTable({ data, currency }: BookProps) {
  return (
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
            return <Line key={row.crop} data={data} currency={currency} row={row} at={at} measure={measure} />;
          }}
        />
        <tfoot>
          <tr>
            <th scope="row">Total</th>
            {data.heads.map(({ head, words: name }) => (
              <td key={head}>
                <Amount
                  amount={data.totals[head]}
                  figure={head}
                  name={`${name} of all crops`}
                  crop={null}
                  pressed
                  currency={currency}
                />
              </td>
            ))}
            <td className={s.sum}>
              <Amount amount={data.cost} figure="cost" name="cost of all crops" crop={null} pressed currency={currency} />
            </td>
            <td />
            <td>{money(data.per_finished, currency, true)}</td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

interface LineProps extends BookProps {
  row: BookProps['data']['rows'][number];
  at: number;
  measure: Measure | undefined;
}

function Line({ data, currency, row, at, measure }: LineProps) {
  const grown = row.method !== null && row.hours !== null;
  return (
    <tr ref={measure} data-index={at} aria-rowindex={at + 2}>
      <th scope="row">
        {row.name}
        <small>{row.method ?? 'bought'}</small>
      </th>
      {data.heads.map(({ head, words: name }) => (
        <td key={head}>
          <Amount
            amount={row.heads[head]}
            figure={head}
            name={`${name} of ${row.name}`}
            crop={row.crop}
            pressed={grown}
            currency={currency}
          />
        </td>
      ))}
      <td className={s.sum}>
        <Amount
          amount={row.cost}
          figure="cost"
          name={`cost of ${row.name}`}
          crop={row.crop}
          pressed={grown}
          currency={currency}
        />
      </td>
      <td>{row.useful === null ? '–' : row.useful.toFixed(1)}</td>
      <td>{row.per_finished === null ? '–' : money(row.per_finished, currency, true)}</td>
    </tr>
  );
}

interface AmountProps {
  amount: number | undefined;
  figure: string;
  name: string;
  crop: string | null;
  /** Whether its working can be asked for. */
  pressed: boolean;
  currency: string;
}

function Amount({ amount, figure, name, crop, pressed, currency }: AmountProps) {
  const ask = useAsk();
  if (amount === undefined || amount === 0) return <span className="quiet">–</span>;
  const shown = money(amount, currency);
  if (!pressed) return shown;
  return (
    <button type="button" className="figure" aria-label={`${shown}, ${name}`} onClick={() => ask({ figure, crop })}>
      {shown}
    </button>
  );
}
