import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * Asks anew after a change. What is on its way for the first time may have been read before it, and is given up. What then cannot be had
 * is said where it is shown.
 */
export const renew = (queries: QueryClient, ...keys: QueryKey[]): Promise<void> => ask(queries, keys, false);

/** The same, and fails where an answer cannot be had. */
export const renewSurely = (queries: QueryClient, ...keys: QueryKey[]): Promise<void> => ask(queries, keys, true);

async function ask(queries: QueryClient, keys: QueryKey[], strict: boolean): Promise<void> {
  await Promise.all(
    keys.map(async (queryKey) => {
      await queries.cancelQueries({ queryKey });
      await queries.invalidateQueries({ queryKey }, { throwOnError: strict });
    }),
  );
}
