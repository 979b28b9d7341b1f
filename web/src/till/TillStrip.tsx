import type { Till } from '../api/types';
import type { LastChange } from '../season/SeasonStore';
import { useOnScreen, useSnapshot, useStore } from '../season/SeasonContext';
import { money, moneyChange } from '../words/money';
import { useShortcut } from '../shell/useShortcut';

interface Props { till: Till; keepName: string; last: LastChange | null; explain: (figure: string) => void; where: string }

/** The strip of receipt that answers the one question, and says what the last change did to it. */
export function TillStrip({ till, keepName, last, explain, where }: Props) {
  const shown = useOnScreen();
  const currency = shown?.season.currency ?? 'USD';
  const moved = last !== null && last.before.per_finished !== null && last.after.per_finished !== null ? last.after.per_finished - last.before.per_finished : null;
  const still = moved !== null && Math.abs(moved) < 5e-5;
  const change = (key: 'nursery' | 'keep' | 'cash_now'): string | null => {
    const [now, before] = [last?.after[key], last?.before[key]];
    return now == null || before == null || Math.abs(now - before) < 0.0005 ? null : moneyChange(now - before, currency);
  };
  const kwh = last === null || Math.abs(last.after.kwh - last.before.kwh) < 0.05 ? null : `${last.after.kwh < last.before.kwh ? '−' : '+'}${Math.abs(last.after.kwh - last.before.kwh).toFixed(1)}`;
  return (
    <aside className="till" aria-label="What one finished seedling costs you">
      <dl>
        <div className="till-lead">
          <dt>One finished seedling</dt>
          <dd>
            <button type="button" className="figure copper" data-figure="per_finished" onClick={() => explain('per_finished')}>{money(till.per_finished, currency, true)}</button>
            <span className="till-moved" aria-live="polite">
              {last !== null && <span className={moved === null || still ? '' : moved < 0 ? 'cheaper' : 'dearer'}>{moved === null || still ? '±0' : moneyChange(moved, currency)} {last.label}</span>}
            </span>
          </dd>
        </div>
        <Figure name="At the nursery" moved={change('nursery')}>
          <button type="button" className="figure" data-figure="nursery" onClick={() => explain('nursery_per_plant')}>{money(till.nursery, currency, true)}</button>
        </Figure>
        <Figure name={till.keep !== null && till.keep < 0 ? 'You pay more' : keepName} moved={change('keep')}>
          <button type="button" className="figure" data-figure="keep" onClick={() => explain('keep')}>{money(till.keep === null ? null : Math.abs(till.keep), currency)}</button>
        </Figure>
        <Figure name="Cash now" moved={change('cash_now')}>
          <button type="button" className="figure" data-figure="cash_now" onClick={() => explain('cash_now')}>{money(till.cash_now, currency)}</button>
        </Figure>
        <Figure name="Electricity" moved={kwh}>
          <button type="button" className="figure" data-figure="kwh" onClick={() => explain('kwh')}>{till.kwh.toFixed(1)} kWh</button>
        </Figure>
      </dl>
      <div className="till-side"><span className="till-where">{where}</span><SavedOrNot /></div>
    </aside>
  );
}

function Figure({ name, moved, children }: { name: string; moved: string | null; children: React.ReactNode }) {
  return <div><dt>{name}</dt><dd>{children}{moved !== null && <span className="till-moved">{moved}</span>}</dd></div>;
}

/** Whether everything is saved, and the way back. */
function SavedOrNot() {
  const store = useStore();
  const { status, waiting, state } = useSnapshot();
  const [undo, redo] = [state?.history.undo ?? null, state?.history.redo ?? null];
  useShortcut('z', () => { if (undo !== null) void store.undo(); });
  useShortcut('y', () => { if (redo !== null) void store.redo(); });
  const said = status === 'away' ? `The server is away. ${waiting} ${waiting === 1 ? 'change is' : 'changes are'} kept here.` : waiting > 0 || status === 'saving' ? 'saving…' : 'everything saved';
  return (
    <span className="till-saved">
      {undo !== null && <button type="button" className="plain" data-action="undo" title={`Take back: ${undo} (Ctrl+Z)`} onClick={() => void store.undo()}>Undo</button>}
      {redo !== null && <button type="button" className="plain" data-action="redo" title={`Again: ${redo} (Ctrl+Y)`} onClick={() => void store.redo()}>Redo</button>}
      <span role="status" data-status={status} className={status === 'away' ? 'away' : ''}>{said}</span>
    </span>
  );
}
