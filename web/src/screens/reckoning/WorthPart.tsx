import type { LitWorth, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';

/** What a lit flat earns per week, by crop. */
export function WorthPart({ season, worth }: { season: Season; worth: LitWorth[] }) {
  if (worth.length === 0) return null;
  const out = worth.find((one) => one.first_out);
  return (
    <section aria-labelledby="worth-title" data-part="worth">
      <h2 id="worth-title">What each crop earns per tray and week under lights</h2>
      <table className="choices">
        <thead>
          <tr>
            <th>crop</th>
            <th>tray-weeks</th>
            <th>earns</th>
            <th>in a week</th>
          </tr>
        </thead>
        <tbody>
          {worth.map((one) => (
            <tr key={one.crop}>
              <th>{varietyOf(season, one.crop)}</th>
              <td>{one.flat_weeks.toFixed(1)}</td>
              <td>{money(one.earns, season.currency)}</td>
              <td>{money(one.per_flat_week, season.currency)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {out && <p>It is crowded on some days: {varietyOf(season, out.crop)} earns least there, and is the first to give way.</p>}
    </section>
  );
}
