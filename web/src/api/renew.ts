import type { QueryClient, QueryKey } from '@tanstack/react-query';

/** Asks anew after a change. What is on its way for the first time may have been read before it, and is given up. */
export async function renew(queries: QueryClient, queryKey: QueryKey): Promise<void> {
  await queries.cancelQueries({ queryKey });
  await queries.invalidateQueries({ queryKey });
}
