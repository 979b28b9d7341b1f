/**
 * The last thing done in this window that is no edit of the season: something bought, or written down. Undo takes back that first, so that
 * it never reaches past it to an older edit.
 */
interface Step {
  season: number;
  /** What it was: "bought Copper Kettle". */
  label: string;
  undo: () => void;
}

let last: Step | null = null;
const listeners = new Set<() => void>();

const show = (step: Step | null): void => {
  last = step;
  listeners.forEach((listener) => listener());
};

export const lastStep = {
  get: (): Step | null => last,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  did: show,
  /** An edit came after it: that is what Undo takes back now. */
  edited: (): void => show(null),
  undo: (): void => {
    const step = last;
    show(null);
    step?.undo();
  },
};
