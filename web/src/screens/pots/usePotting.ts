import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

/** Pots, mix and supplies of a set-up, at the season's present revision. */
export const askPotting = (season: number, setup: string) =>
  asking(['pots', season, setup], () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/pots', { params: { path: { season, setup } } })),
  );

export const usePotting = (season: number, setup: string, revision: number) => useAsked(askPotting(season, setup), revision);
