import { useQuery, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { newest } from './known';

/** What is asked about a revision of a season; until it is here, the newest answer there was. */
export function useOfRevision<T>(key: QueryKey, revision: number, ask: () => Promise<T>, enabled = true) {
  const queries = useQueryClient();
  return useQuery<T>({
    queryKey: [...key, { revision }],
    queryFn: ask,
    enabled,
    placeholderData: () => newest<T>(queries, key) as never,
  });
}
