import type { Weighed } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { money, moneyChange } from '../../words/money';
import { odds, plural } from '../../words/sowing';
import { WorkPart } from './WorkPart';
import { useState } from 'react';
import s from './reckoning.module.css';

/** As many at first. */
const SHOWN = 8;

const BREAKS: Record<string, string> = {
  dropped: 'leaves it out',
  missing: 'plants would be missing',
  crowded: 'too little room or light on some days',
  odds: 'less sure than you asked',
};

/** What could be done otherwise, by what it saves; taken with one press. */
export function AdvicePart({ shown }: { shown: OnScreen }) {
  return (
    <WorkPart
      shown={shown}
      kind="advice"
      title="Otherwise, by what it saves"
      ask="Weigh every change"
      sofar={(work) =>
        work.advice && <Changes shown={shown} changes={work.advice} current={work.revision === shown.revision} again={null} />
      }
    >
      {(work, again) => (
        <Changes shown={shown} changes={work.advice ?? []} current={work.revision === shown.revision} again={again} />
      )}
    </WorkPart>
  );
}

interface Props {
  shown: OnScreen;
  changes: Weighed[];
  /** Of the season as it is now. */
  current: boolean;
  /** Null while it is being found. */
  again: (() => void) | null;
}

function Changes({ shown: { season }, changes, current, again }: Props) {
  const store = useStore();
  const [all, showAll] = useState(false);
  if (!current)
    return (
      <p>
        The season has changed since.{' '}
        {again && (
          <button type="button" className="plain" data-action="weigh-again" onClick={again}>
            Weigh again
          </button>
        )}
      </p>
    );
  const keeps = changes.filter(({ breaks }) => breaks.length === 0);
  const breaks = changes.filter((one) => one.breaks.length > 0);
  const line = (one: Weighed) => (
    <li key={one.words} data-change={one.kind}>
      <span>
        <b>{one.words}</b>
        <small>
          {[
            Math.abs(one.hours) >= 0.1 ? `${one.hours > 0 ? '+' : '−'}${Math.abs(one.hours).toFixed(1)} h` : '',
            Math.abs(one.cash) >= 0.005 ? `${moneyChange(one.cash, season.currency)} at the till` : '',
            one.enough === null ? '' : `all enough ${odds(one.enough)}`,
            ...one.breaks.map((key) => `▲ ${BREAKS[key] ?? key}`),
          ]
            .filter(Boolean)
            .join('; ')}{' '}
          <button
            type="button"
            className="plain"
            aria-label={`Do that: ${one.words}`}
            data-action="take-change"
            onClick={() => store.apply(one.edits as { path: (string | number)[]; to: unknown }[], one.words.slice(0, 190))}
          >
            Do that
          </button>
        </small>
      </span>
      <span className="mono copper">−{money(one.saves, season.currency)}</span>
    </li>
  );
  return (
    <>
      {keeps.length === 0 && <p>Nothing left that is worth a nickel.</p>}
      <ul className={s.changes}>{(all ? keeps : keeps.slice(0, SHOWN)).map(line)}</ul>
      {keeps.length > SHOWN && (
        <button type="button" className="plain" onClick={() => showAll(!all)}>
          {all ? 'Fewer' : `All ${keeps.length}`}
        </button>
      )}
      {breaks.length > 0 && (
        <details data-part="breaking">
          <summary>
            {breaks.length} {plural(breaks.length, 'change')} that would cost you something else
          </summary>
          <ul className={s.changes}>{breaks.map(line)}</ul>
        </details>
      )}
    </>
  );
}
