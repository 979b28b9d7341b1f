import { useSyncExternalStore } from 'react';
import type { Till, TillMove } from '../api/types';
import { refusals } from '../season/refusals';
import { useOnScreen, useSnapshot, useStore } from '../season/SeasonContext';
import { useShortcut } from '../shell/useShortcut';
import { money, moneyChange, range } from '../words/money';
import { plural } from '../words/sowing';
import s from './till.module.css';

/** What the last change did to the till; without figures where there is nothing to compare. */
export interface Last {
  label: string;
  move: TillMove | undefined;
}

interface Props {
  till: Till;
  last: Last | null;
  explain: (figure: string) => void;
  where: string;
}

/** Moves smaller than these do not show in the figures. */
const STILL = { coin: 5e-5, money: 5e-4, kwh: 0.05 };

/** The strip of receipt that answers the one question, and says what the last change did to it. */
export function TillStrip({ till, last, explain, where }: Props) {
  const currency = useOnScreen()?.season.currency ?? 'USD';
  const move = last?.move;
  const change = (by: number | null | undefined): string | null =>
    by == null || Math.abs(by) < STILL.money ? null : moneyChange(by, currency);
  const kwh =
    move === undefined || Math.abs(move.kwh) < STILL.kwh ? null : `${move.kwh < 0 ? '−' : '+'}${Math.abs(move.kwh).toFixed(1)}`;
  return (
    <aside className={s.till} aria-label="What one finished seedling costs you">
      <dl>
        <div className={s.tillLead} data-moved={last !== null}>
          <dt>
            One finished seedling
            {till.per_finished_low !== null && till.per_finished_high !== null && (
              <span className={s.tillRange} data-test="till-range">
                , most seasons {range(till.per_finished_low, till.per_finished_high, currency)}
              </span>
            )}
          </dt>
          <dd>
            <button type="button" className="figure copper" data-figure="per_finished" onClick={() => explain('per_finished')}>
              {money(till.per_finished, currency, true)}
            </button>
            <span className={s.tillMoved} data-part="till-moved" aria-live="polite">
              {last !== null && <Moved by={move?.per_finished ?? null} label={last.label} currency={currency} />}
            </span>
          </dd>
        </div>
        <Figure name="At the nursery" moved={null}>
          <button type="button" className="figure" data-figure="nursery" onClick={() => explain('nursery_per_plant')}>
            {money(till.nursery, currency, true)}
          </button>
        </Figure>
        <Figure name={till.keep !== null && till.keep < 0 ? 'You pay more' : 'You keep'} moved={change(move?.keep)}>
          <button type="button" className="figure" data-figure="keep" onClick={() => explain('keep')}>
            {money(till.keep === null ? null : Math.abs(till.keep), currency)}
          </button>
        </Figure>
        <Figure name="Cash now" moved={change(move?.cash_now)}>
          <button type="button" className="figure" data-figure="cash_now" onClick={() => explain('cash_now')}>
            {money(till.cash_now, currency)}
          </button>
        </Figure>
        <Figure name="Electricity" moved={kwh}>
          <button type="button" className="figure" data-figure="kwh" onClick={() => explain('kwh')}>
            {till.kwh.toFixed(1)} kWh
          </button>
        </Figure>
      </dl>
      <div className={s.tillSide}>
        <span className={s.tillWhere}>{where}</span>
        <SavedOrNot />
      </div>
      <RefusedLine />
    </aside>
  );
}

function Moved({ by, label, currency }: { by: number | null; label: string; currency: string }) {
  if (by === null || Math.abs(by) < STILL.coin) return <span>±0 {label}</span>;
  return (
    <span className={by < 0 ? 'cheaper' : 'dearer'}>
      {moneyChange(by, currency)} {label}
    </span>
  );
}

function Figure({ name, moved, children }: { name: string; moved: string | null; children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {children}
        {moved !== null && <span className={s.tillMoved}>{moved}</span>}
      </dd>
    </div>
  );
}

/** What was refused and stands in no field. */
function RefusedLine() {
  const refused = useSyncExternalStore(refusals.subscribe, refusals.get);
  if (refused === null) return null;
  return (
    <p className={s.tillRefused} role="alert" data-part="refused">
      Not done, {refused.label}: {refused.why}{' '}
      <button type="button" className="plain" onClick={refusals.dismiss}>
        I see
      </button>
    </p>
  );
}

/** Whether everything is saved, and the way back. */
function SavedOrNot() {
  const store = useStore();
  const { status, waiting, entry } = useSnapshot();
  const [undo, redo] = [entry?.history.undo ?? null, entry?.history.redo ?? null];
  useShortcut('z', () => {
    if (undo !== null) store.undo();
  });
  useShortcut('y', () => {
    if (redo !== null) store.redo();
  });
  const kept =
    waiting === 0 ? 'Nothing waits to be sent.' : `${waiting} ${plural(waiting, 'change is', 'changes are')} kept here.`;
  const said = status === 'away' ? `The server is away. ${kept}` : status === 'saving' ? 'saving…' : 'everything saved';
  return (
    <span className={s.tillSaved}>
      {undo !== null && (
        <button type="button" className="plain" data-action="undo" title={`Take back: ${undo} (Ctrl+Z)`} onClick={store.undo}>
          Undo
        </button>
      )}
      {redo !== null && (
        <button type="button" className="plain" data-action="redo" title={`Again: ${redo} (Ctrl+Y)`} onClick={store.redo}>
          Redo
        </button>
      )}
      <span role="status" data-status={status} className={status === 'away' ? s.away : undefined}>
        {said}
      </span>
    </span>
  );
}
