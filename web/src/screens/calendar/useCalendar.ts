import { answered, client } from '../../api/client';
import { useOfRevision } from '../../season/useOfRevision';

export const useCalendar = (season: number, setup: string, revision: number) =>
  useOfRevision(['calendar', season, setup], revision, () =>
    answered(client.GET('/api/seasons/{season}/setups/{setup}/calendar', { params: { path: { season, setup } } })),
  );
