import type { Advice, Weighed } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { money, moneyChange } from '../../words/money';
import { odds, plural, warningWords } from '../../words/sowing';
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

const WHY: Record<string, string> = {
  frost: 'a frost would kill the plants',
  dim: 'the plants would stand too dark',
  no_light: 'there is no lamp where they would need one',
  no_mat: 'there is no heat mat where they would need one',
  small: 'the pot is smaller than the one you asked for',
  late: 'they would be ready far too late',
};

const GROUPS: [Weighed['group'], string][] = [
  ['buy_less', 'Buy less'],
  ['waste_less', 'Waste less'],
  ['more_room', 'Make room'],
  ['sell_or_share', 'Sell, share or leave out'],
];

/** What could be done otherwise, by what it saves; tried with one press, shown on the till strip, and taken back there. */
export function AdvicePart({ shown }: { shown: OnScreen }) {
  return (
    <WorkPart
      shown={shown}
      kind="advice"
      title="Ways to save more"
      ask="Find ways to save"
      sofar={(work) =>
        work.advice && <Changes shown={shown} advice={work.advice} current={work.revision === shown.revision} again={null} />
      }
    >
      {(work, again) => (
        <Changes
          shown={shown}
          advice={work.advice ?? { changes: [], left_out: {} }}
          current={work.revision === shown.revision}
          again={again}
        />
      )}
    </WorkPart>
  );
}

interface Props {
  shown: OnScreen;
  advice: Advice;
  /** Of the season as it is now. */
  current: boolean;
  /** Null while it is being found. */
  again: (() => void) | null;
}

function Changes({ shown: { season }, advice: { changes, left_out: leftOut }, current, again }: Props) {
  const store = useStore();
  const [all, showAll] = useState(false);
  if (!current)
    return (
      <p>
        The season has changed since.{' '}
        {again && (
          <button type="button" className="plain" data-action="weigh-again" onClick={again}>
            Find them again
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
            Math.abs(one.cash) >= 0.005 ? `${moneyChange(one.cash, season.currency)} to pay now` : '',
            one.enough === null ? '' : `all enough ${odds(one.enough)}`,
            ...one.breaks.map((key) => `▲ ${BREAKS[key] ?? key}`),
          ]
            .filter(Boolean)
            .join('; ')}{' '}
          <button
            type="button"
            className="plain"
            aria-label={`Try it: ${one.words}`}
            data-action="take-change"
            onClick={() => store.apply(one.edits as { path: (string | number)[]; to: unknown }[], one.words.slice(0, 190))}
          >
            Try it
          </button>
        </small>
      </span>
      <span className="mono copper">−{money(one.saves, season.currency)}</span>
    </li>
  );
  return (
    <>
      {keeps.length === 0 && <p>No change saves more than a few cents.</p>}
      {GROUPS.map(([group, title]) => {
        const found = (all ? keeps : keeps.slice(0, SHOWN)).filter((one) => one.group === group);
        return found.length === 0 ? null : (
          <section key={group} aria-label={title}>
            <h3>{title}</h3>
            <ul className={s.changes}>{found.map(line)}</ul>
          </section>
        );
      })}
      {keeps.length > SHOWN && (
        <button type="button" className="plain" onClick={() => showAll(!all)}>
          {all ? 'Show fewer' : `Show all ${keeps.length}`}
        </button>
      )}
      {breaks.length > 0 && (
        <details data-part="breaking">
          <summary>
            {breaks.length} {plural(breaks.length, 'change')} with a drawback
          </summary>
          <ul className={s.changes}>{breaks.map(line)}</ul>
        </details>
      )}
      <LeftOut leftOut={leftOut} />
    </>
  );
}

/** What was looked at and is no advice, and why. */
function LeftOut({ leftOut }: { leftOut: Record<string, number> }) {
  const all = Object.values(leftOut).reduce((sum, n) => sum + n, 0);
  if (all === 0) return null;
  return (
    <details data-part="left-out">
      <summary>
        {all} {plural(all, 'change')} left out, though cheaper
      </summary>
      <ul>
        {Object.entries(leftOut).map(([code, n]) => (
          <li key={code}>
            {n}: {WHY[code] ?? warningWords(code)}
          </li>
        ))}
      </ul>
    </details>
  );
}
