import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

/** All set-ups side by side, at the season's present revision; the one before stays in sight while they are reckoned. */
export const askCompared = (season: number) =>
  asking(['compare', season], () => answered(client.GET('/api/seasons/{season}/compare', { params: { path: { season } } })));

export const useCompared = (season: number, revision: number) => useAsked(askCompared(season), revision);
