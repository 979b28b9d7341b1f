import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useState, type RefObject } from 'react';

/** Shorter lists are drawn whole: all of them can be found on the page, and jumped through. */
const LONG = 120;
/** Rows drawn above and below what is seen, so that the keyboard finds the next one. */
const BEYOND = 8;

interface SeenRows {
  from: number;
  to: number;
  /** Pixels of the rows that are not drawn. */
  before: number;
  after: number;
  /** For each row, which says its place in `data-index`: how high it really is. */
  measure: ((row: HTMLElement | null) => void) | undefined;
}

/** Of a long list the rows that are seen; of a short one, and on paper, all. `list` holds the rows. */
export function useSeenRows(list: RefObject<HTMLElement | null>, count: number, height: number): SeenRows {
  const [top, setTop] = useState(0);
  const [onPaper, setOnPaper] = useState(false);
  const isLong = count > LONG && !onPaper;
  useEffect(() => {
    const [begin, end] = [() => setOnPaper(true), () => setOnPaper(false)];
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  // Where the list begins changes with whatever opens above it.
  useEffect(() => {
    const observer = new ResizeObserver(() => {
      if (list.current !== null) setTop(list.current.getBoundingClientRect().top + window.scrollY);
    });
    observer.observe(document.body);
    return () => observer.disconnect();
  }, [list]);
  const rows = useWindowVirtualizer({
    count: isLong ? count : 0,
    estimateSize: () => height,
    overscan: BEYOND,
    scrollMargin: top,
  });
  const seen = rows.getVirtualItems();
  const [first, last] = [seen[0], seen.at(-1)];
  if (!isLong || first === undefined || last === undefined)
    return { from: 0, to: isLong ? Math.min(count, LONG) : count, before: 0, after: 0, measure: undefined };
  return {
    from: first.index,
    to: last.index + 1,
    before: first.start - top,
    after: rows.getTotalSize() - (last.end - top),
    measure: rows.measureElement,
  };
}
