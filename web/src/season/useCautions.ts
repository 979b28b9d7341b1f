import { useQuery } from '@tanstack/react-query';
import { answered, client } from '../api/client';
import type { Warned } from '../api/types';

/** Everything that can hurt someone at this work. */
export const useAllCautions = () =>
  useQuery({ queryKey: ['cautions'], queryFn: () => answered(client.GET('/api/cautions')), staleTime: Infinity });

/** The cautions of these keys, in their order of gravity. */
export function useCautions(keys: readonly string[]): Warned[] {
  const { data } = useAllCautions();
  return data?.cautions.filter(({ id }) => keys.includes(id)) ?? [];
}
