import type { Bench, Season } from '../../api/types';
import { monthName } from '../../words/dates';
import { money } from '../../words/money';

/** Bill by month. */
export function Bill({ season, bench }: { season: Season; bench: Bench }) {
  if (bench.bill.length === 0) return null;
  const cash = (amount: number) => money(amount, season.currency);
  const { kwh, cost, credit } = bench.billed;
  return (
    <table className="choices" data-part="bill">
      <caption>Electricity bill by month</caption>
      <tbody>
        {bench.bill.map((row) => (
          <tr key={row.month}>
            <th scope="row">{monthName(row.month)}</th>
            <td className="mono">{row.kwh.toFixed(0)} kWh</td>
            <td className="mono">{cash(row.cost)}</td>
          </tr>
        ))}
        <tr className="now">
          <th scope="row">Season</th>
          <td className="mono">{kwh.toFixed(0)} kWh</td>
          <td className="mono">{cash(cost)}</td>
        </tr>
        {credit < -0.005 && (
          <tr>
            <th scope="row">Heating saved</th>
            <td />
            <td className="mono">−{cash(-credit)}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
