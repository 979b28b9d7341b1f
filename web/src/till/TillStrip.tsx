import type { LastChange } from '../api/useSeason';
import type { Till } from '../api/types';
import { money, moneyChange } from '../words/money';

interface Props { till: Till; last: LastChange | null; currency: string; where: string; saving: boolean; explain: (figure: string) => void }

/** The strip of receipt that answers the one question, and says what the last change did to it. */
export function TillStrip({ till, last, currency, where, saving, explain }: Props) {
  const moved = last !== null && last.before.per_finished !== null && till.per_finished !== null ? till.per_finished - last.before.per_finished : null;
  return (
    <aside className="till" aria-label="What one finished seedling costs you">
      <dl>
        <div className="till-lead">
          <dt>One finished seedling</dt>
          <dd>
            <button type="button" className="figure copper" data-figure="per_finished" onClick={() => explain('per_finished')}>{money(till.per_finished, currency, true)}</button>
            <span className="till-moved" aria-live="polite">
              {moved !== null && last !== null && <span className={Math.abs(moved) < 5e-7 ? '' : moved < 0 ? 'cheaper' : 'dearer'}>
                {Math.abs(moved) < 5e-7 ? '±0' : moneyChange(moved, currency)} {last.label}
              </span>}
            </span>
          </dd>
        </div>
        <Figure name="At the nursery" moved={change(till.nursery, last?.before.nursery, currency)}>
          <button type="button" className="figure" data-figure="nursery" onClick={() => explain('nursery_per_plant')}>{money(till.nursery, currency, true)}</button>
        </Figure>
        <Figure name={till.difference !== null && till.difference < 0 ? 'Growing: dearer by' : 'You keep, a plant'} moved={change(till.difference, last?.before.difference, currency)}>
          <span className="figure" data-figure="difference">{money(till.difference === null ? null : Math.abs(till.difference), currency, true)}</span>
        </Figure>
        <Figure name="Cash now" moved={change(till.cash_now, last?.before.cash_now, currency)}>
          <button type="button" className="figure" data-figure="cash_now" onClick={() => explain('cash_now')}>{money(till.cash_now, currency)}</button>
        </Figure>
        <Figure name="Electricity" moved={last === null || Math.abs(till.kwh - last.before.kwh) < 0.05 ? null : `${till.kwh < last.before.kwh ? '−' : '+'}${Math.abs(till.kwh - last.before.kwh).toFixed(1)}`}>
          <button type="button" className="figure" data-figure="kwh" onClick={() => explain('kwh')}>{till.kwh.toFixed(1)} kWh</button>
        </Figure>
      </dl>
      <p className="till-where">{where}<br />{saving ? 'saving…' : 'everything saved'}</p>
    </aside>
  );
}

function change(now: number | null, before: number | null | undefined, currency: string): string | null {
  return now === null || before === null || before === undefined || Math.abs(now - before) < 0.0005 ? null : moneyChange(now - before, currency);
}

function Figure({ name, moved, children }: { name: string; moved: string | null; children: React.ReactNode }) {
  return <div><dt>{name}</dt><dd>{children}{moved !== null && <span className="till-moved">{moved}</span>}</dd></div>;
}
