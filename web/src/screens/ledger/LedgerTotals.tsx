import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import type { BookProps } from './LedgerTable';
import s from './ledger.module.css';

/** What it all comes to: money, hours, cash, income. */
export function LedgerTotals({ data, currency }: BookProps) {
  const ask = useAsk();
  const sum = (amount: number | null | undefined) => money(amount, currency);
  const totals = [
    ['Season cost', 'cost', data.cost],
    ['Hours of work', 'hours', null],
    ['With the hours', null, data.with_time],
    ['To pay now', 'cash_now', data.cash_now],
    ['On the electricity bill', 'kwh', data.electricity_bill],
    ['Income from what is sold', 'income', data.income],
  ] as const;
  return (
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
  );
}
