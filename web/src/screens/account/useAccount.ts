import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../../api/client';

export const useAccount = () =>
  useQuery({ queryKey: ['account'], queryFn: () => answered(client.GET('/api/account')), retry: false });
