import type { CropResult, Heads } from '../../api/types';
import { headWords } from '../../words/groups';
import { money } from '../../words/money';

interface Props {
  result: CropResult;
  shown: Heads | null;
  currency: string;
  explain: (figure: string) => void;
}

/** The crop's cost head by head, like a till receipt; any amount opens its working. */
export function CostReceipt({ result, shown, currency, explain }: Props) {
  const heads = Object.entries(result.heads ?? {}).filter(([, amount]) => amount !== 0);
  if (heads.length === 0) return <p className="quiet">No cost.</p>;
  const lines: [string, string, number | null][] = heads.map(([head, amount]) => [
    head,
    headWords(head),
    shown?.[head] ?? amount,
  ]);
  return (
    <table className="receipt">
      <tbody>
        {lines.map(([figure, name, amount]) => (
          <tr key={figure}>
            <th scope="row">{name}</th>
            <td>
              <button type="button" className="mono" disabled={!result.grown} onClick={() => explain(figure)} data-head={figure}>
                {money(amount, currency)}
              </button>
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">The crop</th>
          <td>
            <button type="button" className="mono" disabled={!result.grown} onClick={() => explain('cost')} data-head="cost">
              {money(result.cost, currency)}
            </button>
          </td>
        </tr>
        {result.grown && (
          <tr>
            <th scope="row">What growing it adds</th>
            <td>
              <button type="button" className="mono" onClick={() => explain('extra_cost')}>
                {money(result.extra_cost, currency)}
              </button>
            </td>
          </tr>
        )}
        <tr>
          <th scope="row">Buying it</th>
          <td className="mono">{money(result.buy_cost, currency)}</td>
        </tr>
      </tfoot>
    </table>
  );
}
