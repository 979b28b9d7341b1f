import { useRef, useState } from 'react';
import { Refusal } from '../api/client';
import { typed } from './typed';

const UNSAVED = 'You typed this and did not save it. Press Enter to save it, Escape to drop it.';

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
 * stays saved. Under the name of a field, the text survives a reload. A new value may be typed and confirmed while an earlier one is still on its way.
 */
export function useDraft<T>(
  value: T,
  show: (value: T) => string,
  parse: (typed: string) => Parsed<T>,
  save: (value: T) => Promise<unknown>,
  field?: string,
): Draft {
  const [kept] = useState(() => (field === undefined ? null : typed.get(field)));
  const [held, setHeld] = useState<string | null>(kept?.text ?? null);
  const [why, setWhy] = useState<string | null>(kept === null ? null : UNSAVED);
  /** What the field shows was read here by the last event, whatever has been drawn meanwhile. */
  const latest = useRef<string | null>(kept?.text ?? null);
  /** The values this field may find there without anybody else having changed it: the one there when the typing began, and its own. */
  const expected = useRef<string[]>(kept === null ? [] : [kept.over]);

  const hold = (text: string | null) => {
    latest.current = text;
    setHeld(text);
    if (field === undefined) return;
    if (text === null) typed.drop(field);
    else typed.put(field, text, expected.current.at(-1) ?? show(value));
  };
  const reset = () => {
    hold(null);
    setWhy(null);
  };
  const type = (text: string) => {
    if (latest.current === null) expected.current.push(show(value));
    hold(text);
    setWhy(null);
  };
  const commit = async (): Promise<boolean> => {
    const text = latest.current;
    if (text === null) return true;
    const parsed = parse(text);
    if (!parsed.ok) {
      setWhy(parsed.why);
      return false;
    }
    const [next, now] = [show(parsed.value), show(value)];
    if (next === now) {
      reset();
      return true;
    }
    if (!expected.current.includes(now)) {
      expected.current = [now];
      setWhy(`Meanwhile it was changed to ${now || 'nothing'} elsewhere. Press Enter to use yours, Escape to keep that.`);
      return false;
    }
    expected.current = [now, next];
    // The new value shows at once from what is on its way; the field lets go of its own.
    const saved = save(parsed.value);
    reset();
    try {
      await saved;
      return true;
    } catch (error) {
      // What has been typed since stays.
      if (latest.current === null) hold(text);
      setWhy(error instanceof Refusal ? error.message : 'This was not saved. Try again.');
      return false;
    }
  };
  return { text: held ?? show(value), why, changed: held !== null, type, commit, reset };
}
