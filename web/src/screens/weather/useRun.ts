import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { words } from '../../api/client';

/** What the weather changes: every screen that says a day by it. */
const TOUCHED = ['weather', 'today', 'trays', 'calendar'];

/** Runs a change of the weather and has the screens ask anew; says why where it was refused. */
export function useRun(season: number) {
  const queries = useQueryClient();
  const [why, setWhy] = useState<string | null>(null);
  const run = async (change: () => Promise<unknown>) => {
    setWhy(null);
    try {
      await change();
      await Promise.all(TOUCHED.map((key) => queries.invalidateQueries({ queryKey: [key, season] })));
    } catch (error) {
      setWhy(words(error));
    }
  };
  return { why, run, refuse: setWhy };
}
