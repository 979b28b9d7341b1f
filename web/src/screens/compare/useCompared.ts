import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';

/** All set-ups side by side, at the season's present revision; the one before stays in sight while they are reckoned. */
export const useCompared = (season: number, revision: number) =>
  useOfRevision(['compare', season], revision, () =>
    answered(client.GET('/api/seasons/{season}/compare', { params: { path: { season } } })),
  );
