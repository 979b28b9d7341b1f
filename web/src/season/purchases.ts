import { useMutation, useMutationState, type QueryClient } from '@tanstack/react-query';
import { answered, client, worthRetrying } from '../api/client';
import { renew } from '../api/renew';
import { lastStep } from './lastStep';
import type { NewPurchase, Purchase, ShoppingItem, ShoppingState } from '../api/types';

/** The kind of mutations that say what was bought; kept over a reload, like changes. */
export const BUY = 'buy';
const RETRY_MS = 3000;

/** Something bought, or with `bought` null, not bought after all. Its token makes it count once, however often it is sent. */
export interface Buying {
  season: number;
  token: string;
  bought: NewPurchase | null;
}

async function send({ season, token, bought }: Buying): Promise<string> {
  const params = { path: { season, token } };
  await (bought === null
    ? answered(client.DELETE('/api/seasons/{season}/purchases/{token}', { params }))
    : answered(client.PUT('/api/seasons/{season}/purchases/{token}', { params, body: bought })));
  return token;
}

/** How purchases are sent, also those that an earlier page left behind. */
export function rememberBuying(queries: QueryClient): void {
  queries.setMutationDefaults([BUY], {
    mutationFn: send,
    retry: (_, error) => worthRetrying(error),
    retryDelay: RETRY_MS,
    // Known at once, not only with the next answer: what is ticked meanwhile was bought in the same shop.
    onSuccess: (_token, buying: Buying) =>
      queries.setQueriesData<ShoppingState>(
        { queryKey: ['shopping', buying.season] },
        (known) => known && { ...known, purchases: withWaiting(known.purchases, [buying]) },
      ),
    // What was paid moves the reckoning too, which goes with the trays.
    onSettled: (_data, _error, { season }: Buying) => void renew(queries, ['shopping', season], ['trays', season]),
  });
}

/** Says what was bought; and what of it is still on its way. */
export function useBuying(season: number) {
  const { mutateAsync } = useMutation<string, Error, Buying>({ mutationKey: [BUY, season], scope: { id: `buy-${season}` } });
  const waiting = useMutationState({
    filters: { mutationKey: [BUY, season], status: 'pending' },
    select: ({ state }) => state.variables as Buying,
  });
  return {
    waiting,
    buy: (bought: NewPurchase, token: string = crypto.randomUUID()) => {
      lastStep.did({
        season,
        label: `bought ${bought.name}`,
        undo: () => void mutateAsync({ season, token, bought: null }).catch(() => undefined),
      });
      return mutateAsync({ season, token, bought });
    },
    unbuy: (token: string) => mutateAsync({ season, token, bought: null }),
  };
}

/** What was bought as the server has it, with what is on its way on top. */
export function withWaiting(known: Purchase[], waiting: Buying[]): Purchase[] {
  const now = new Map(known.map((one) => [one.id, one]));
  for (const { token, bought } of waiting) {
    if (bought === null) now.delete(token);
    else now.set(token, { ...bought, id: token, shop: bought.shop ?? '', note: bought.note ?? '' });
  }
  return [...now.values()];
}

/** Packs of them all. */
const packsOf = (bought: Purchase[]): number => bought.reduce((sum, { packs }) => sum + packs, 0);

/** Packs of a thing still to buy, below 0 where more were bought than the plan needs; also while the server is away. */
export const packsLeft = (item: ShoppingItem, bought: Purchase[]): number => item.packs - packsOf(bought);

/** Money for so many packs, to the hundredth of a cent. */
export const priceOf = (packs: number, each: number): number => Number((packs * each).toFixed(4));

/** Money for one of the packs. */
export const priceEach = ({ paid, packs }: Purchase): number => paid / packs;
