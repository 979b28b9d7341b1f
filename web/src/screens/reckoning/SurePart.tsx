import type { Season, Simulated } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { odds } from '../../words/sowing';
import { LOCALE } from '../../words/region';
import { WorkPart } from './WorkPart';
import s from './reckoning.module.css';

/** The season played ten thousand times. */
export function SurePart({ shown }: { shown: OnScreen }) {
  return (
    <WorkPart shown={shown} kind="simulation" title="How certain" ask="Play 10,000 seasons">
      {(work) => (work.simulation ? <Played played={work.simulation} season={shown.season} /> : null)}
    </WorkPart>
  );
}

const W = 420;
const H = 110;

function Played({ played, season }: { played: Simulated; season: Season }) {
  const most = Math.max(1, ...played.spread.map(({ count }) => count));
  const wide = W / Math.max(1, played.spread.length);
  const [first, last] = [played.spread[0], played.spread.at(-1)];
  const sum = (value: number | null) => (value === null ? 'none' : money(value, season.currency, true));
  return (
    <div data-part="played">
      <svg
        viewBox={`0 0 ${W} ${H + 22}`}
        className={s.spread}
        role="img"
        aria-label={`Cost of a plant in ${played.runs} seasons: most between ${sum(played.per_finished.low)} and ${sum(played.per_finished.high)}`}
      >
        {played.spread.map(({ from, count }, n) => (
          <rect
            key={from}
            x={n * wide + 1}
            y={H - (H * count) / most}
            width={wide - 2}
            height={(H * count) / most}
            className={s.bar}
          />
        ))}
        <line x1="0" x2={W} y1={H} y2={H} className={s.ground} />
        <text x="0" y={H + 18} className={s.label}>
          {sum(first?.from ?? null)}
        </text>
        <text x={W} y={H + 18} textAnchor="end" className={s.label}>
          {sum(last?.to ?? null)} a plant
        </text>
      </svg>
      <p>
        In {played.runs.toLocaleString(LOCALE)} seasons a plant cost {sum(played.per_finished.low)} to{' '}
        {sum(played.per_finished.high)} in eight of ten; {Math.round(played.useful.low ?? 0)} to{' '}
        {Math.round(played.useful.high ?? 0)} plants.
        {played.p_keep !== null && ` Growing saved something in ${odds(played.p_keep)}.`} All crops were enough in{' '}
        {odds(played.p_all_enough)}.
      </p>
      <table className="choices">
        <thead>
          <tr>
            <th>season</th>
            <th>plants</th>
            <th>a plant</th>
            <th>kept</th>
          </tr>
        </thead>
        <tbody>
          {played.kinds.map((kind) => (
            <tr key={kind.name}>
              <th>{kind.name}</th>
              <td>{Math.round(kind.useful)}</td>
              <td>{sum(kind.per_finished)}</td>
              <td>{kind.keep === null ? '' : money(kind.keep, season.currency)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Why the worst tenth of seasons was bad: {Math.round(played.made_bad.bad_season * 100)} % were bad seasons for every crop,
        and {played.made_bad.mishaps.toFixed(1)} batches were lost whole in each
        {played.bad[0]
          ? `; most missed: ${played.bad
              .slice(0, 3)
              .map(({ crop, lost }) => `${varietyOf(season, crop)} ${lost.toFixed(0)}`)
              .join(', ')}`
          : ''}
        .
      </p>
    </div>
  );
}
