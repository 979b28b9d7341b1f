import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import { warningWords } from '../../words/sowing';
import { LACKING, namedLine, type LineOfCrop } from './line';
import s from './growlist.module.css';

/** What a finished seedling costs, and what it goes without. */
export function CostCell({ line }: { line: LineOfCrop }) {
  const ask = useAsk();
  const { crop, result, currency } = line;
  return (
    <td className={s.lineCost} data-head="Cost each">
      {result.per_finished !== null ? (
        <button
          type="button"
          className="amount copper mono strong"
          data-cost
          aria-label={`${money(result.per_finished, currency, true)} for each ${namedLine(line)}`}
          onClick={() => ask({ figure: 'per_finished', crop: crop.id })}
        >
          {money(result.per_finished, currency, true)}
        </button>
      ) : (
        <span className="mono">–</span>
      )}
      {result.grown &&
        result.warnings
          .filter((code) => code in LACKING)
          .map((code) => (
            <small key={code} className="trouble" title={warningWords(code)}>
              ▲ {LACKING[code]}
            </small>
          ))}
    </td>
  );
}
