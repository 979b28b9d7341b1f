import { useRef, useState } from 'react';
import { Refusal } from '../api/client';

export type Parsed<T> = { ok: true; value: T } | { ok: false; why: string };

export interface Draft {
  text: string;
  why: string | null;
  changed: boolean;
  type: (text: string) => void;
  /** True where the value is saved, or was not changed. */
  commit: () => Promise<boolean>;
  reset: () => void;
}

/**
 * What is typed into a field until it is saved. What cannot be used stays in the field with what to do; the last good value
 * stays saved.
 */
export function useDraft<T>(value: T, show: (value: T) => string, parse: (typed: string) => Parsed<T>, save: (value: T) => Promise<unknown>): Draft {
  const [typed, setTyped] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  /** The value that was there when the typing began. */
  const [base, setBase] = useState(value);
  const sending = useRef(false);
  const reset = () => {
    setTyped(null);
    setWhy(null);
  };
  const commit = async (): Promise<boolean> => {
    if (typed === null || sending.current) return typed === null;
    const parsed = parse(typed);
    if (!parsed.ok) {
      setWhy(parsed.why);
      return false;
    }
    if (show(parsed.value) === show(value)) {
      reset();
      return true;
    }
    if (show(base) !== show(value)) {
      setWhy(`Meanwhile it was changed to ${show(value) || 'nothing'} elsewhere. Press Enter to use yours, Escape to keep that.`);
      setBase(value);
      return false;
    }
    sending.current = true;
    try {
      // The new value shows at once from what is on its way; the field lets go of its own.
      const saved = save(parsed.value);
      setTyped(null);
      setWhy(null);
      await saved;
      return true;
    } catch (error) {
      setTyped(typed);
      setWhy(error instanceof Refusal ? error.message : 'This was not saved. Try again.');
      return false;
    } finally {
      sending.current = false;
    }
  };
  return { text: typed ?? show(value), why, changed: typed !== null, type: (text) => { if (typed === null) setBase(value); setTyped(text); setWhy(null); }, commit, reset };
}
