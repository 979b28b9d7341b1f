import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** What ships with the application: species, schools, ready-made set-ups, currencies; asked once. */
export const useCatalogue = () =>
  useQuery({ queryKey: ['catalogue'], queryFn: () => answered(client.GET('/api/catalogue')), staleTime: Infinity });
