import { clsx } from 'clsx';
import { memo } from 'react';
import type { Measure } from '../../edit/SeenRows';
import { CostCell } from './CostCell';
import { namedLine, type LineOfCrop } from './line';
import { NameCell } from './NameCell';
import { OddsCell } from './OddsCell';
import { PacketCell } from './PacketCell';
import { SowCell } from './SowCell';
import { VerdictCell } from './VerdictCell';
import { WantedCell } from './WantedCell';
import s from './growlist.module.css';

interface Props extends LineOfCrop {
  setup: string;
  /** What the figures were reckoned for; `crop` may be ahead of it. */
  reckoned: number;
  year: number;
  /** Its place in the whole list. */
  row: number;
  measure: Measure | undefined;
  /** Of its packet. */
  priceIsGuess: boolean;
  open: boolean;
  chosen: boolean;
  toggle: (crop: string) => void;
  choose: (crop: string, range: boolean) => void;
}

/** One crop, read like a sentence; every figure is changed where it stands. */
export const GrowLine = memo(function GrowLine(props: Props) {
  const { setup, reckoned, year, row, measure, priceIsGuess, open, chosen, toggle, choose, ...line } = props;
  const { crop } = line;
  return (
    <tr
      className={clsx(s.line, open ? s.lineOpen : undefined, chosen ? s.lineChosen : undefined)}
      data-line
      data-crop={crop.id}
      ref={measure}
      data-index={row}
      aria-rowindex={row + 2}
    >
      <td className={s.lineMark}>
        <input
          type="checkbox"
          aria-label={`Choose ${namedLine(line)}`}
          checked={chosen}
          onClick={(event) => choose(crop.id, event.shiftKey)}
          onChange={() => undefined}
        />
      </td>
      <NameCell line={line} />
      <WantedCell line={line} />
      <PacketCell line={line} year={year} priceIsGuess={priceIsGuess} />
      <SowCell line={line} reckoned={reckoned} />
      <OddsCell line={line} />
      <CostCell line={line} />
      <VerdictCell line={line} />
      <td className={s.lineMore}>
        <button
          type="button"
          className="plain"
          aria-expanded={open}
          aria-controls={`panel-${crop.id}`}
          data-open={crop.id}
          onClick={() => toggle(crop.id)}
        >
          <span aria-hidden="true">{open ? '▴' : '▾'}</span>
          <span className="hidden">
            {open ? 'Less' : 'More'} on {namedLine(line)} in {setup}
          </span>
        </button>
      </td>
    </tr>
  );
});
