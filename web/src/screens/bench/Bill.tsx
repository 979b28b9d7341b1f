import type { Bench, Season } from '../../api/types';
import { monthName } from '../../words/dates';
import { money } from '../../words/money';

/** Bill by month. */
export function Bill({ season, bench }: { season: Season; bench: Bench }) {
  if (bench.bill.length === 0) return null;
  const cash = (amount: number) => money(amount, season.currency);
  const total = bench.bill.reduce((sum, row) => sum + row.light + row.heat + row.appliance, 0);
  const credit = bench.bill.reduce((sum, row) => sum + row.credit, 0);
  return (
    <table className="choices" data-part="bill">
      <caption>Electricity bill by month</caption>
      <tbody>
        {bench.bill.map((row) => (
          <tr key={row.month}>
            <th scope="row">{monthName(row.month)}</th>
            <td className="mono">{row.kwh.toFixed(0)} kWh</td>
            <td className="mono">{cash(row.light + row.heat + row.appliance)}</td>
          </tr>
        ))}
        <tr className="now">
          <th scope="row">Season</th>
          <td className="mono">{bench.bill.reduce((sum, row) => sum + row.kwh, 0).toFixed(0)} kWh</td>
          <td className="mono">{cash(total)}</td>
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
