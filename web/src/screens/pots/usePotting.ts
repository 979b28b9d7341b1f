import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';

/** Pots, mix and supplies of a set-up, at the season's present revision. */
export const usePotting = (season: number, setup: string, revision: number) =>
  useOfRevision(['pots', season, setup], revision, () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/pots', { params: { path: { season, setup } } })),
  );
