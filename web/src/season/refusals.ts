/** Something that could not be used, where no field stands to say so. */
export interface Refused {
  label: string;
  why: string;
}

let shown: Refused | null = null;
const listeners = new Set<() => void>();

const set = (next: Refused | null): void => {
  shown = next;
  listeners.forEach((listener) => listener());
};

/** The one place in which every refusal without a field speaks: a line of the till strip, which is always in sight. */
export const refusals = {
  get: (): Refused | null => shown,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  tell: (label: string, why: string): void => set({ label, why }),
  dismiss: (): void => set(null),
};
