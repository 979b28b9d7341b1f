import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Till, TillMove } from '../api/types';
import { lastStep } from '../season/lastStep';
import { refusals } from '../season/refusals';
import { useOnScreen, useSnapshot, useStore } from '../season/SeasonContext';
import { useShortcut } from '../hooks/useShortcut';
import { money, moneyChange, range } from '../words/money';
import { plural } from '../words/sowing';
import { useLog } from '../season/useLog';
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

/** A person who edits several values hears the price once. */
const PAUSE_MS = 1200;
/** Moves smaller than these do not show in the figures. */
const STILL = { coin: 5e-5, money: 5e-4 };

/** The figures beside the first, and what the last change did to each. */
function figuresOf(till: Till, move: TillMove | undefined, currency: string) {
  const change = (by: number | null | undefined): string | null =>
    by == null || Math.abs(by) < STILL.money ? null : moneyChange(by, currency);
  return [
    {
      name: 'Same plants: grow',
      id: 'same',
      working: 'same_per_plant',
      shown: money(till.same, currency, true),
      moved: change(move?.difference == null ? null : -move.difference),
    },
    {
      name: 'nursery',
      id: 'nursery',
      working: 'nursery_per_plant',
      shown: money(till.nursery, currency, true),
      moved: null,
    },
    {
      name: till.keep !== null && till.keep < 0 ? 'You pay more' : 'You save',
      id: 'keep',
      working: 'keep',
      shown: money(till.keep === null ? null : Math.abs(till.keep), currency),
      moved: change(move?.keep),
    },
    {
      name: 'Cash now',
      id: 'cash_now',
      working: 'cash_now',
      shown: money(till.cash_now, currency),
      moved: change(move?.cash_now),
    },
  ];
}

/** The strip of receipt that answers the one question, and says what the last change did to it. */
export function TillStrip({ till, last, explain, where }: Props) {
  const season = useOnScreen()?.season;
  const currency = season?.currency ?? 'USD';
  const lost = season === undefined || season.mishap <= 0 ? null : Math.round(1 / season.mishap);
  const figures = figuresOf(till, last?.move, currency);
  return (
    <aside className={s.till} aria-label="What your plants cost">
      <dl>
        <div className={s.tillLead} data-moved={last !== null}>
          <dt>
            Cost per finished seedling
            {till.per_finished_low !== null && till.per_finished_high !== null && (
              <span className={s.tillRange} data-test="till-range">
                , most seasons {range(till.per_finished_low, till.per_finished_high, currency)}
                {till.per_finished !== null &&
                  till.per_finished > till.per_finished_high &&
                  (lost === null ? '; it counts the rare bad ones too' : `; it counts that 1 tray in ${lost} is lost whole`)}
              </span>
            )}
          </dt>
          <dd>
            <button
              type="button"
              className="figure copper"
              data-figure="per_finished"
              aria-label={`Cost per finished seedling, ${where}: ${money(till.per_finished, currency, true)}`}
              onClick={() => explain('per_finished')}
            >
              {money(till.per_finished, currency, true)}
            </button>
            <span className={s.tillMoved} data-part="till-moved">
              {last !== null && <Moved by={last.move?.per_finished ?? null} label={last.label} currency={currency} />}
            </span>
          </dd>
        </div>
        {figures.map(({ name, id, working, shown, moved }) => (
          <div key={id}>
            <dt>{name}</dt>
            <dd>
              <button
                type="button"
                className="figure"
                data-figure={id}
                aria-label={`${name}, ${where}: ${shown}`}
                onClick={() => explain(working)}
              >
                {shown}
              </button>
              {moved !== null && <span className={s.tillMoved}>{moved}</span>}
            </dd>
          </div>
        ))}
      </dl>
      <div className={s.tillSide}>
        <span className={s.tillWhere}>{where}</span>
        <SavedOrNot />
      </div>
      <RefusedLine />
      <Spoken price={money(till.per_finished, currency, true)} change={last?.label ?? null} />
    </aside>
  );
}

function Moved({ by, label, currency }: { by: number | null; label: string; currency: string }) {
  if (by === null || Math.abs(by) < STILL.coin) return <span>{label}: no change</span>;
  return (
    <span className={by < 0 ? 'cheaper' : 'dearer'} title={label}>
      {moneyChange(by, currency)} {label}
    </span>
  );
}

/** Says the new price to a screen reader, once, when a run of changes has come to rest. */
function Spoken({ price, change }: { price: string; change: string | null }) {
  const [said, say] = useState('');
  useEffect(() => {
    if (change === null) return;
    const pause = setTimeout(() => say(`${change}: cost per finished seedling ${price}`), PAUSE_MS);
    return () => clearTimeout(pause);
  }, [price, change]);
  return (
    <span className="hidden" role="status" data-part="till-said">
      {said}
    </span>
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
  const { status, waiting: changes, entry } = useSnapshot();
  const waiting = changes + useLog(useOnScreen()?.id ?? 0).waiting.length;
  const [undo, redo] = [entry?.history.undo ?? null, entry?.history.redo ?? null];
  const step = useSyncExternalStore(lastStep.subscribe, lastStep.get);
  const other = step !== null && step.season === store.id ? step : null;
  const takeBack = () => (other === null ? store.undo() : lastStep.undo());
  useShortcut('z', () => {
    if (undo !== null || other !== null) takeBack();
  });
  useShortcut('y', () => {
    if (redo !== null) store.redo();
  });
  const kept =
    waiting === 0 ? 'Nothing waits to be sent.' : `${waiting} ${plural(waiting, 'change is', 'changes are')} kept here.`;
  const said = status === 'away' ? `The server is away. ${kept}` : status === 'saving' ? 'saving…' : 'everything saved';
  return (
    <span className={s.tillSaved}>
      {(undo !== null || other !== null) && (
        <button
          type="button"
          className="plain"
          data-action="undo"
          title={`Undo: ${other?.label ?? undo ?? ''} (Ctrl+Z)`}
          onClick={takeBack}
        >
          Undo
        </button>
      )}
      {redo !== null && (
        <button type="button" className="plain" data-action="redo" title={`Again: ${redo} (Ctrl+Y)`} onClick={store.redo}>
          Redo
        </button>
      )}
      <span
        role={status === 'away' ? 'status' : undefined}
        data-status={status}
        className={status === 'away' ? s.away : undefined}
      >
        {said}
      </span>
    </span>
  );
}
