import type { LeavingDay, OneMoreLamp, Season } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { shortDay } from '../../words/dates';
import { money } from '../../words/money';
import { WorkPart } from './WorkPart';

/** Less is not worth a move. */
const LEAST = 0.05;

/** What one more lamp would earn, and the cheapest day for each crop to leave the lamp. */
export function RoomPart({ shown }: { shown: OnScreen }) {
  const { season } = shown;
  return (
    <WorkPart shown={shown} kind="room" title="Would another light pay? When to plant out" ask="Work it out">
      {(work, again) => (
        <>
          {(work.room?.lamps ?? []).map((lamp) => (
            <p key={lamp.light} data-lamp={lamp.light}>
              {lampWords(lamp, season)}
            </p>
          ))}
          <Leaving days={work.room?.leaving ?? []} season={season} current={work.revision === shown.revision} />
          {work.revision !== shown.revision && (
            <p>
              The season has changed since.{' '}
              <button type="button" className="plain" data-action="reckon-again" onClick={again}>
                Work it out again
              </button>
            </p>
          )}
        </>
      )}
    </WorkPart>
  );
}

const names = (season: Season, crops: string[]): string =>
  crops.length === 0 ? 'nothing' : crops.map((crop) => varietyOf(season, crop)).join(', ');

function lampWords(lamp: OneMoreLamp, season: Season): string {
  const sum = (value: number) => money(Math.abs(value), season.currency);
  const room =
    lamp.gives_way.length === 0
      ? 'all find a place as it is'
      : `for want of room ${names(season, lamp.gives_way)} would best be bought; with it ${names(season, lamp.with_it)}`;
  const worth = lamp.a_season >= 0 ? 'earns' : 'costs';
  return (
    `One more of ${lamp.name} (${sum(lamp.price)}): ${room}. ` +
    `It ${worth} ${sum(lamp.a_season)} a season, ${sum(lamp.over_life)} over its ${Math.round(lamp.life)} seasons.`
  );
}

function Leaving({ days, season, current }: { days: LeavingDay[]; season: Season; current: boolean }) {
  const store = useStore();
  const us = season.units === 'us';
  const better = days.filter(({ saves }) => saves >= LEAST);
  if (days.length === 0) return <p className="quiet">No plants stand under a lamp.</p>;
  if (better.length === 0) return <p>Every crop already goes out on its cheapest day, give or take a few cents.</p>;
  return (
    <>
      <table className="choices" data-part="leaving">
        <thead>
          <tr>
            <th>goes out</th>
            <th>now</th>
            <th>cheapest</th>
            <th>saves</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {better.map((one) => (
            <tr key={one.crop}>
              <th>{varietyOf(season, one.crop)}</th>
              <td>{shortDay(one.now, us)}</td>
              <td>{shortDay(one.cheapest, us)}</td>
              <td>{money(one.saves, season.currency)}</td>
              <td>
                {current && (
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Move it: ${varietyOf(season, one.crop)}`}
                    data-action="move-there"
                    onClick={() =>
                      store.apply(
                        one.edits as { path: (string | number)[]; to: unknown }[],
                        `${varietyOf(season, one.crop)} goes out on ${shortDay(one.cheapest, us)}`,
                      )
                    }
                  >
                    Move it
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Each crop is moved alone, sowing and all. A hardy crop can go out early only when the soil can be worked.
      </p>
    </>
  );
}
