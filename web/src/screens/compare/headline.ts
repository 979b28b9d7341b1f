import type { Compared } from '../../api/types';
import { count, plural } from '../../words/sowing';

export type Advice = NonNullable<Compared['comparison']['advice']>;

/** Growing costs more than buying the same plants. Where nobody sells any of them there is nothing to buy instead. */
export const isForNothing = (advice: Advice): boolean => advice.saves !== null && advice.saves < 0;

/** What to do, in a few words. */
export function headline(advice: Advice): string {
  const grown = advice.grow.length + advice.along.length;
  const crops = (n: number) => `${count(n)} ${plural(n, 'crop')}`;
  if (grown === 0) return 'Buy all of them as plants';
  if (isForNothing(advice)) return 'Buying costs less this season';
  if (advice.buy.length === 0 && advice.no_room.length > 0) return `Grow ${crops(grown)} from seed`;
  if (advice.buy.length === 0)
    return grown === 1 ? 'Grow your crop from seed' : `Grow ${grown === 2 ? 'both crops' : `all ${crops(grown)}`} from seed`;
  return `Grow ${crops(grown)}, buy ${count(advice.buy.length)}`;
}
