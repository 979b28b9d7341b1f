import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

/** What is to buy for a set-up, at the season's present revision, and what was bought. */
export const askShopping = (season: number, setup: string) =>
  asking(['shopping', season, setup], () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/shopping', { params: { path: { season, setup } } })),
  );

export const useShopping = (season: number, setup: string, revision: number) => useAsked(askShopping(season, setup), revision);
