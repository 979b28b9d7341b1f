import { useAsk } from '../../page/AskContext';
import { percent } from '../../words/sowing';
import { namedLine, type LineOfCrop } from './line';
import s from './growlist.module.css';

/** The chance of enough plants, and what was asked for. */
export function OddsCell({ line }: { line: LineOfCrop }) {
  const ask = useAsk();
  const { crop, result, picture } = line;
  return (
    <td className={s.lineOdds} data-head="Chance">
      {result.p_enough !== null && (
        <>
          <button
            type="button"
            className="amount mono strong"
            data-odds
            aria-label={`${percent(result.p_enough)} chance of enough ${namedLine(line)}`}
            onClick={() => ask({ figure: 'p_enough', crop: crop.id })}
          >
            {percent(result.p_enough)}
          </button>
          <small>
            chance of enough plants
            {picture.below_asked !== null && `, you asked for ${picture.below_asked.asked} %`}
          </small>
        </>
      )}
    </td>
  );
}
