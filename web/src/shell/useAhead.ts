import { useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { atRevision, type Asking } from '../season/useOfRevision';
import { useMaybeSnapshot } from '../season/SeasonContext';
import { askBench } from '../screens/bench/useBench';
import { askCalendar } from '../screens/calendar/useCalendar';
import { askCompared } from '../screens/compare/useCompared';
import { askLedger } from '../screens/ledger/useLedger';
import { askPotting } from '../screens/pots/usePotting';
import { askReckoning } from '../screens/reckoning/useReckoning';
import { askShopping } from '../screens/shopping/useShopping';
import { askJobs } from '../screens/today/useJobs';
import { askTrays } from '../screens/trays/useTrays';
import { askWeather } from '../screens/weather/useWeather';
import { screens } from './screens';

/** What each screen asks first. */
const ASKS: Record<string, (season: number, setup: string) => Asking<unknown>> = {
  bench: askBench,
  calendar: askCalendar,
  compare: askCompared,
  ledger: askLedger,
  pots: askPotting,
  reckoning: askReckoning,
  advice: askReckoning,
  shopping: askShopping,
  today: askJobs,
  trays: askTrays,
  weather: askWeather,
};

/** Whoever only passes over a tab means another. */
const MEANT_MS = 80;
/** An answer that was asked for ahead is as good as new for so long. */
const FRESH_MS = 20_000;

/** Asks for a screen's code and answer while its tab is pointed at, so that they are there when the tab is pressed. */
export function useAhead(season: number) {
  const queries = useQueryClient();
  const snapshot = useMaybeSnapshot();
  const timer = useRef(0);
  const code: Record<string, () => Promise<unknown>> = screens;
  const go = (path: string) => {
    void code[path]?.().catch(() => undefined);
    const [revision, setup] = [snapshot?.entry?.revision, snapshot?.setup];
    const question = ASKS[path];
    if (question === undefined || revision === undefined || setup == null || !navigator.onLine) return;
    void queries.prefetchQuery({ ...atRevision(question(season, setup), revision), staleTime: FRESH_MS });
  };
  const stop = () => window.clearTimeout(timer.current);
  return (path: string) => ({
    onPointerEnter: () => {
      stop();
      timer.current = window.setTimeout(() => go(path), MEANT_MS);
    },
    onPointerLeave: stop,
    onPointerDown: () => go(path),
    onFocus: () => {
      stop();
      timer.current = window.setTimeout(() => go(path), MEANT_MS);
    },
    onBlur: stop,
  });
}
