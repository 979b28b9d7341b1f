import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';

/** Places, lamps and mats of a set-up day by day, at the season's present revision. */
export const useBench = (season: number, setup: string, revision: number) =>
  useOfRevision(['bench', season, setup], revision, () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/bench', { params: { path: { season, setup } } })),
  );
