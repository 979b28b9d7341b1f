import { useState } from 'react';
import { words } from '../../api/client';
import type { RowPicture, SeasonState, TrayPicture } from '../../api/types';
import type { Move } from './useTrays';
import s from './trays.module.css';

interface Props {
  tray: TrayPicture;
  run: RowPicture;
  trays: TrayPicture[];
  move: (move: Move) => Promise<SeasonState>;
  lay: (body: { do: 'columns'; tray: string; columns: number }, label: string) => Promise<SeasonState>;
}

/** To another row or tray; and how many stand in a row of this one. */
export function MoveForm({ tray, run, trays, move, lay }: Props) {
  const [to, setTo] = useState(tray.id);
  const [row, setRow] = useState(String(run.row));
  const [columns, setColumns] = useState(String(tray.columns));
  const [why, setWhy] = useState<string | null>(null);
  const speak = (doing: Promise<unknown>) => {
    setWhy(null);
    doing.catch((error: unknown) => setWhy(words(error)));
  };
  const same = trays.filter(({ container }) => container === tray.container);
  return (
    <details data-part="move">
      <summary>Move it to another place</summary>
      <div className={s.field}>
        <label>
          tray{' '}
          <select name="to-tray" value={to} onChange={(event) => setTo(event.target.value)}>
            {same.map(({ id }) => (
              <option key={id}>{id}</option>
            ))}
          </select>
        </label>
        <label>
          row <input name="to-row" inputMode="numeric" size={3} value={row} onChange={(event) => setRow(event.target.value)} />
        </label>
        <button
          type="button"
          data-action="move"
          onClick={() => speak(move({ tray: tray.id, row: run.row, to, to_row: Math.max(1, Number(row) || 1) }))}
        >
          Move
        </button>
      </div>
      {!tray.by_tens && (
        <div className={s.field}>
          <label>
            In this tray{' '}
            <input
              name="columns"
              inputMode="numeric"
              size={3}
              value={columns}
              onChange={(event) => setColumns(event.target.value)}
            />{' '}
            cells stand in a row
          </label>
          <button
            type="button"
            data-action="columns"
            onClick={() => speak(lay({ do: 'columns', tray: tray.id, columns: Number(columns) || 1 }, 'cells in a row'))}
          >
            Save the layout
          </button>
        </div>
      )}
      {why !== null && <p role="alert">{why}</p>}
    </details>
  );
}
