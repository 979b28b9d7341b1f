import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

export const useCalendar = (season: number, setup: string, revision: number) =>
  useQuery({
    queryKey: ['calendar', season, setup, revision],
    queryFn: () => answered(client.GET('/api/seasons/{season}/setups/{setup}/calendar', { params: { path: { season, setup } } })),
    placeholderData: (before, query) => (query?.queryKey[2] === setup ? before : undefined),
  });
