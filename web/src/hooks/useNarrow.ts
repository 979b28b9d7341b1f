import { useSyncExternalStore } from 'react';

const NARROW = window.matchMedia('(max-width: 760px)');

/** Whether the page is a phone's, or enlarged so far that it is as narrow. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    (listener) => {
      NARROW.addEventListener('change', listener);
      return () => NARROW.removeEventListener('change', listener);
    },
    () => NARROW.matches,
  );
