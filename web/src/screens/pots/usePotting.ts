import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

/** Pots, mix and supplies of a set-up, at the season's present revision. */
export const usePotting = (season: number, setup: string, revision: number) =>
  useQuery({
    queryKey: ['pots', season, setup, revision],
    queryFn: () => answered(client.GET('/api/seasons/{season}/setups/{setup}/pots', { params: { path: { season, setup } } })),
    placeholderData: (before) => before,
  });
