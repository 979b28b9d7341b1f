import type { KeyboardEvent } from 'react';

const STEPS: Record<string, readonly [rows: number, columns: number]> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
};

/** From a table's button to the next one over, under or beside it, past cells that have none. */
export function moveInTable(event: KeyboardEvent<HTMLTableElement>): void {
  const [rows, columns] = STEPS[event.key] ?? [0, 0];
  const from = event.target instanceof HTMLButtonElement ? event.target.closest('td') : null;
  const line = from?.parentElement;
  if (from === null || !(line instanceof HTMLTableRowElement) || (rows === 0 && columns === 0)) return;
  const { currentTarget: table } = event;
  for (let [row, cell] = [line.rowIndex + rows, from.cellIndex + columns]; cell >= 0; row += rows, cell += columns) {
    const at = table.rows[row]?.cells[cell];
    if (at === undefined) return;
    const next = at.querySelector('button');
    if (next === null) continue;
    event.preventDefault();
    return next.focus();
  }
}
