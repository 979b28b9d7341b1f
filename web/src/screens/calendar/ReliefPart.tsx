import type { Calendar } from '../../api/types';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { day, shortDay } from '../../words/dates';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { methodName } from '../../season/methods';
import s from './calendar.module.css';

const WHY: Record<string, string> = {
  room: 'there is no more room',
  light: 'more want light than the lamps cover',
  heat: 'more want heat than the mats cover',
};

const costs = (cost: number, currency: string): string => {
  const [amount, nothing] = [money(Math.abs(cost), currency), money(0, currency)];
  return amount === nothing ? 'the same' : `${amount} ${cost < 0 ? 'less' : 'more'}`;
};

/** Crowded days with the crops that crowd, and what would relieve them, each with its cost. */
export function ReliefPart({ shown: { season }, calendar }: { shown: OnScreen; calendar: Calendar }) {
  const store = useStore();
  const us = season.units === 'us';
  const name = (crop: string) => varietyOf(season, crop);
  const runs = calendar.bench.flatMap((place) => place.crowded.map((run) => ({ ...run, place: place.name })));
  if (runs.length === 0) return null;
  const take = (relief: Calendar['relief'][number]) =>
    store.apply(
      relief.edits,
      `${relief.place !== null ? 'place' : relief.method !== null ? 'method' : 'planting out'}, ${name(relief.crop)}`,
    );
  const say = (relief: Calendar['relief'][number]): string =>
    relief.place !== null
      ? `${name(relief.crop)}: move to ${relief.place} on ${day(relief.on, us)}`
      : relief.method !== null
        ? `${name(relief.crop)}: ${methodName(season, relief.method)}`
        : `${name(relief.crop)}: ${relief.days} days ${relief.kind === 'later' ? 'later' : 'out earlier'}`;
  return (
    <section className={s.relief} data-part="relief" aria-labelledby="relief-title">
      <h2 id="relief-title">Crowded days</h2>
      <ul>
        {runs.map((run) => (
          <li key={run.place + run.from + run.why} className="trouble">
            ▲ {run.place}, {shortDay(run.from, us)} to {shortDay(run.to, us)}: {WHY[run.why]} (
            {run.crops.slice(0, 4).map(name).join(', ')})
          </li>
        ))}
      </ul>
      {calendar.relief.length === 0 ? (
        <p className="quiet">Moving one crop does not help. Add a lamp, or grow fewer crops.</p>
      ) : (
        <table className="choices">
          <thead>
            <tr>
              <th scope="col">Ways to make room</th>
              <th scope="col">Crowded days left</th>
              <th scope="col">It costs</th>
              <th scope="col">
                <span className="hidden">Do it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {calendar.relief.map((relief) => (
              <tr key={say(relief)}>
                <th scope="row">{say(relief)}</th>
                <td className="mono">
                  {relief.crowded_days} {plural(relief.crowded_days, 'day')}
                </td>
                <td className="mono">{costs(relief.cost, season.currency)}</td>
                <td>
                  <button type="button" className="plain" onClick={() => take(relief)}>
                    Do it<span className="hidden">: {say(relief)}</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
