import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

export const askReckoning = (season: number, setup: string) =>
  asking(['trays', season, 'reckoning', setup], () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/reckoning', { params: { path: { season, setup } } })),
  );

/** What a set-up's season came to so far, what to believe of it, and what each crop earns for its room. */
export const useReckoning = (season: number, setup: string, revision: number) => useAsked(askReckoning(season, setup), revision);
