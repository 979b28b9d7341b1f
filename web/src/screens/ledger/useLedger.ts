import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';

export const askLedger = (season: number, setup: string) =>
  asking(['ledger', season, setup], () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/ledger', { params: { path: { season, setup } } })),
  );

export const useLedger = (season: number, setup: string, revision: number) => useAsked(askLedger(season, setup), revision);
