import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

export const useSeasons = () => useQuery({ queryKey: ['seasons'], queryFn: () => answered(client.GET('/api/seasons')) });
