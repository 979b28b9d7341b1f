import type { Flip, Lever, Season } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { WorkPart } from './WorkPart';
import s from './reckoning.module.css';

const SOURCES: Record<string, string> = {
  measured: 'measured, ±5 %',
  you: 'your estimate, ±15 %',
  guess: 'our guess, ±40 %',
  known: 'by its chances',
};

/** Which numbers the answer hangs on, and where it turns. */
export function HangsOnPart({ shown }: { shown: OnScreen }) {
  const { season } = shown;
  return (
    <WorkPart shown={shown} kind="hangs_on" title="What matters most" ask="Show what matters most">
      {(work) => (
        <>
          <Levers levers={work.hangs_on?.levers ?? []} season={season} />
          <Flips flips={work.hangs_on?.flips ?? []} season={season} />
        </>
      )}
    </WorkPart>
  );
}

function Levers({ levers, season }: { levers: Lever[]; season: Season }) {
  const least = Math.min(0, ...levers.flatMap(({ keep_low: low, keep_high: high }) => [low, high]));
  const most = Math.max(0, ...levers.flatMap(({ keep_low: low, keep_high: high }) => [low, high]));
  const at = (value: number) => `${(100 * (value - least)) / Math.max(most - least, 1e-9)}%`;
  const sum = (value: number) => money(value, season.currency);
  return (
    <>
      <p className="quiet">What you save when each number is as low or as high as it may be.</p>
      <ul className={s.levers} data-part="levers">
        {levers.map((lever) => {
          const [low, high] = [Math.min(lever.keep_low, lever.keep_high), Math.max(lever.keep_low, lever.keep_high)];
          return (
            <li key={lever.path.join('.')}>
              <span>
                {lever.name} <small className="quiet">{SOURCES[lever.source] ?? lever.source}</small>
              </span>
              <span className={s.track} role="img" aria-label={`from ${sum(low)} to ${sum(high)}`}>
                <i style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})` }} />
                <u style={{ left: at(0) }} />
              </span>
              <small className="mono">
                {sum(low)} to {sum(high)}
              </small>
            </li>
          );
        })}
      </ul>
      {levers.length > 2 && (
        <p data-part="measure">
          Worth measuring first:{' '}
          {worthMeasuring(levers)
            .map(
              ({ name, worth_knowing: worth }) =>
                `${name}${worth >= LEAST ? ` (to know it saves ${sum(worth)} on average)` : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </>
  );
}

/** A nickel. */
const LEAST = 0.05;

/** The three that it pays most to know, then those that move the answer most. */
export const worthMeasuring = (levers: Lever[]): Lever[] =>
  [...levers]
    .sort((a, b) => (b.worth_knowing >= LEAST ? b.worth_knowing : 0) - (a.worth_knowing >= LEAST ? a.worth_knowing : 0))
    .slice(0, 3);

const WHAT: Record<string, string> = {
  nursery: 'a bought plant costs',
  rate: 'a kWh costs',
  survival: 'of what lives there are',
  wanted: 'you want',
  hour: 'an hour is worth',
};

function Flips({ flips, season }: { flips: Flip[]; season: Season }) {
  const value = ({ what }: Flip, number: number) =>
    what === 'survival'
      ? `${Math.round(number * 100)} in 100 of today’s`
      : what === 'wanted'
        ? `${Math.round(number)} plants`
        : money(number, season.currency, what !== 'hour');
  const turns = flips.filter(({ below, above }) => below !== null || above !== null);
  return (
    <div data-part="flips">
      <h3>When buying becomes cheaper</h3>
      {turns.length === 0 && <p className="quiet">No likely change turns the advice round.</p>}
      <ul>
        {turns.map((flip) => (
          <li key={`${flip.what} ${flip.crop}`}>
            {flip.crop === null ? 'For all' : varietyOf(season, flip.crop)}: if {WHAT[flip.what] ?? flip.what}{' '}
            {[
              flip.below === null ? '' : `less than ${value(flip, flip.below)}`,
              flip.above === null ? '' : `more than ${value(flip, flip.above)}`,
            ]
              .filter(Boolean)
              .join(' or ')}
            {flip.what === 'survival' || flip.what === 'hour' ? '' : ` (now ${value(flip, flip.now)})`}
          </li>
        ))}
      </ul>
    </div>
  );
}
