import { useRef, type ReactNode } from 'react';
import { useSeenRows } from './useSeenRows';

interface Props {
  count: number;
  /** Of a row, as a rule, pixels. */
  height: number;
  columns: number;
  /** One row; its element says its place in `data-index` and is given to `measure`. */
  row: (index: number, measure: Measure | undefined) => ReactNode;
}

export type Measure = (row: HTMLElement | null) => void;

/** The body of a table that may be long: rows nobody sees are not drawn, and what is around it is not drawn anew while it is scrolled. */
export function SeenRows({ count, height, columns, row }: Props) {
  const body = useRef<HTMLTableSectionElement>(null);
  const seen = useSeenRows(body, count, height);
  return (
    <tbody ref={body}>
      <Unseen height={seen.before} columns={columns} />
      {Array.from({ length: seen.to - seen.from }, (_, n) => row(seen.from + n, seen.measure))}
      <Unseen height={seen.after} columns={columns} />
    </tbody>
  );
}

/** Room for rows that are not drawn. */
function Unseen({ height, columns }: { height: number; columns: number }) {
  if (height <= 0) return null;
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height, padding: 0, border: 0 }} />
    </tr>
  );
}
