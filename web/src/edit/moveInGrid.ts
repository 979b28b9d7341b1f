/** The next figure up, down, left or right in the list around an input; stays where there is none. */
export function moveInGrid(from: HTMLElement, rows: number, columns: number): void {
  const grid = from.closest('[data-grid]');
  if (grid === null) return;
  const inputs =
    columns === 0
      ? [...grid.querySelectorAll<HTMLInputElement>(`input[data-column="${from.dataset.column ?? ''}"]`)]
      : [...(from.closest('[data-line]')?.querySelectorAll<HTMLInputElement>('input[data-column]') ?? [])];
  const next = inputs[inputs.indexOf(from as HTMLInputElement) + rows + columns];
  next?.focus();
  next?.scrollIntoView({ block: 'nearest' });
}
