import { useAsk } from '../../page/AskContext';
import { money, moneyChange } from '../../words/money';
import type { useShopping } from './useShopping';
import s from './shopping.module.css';

interface Props {
  shopping: NonNullable<ReturnType<typeof useShopping>['data']>['shopping'];
  currency: string;
  /** Whether something bought is not in the sums yet. */
  waiting: boolean;
}

/** What was planned, paid, and is still to pay. */
export function Sums({ shopping: { unneeded, planned, paid, still, now, over }, currency, waiting }: Props) {
  const ask = useAsk();
  const sum = (amount: number) => money(amount, currency);
  return (
    <dl className={s.sums} aria-busy={waiting}>
      <div>
        <dt>Planned</dt>
        <dd>
          <button type="button" className="figure" data-figure="cash_now" onClick={() => ask({ figure: 'cash_now', crop: null })}>
            {sum(planned)}
          </button>
        </dd>
      </div>
      <div>
        <dt>Paid so far</dt>
        <dd data-sum="paid">{sum(paid)}</dd>
      </div>
      <div>
        <dt>Still to pay</dt>
        <dd data-sum="still">{sum(still)}</dd>
      </div>
      <div className={s.total}>
        <dt>
          Total at the checkout
          {Math.abs(over) >= 0.005 && (
            <small>
              {' '}
              {moneyChange(over, currency)} against the plan
              {unneeded.length > 0 ? ', with what was not needed' : ''}
            </small>
          )}
        </dt>
        <dd data-sum="now">{sum(now)}</dd>
      </div>
    </dl>
  );
}
