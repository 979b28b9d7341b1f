import { createContext, useContext } from 'react';

const KEY = 'jolly-penny-typed';
/** The oldest go first. */
const MOST = 40;

/** What stands in a field and is not saved, and what it stands over. */
export interface Typed {
  text: string;
  over: string;
}

const all = (): [string, Typed][] => {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as [string, Typed][];
  } catch {
    return [];
  }
};

function write(entries: [string, Typed][]): void {
  try {
    if (entries.length === 0) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, JSON.stringify(entries.slice(-MOST)));
  } catch {
    // A browser that keeps nothing loses it on reload.
  }
}

/** Text that was typed and not saved, over a reload, Back and a closed tab. */
export const typed = {
  get: (field: string): Typed | null => all().find(([key]) => key === field)?.[1] ?? null,
  put: (field: string, text: string, over: string): void =>
    write([...all().filter(([key]) => key !== field), [field, { text, over }]]),
  drop: (field: string): void => {
    const entries = all();
    const rest = entries.filter(([key]) => key !== field);
    if (rest.length < entries.length) write(rest);
  },
  clear: (): void => write([]),
};

/** What the fields within are of, where their names do not say it. */
export const FieldsOf = createContext('');

/** A field's name among all of the application. */
export const useFieldName = (name: string): string => `${window.location.pathname} ${useContext(FieldsOf)} ${name}`;
