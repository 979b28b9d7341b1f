import { Cell } from '../../edit/Cell';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { namedLine, saveOf, type LineOfCrop } from './line';
import s from './growlist.module.css';

/** How many plants are wanted, and for whom. */
export function WantedCell({ line }: { line: LineOfCrop }) {
  const { crop } = line;
  const split = [
    [crop.split?.keep ?? 0, 'keep'],
    [crop.split?.give ?? 0, 'give'],
    [crop.split?.sell ?? 0, 'sell'],
  ]
    .filter(([n]) => n !== 0)
    .map(([n, word]) => `${n} ${word}`)
    .join(', ');
  return (
    <td className={s.lineWanted} data-head="Wanted">
      <Cell
        label={`Wanted of ${namedLine(line)}`}
        name={`${crop.id}.wanted`}
        column="wanted"
        value={crop.wanted}
        show={showNumber}
        parse={(typed) => parseNumber(typed, boundsOf('crops.wanted'))}
        inputMode="decimal"
        className="strong mono"
        save={saveOf(line)(['crops', crop.id, 'wanted'], 'wanted')}
      />
      {split !== '' && <small>{split}</small>}
    </td>
  );
}
