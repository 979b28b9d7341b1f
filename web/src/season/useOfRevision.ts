import { useQuery, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { newest } from './known';

/** A question about a season, without the revision it is asked at. */
export interface Asking<T> {
  key: QueryKey;
  ask: () => Promise<T>;
}

export const asking = <T>(key: QueryKey, ask: () => Promise<T>): Asking<T> => ({ key, ask });

/** As it is asked at a revision, whether by a screen that is there or ahead of one. */
export const atRevision = <T>({ key, ask }: Asking<T>, revision: number) => ({ queryKey: [...key, { revision }], queryFn: ask });

/** What is asked about a revision of a season; until it is here, the newest answer there was. */
export function useAsked<T>(question: Asking<T>, revision: number, enabled = true) {
  const queries = useQueryClient();
  return useQuery<T>({
    ...atRevision(question, revision),
    enabled,
    placeholderData: () => newest<T>(queries, question.key) as never,
  });
}

export const useOfRevision = <T>(key: QueryKey, revision: number, ask: () => Promise<T>, enabled = true) =>
  useAsked(asking(key, ask), revision, enabled);
