import { useCallback, useEffect, useRef, useState } from 'react';
import type { ShownLine } from './order';

/** Lines that are chosen to be changed together: one by one, or all from the last one to this. */
export function useChosen(lines: ShownLine[]) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string | null>(null);
  const ids = useRef<string[]>([]);
  useEffect(() => {
    ids.current = lines.map(({ crop }) => crop.id);
  }, [lines]);
  const choose = useCallback(
    (crop: string, range: boolean) =>
      setChosen((now) => {
        const next = new Set(now);
        const from = range && last.current !== null ? ids.current.indexOf(last.current) : -1;
        const to = ids.current.indexOf(crop);
        if (from >= 0) ids.current.slice(Math.min(from, to), Math.max(from, to) + 1).forEach((id) => next.add(id));
        else if (!next.delete(crop)) next.add(crop);
        last.current = crop;
        return next;
      }),
    [],
  );
  return { chosen, choose, setChosen };
}
