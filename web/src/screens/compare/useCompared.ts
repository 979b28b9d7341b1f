import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

/** All set-ups side by side, at the season's present revision; the one before stays in sight while they are reckoned. */
export const useCompared = (season: number, revision: number) =>
  useQuery({
    queryKey: ['compare', season, revision],
    queryFn: () => answered(client.GET('/api/seasons/{season}/compare', { params: { path: { season } } })),
    placeholderData: (before) => before,
  });
