import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

/** Places, lamps and mats of a set-up day by day, at the season's present revision. */
export const useBench = (season: number, setup: string, revision: number) =>
  useQuery({
    queryKey: ['bench', season, setup, revision],
    queryFn: () => answered(client.GET('/api/seasons/{season}/setups/{setup}/bench', { params: { path: { season, setup } } })),
    placeholderData: (before) => before,
  });
