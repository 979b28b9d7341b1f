import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

/** Places, lamps and mats of a set-up day by day, at the season's present revision. */
export const askBench = (season: number, setup: string) =>
  asking(['bench', season, setup], () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/bench', { params: { path: { season, setup } } })),
  );

export const useBench = (season: number, setup: string, revision: number) => useAsked(askBench(season, setup), revision);
