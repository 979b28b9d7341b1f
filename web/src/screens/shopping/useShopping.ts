import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';

/** What is to buy for a set-up, at the season's present revision, and what was bought. */
export const useShopping = (season: number, setup: string, revision: number) =>
  useOfRevision(['shopping', season, setup], revision, () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/shopping', { params: { path: { season, setup } } })),
  );
