import { Cell } from '../../edit/Cell';
import { parseText } from '../../edit/text';
import { shortDay } from '../../words/dates';
import { namedLine, saveOf, type LineOfCrop } from './line';
import s from './growlist.module.css';

/** The variety, its species, and how it is raised. */
export function NameCell({ line }: { line: LineOfCrop }) {
  const { crop, result, us, isRound } = line;
  const { lot, species, method } = line.facts;
  return (
    <td className={s.lineCrop} data-part="line-crop">
      <Cell
        label={`Variety of ${namedLine(line)}`}
        name={`${crop.id}.variety`}
        column="variety"
        value={lot.variety}
        show={String}
        parse={parseText}
        className="strong"
        save={saveOf(line)(['seed_lots', lot.id, 'variety'], 'variety')}
      />
      <small>
        {species?.name}
        {isRound && result.sow_on !== null ? `, sown ${shortDay(result.sow_on, us)}` : ''}
        {crop.anchor === 'first_frost' ? ', autumn' : ''}
        {method ? ` · ${method.name.charAt(0).toLowerCase()}${method.name.slice(1)}` : ''}
      </small>
    </td>
  );
}
