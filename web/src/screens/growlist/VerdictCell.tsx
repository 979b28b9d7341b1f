import { clsx } from 'clsx';
import { Cell } from '../../edit/Cell';
import { parseNumber, showNumber } from '../../edit/numbers';
import { useAsk } from '../../page/AskContext';
import { money } from '../../words/money';
import { potWords, verdictWords } from '../../words/sowing';
import { fromUnit, inUnit } from '../../words/units';
import { namedLine, saveOf, type LineOfCrop } from './line';
import s from './growlist.module.css';

/** Whether to grow or to buy it, and what a plant from the nursery costs. */
export function VerdictCell({ line }: { line: LineOfCrop }) {
  const ask = useAsk();
  const { crop, result, picture, currency, us } = line;
  const { saves, nursery_each: nurseryEach } = picture.line;
  const verdict = verdictWords(result, picture.line, currency, crop.substitute);
  const pots = potWords(picture.pots, us);
  const named = namedLine(line);
  return (
    <td className={s.lineVerdict} data-head="Verdict">
      <span className={clsx(`verdict-${verdict.tone}`, 'strong')}>{verdict.word}</span>
      <small>
        {saves === null ? (
          verdict.reason
        ) : (
          <button
            type="button"
            className="link"
            aria-label={`${verdict.reason}: ${named}`}
            onClick={() => ask({ figure: 'saves', crop: crop.id })}
          >
            {verdict.reason}
          </button>
        )}
      </small>
      {nurseryEach !== null && (
        <small>
          nursery{' '}
          <button
            type="button"
            className="link"
            aria-label={`${money(nurseryEach, currency, true)} for a ${named} from the nursery`}
            onClick={() => ask({ figure: 'nursery_each', crop: crop.id })}
          >
            {money(nurseryEach, currency, true)}
          </button>{' '}
          each
        </small>
      )}
      {crop.pot_at_least_l !== null && crop.nursery.length > 0 && <SmallestPot line={line} litres={crop.pot_at_least_l} />}
      {pots !== null && <small>{pots}</small>}
    </td>
  );
}

/** A plant of the nursery in a smaller pot is no match. */
function SmallestPot({ line, litres }: { line: LineOfCrop; litres: number }) {
  const { crop, us } = line;
  const unit = us ? 'cup' : 'L';
  return (
    <small>
      in a pot of{' '}
      <Cell
        label={`Smallest pot of a bought ${namedLine(line)}, ${us ? 'cups' : 'litres'}`}
        name={`${crop.id}.pot_at_least`}
        column="pot"
        value={Math.round(100 * inUnit(litres, unit)) / 100}
        show={showNumber}
        parse={(typed) => parseNumber(typed, { least: 0.01, most: 1000 })}
        inputMode="decimal"
        save={(to) => saveOf(line)(['crops', crop.id, 'pot_at_least_l'], 'smallest pot')(fromUnit(to, unit))}
      />{' '}
      {us ? 'cups' : 'L'} or more
    </small>
  );
}
