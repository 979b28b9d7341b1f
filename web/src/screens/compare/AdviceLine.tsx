import type { Compared, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import s from './compare.module.css';

const SHOWN = 4;

/** One sentence: grow these, buy those, it costs so much and saves so much. */
export function AdviceLine({ advice, season }: { advice: Compared['comparison']['advice']; season: Season }) {
  if (advice === null) return null;
  const name = (crop: string) => varietyOf(season, crop);
  const list = (crops: string[]) =>
    crops.length > SHOWN
      ? `${crops
          .slice(0, SHOWN - 1)
          .map(name)
          .join(', ')} and ${crops.length - SHOWN + 1} more`
      : crops
          .map(name)
          .join(', ')
          .replace(/, ([^,]*)$/, ' and $1');
  const setup = season.setups.find(({ id }) => id === advice.setup)?.name ?? advice.setup;
  const parts = [
    advice.grow.length > 0 ? `grow ${list(advice.grow)}` : '',
    advice.along.length > 0 ? `grow ${list(advice.along)} along, as the bench runs anyway` : '',
    advice.buy.length > 0 ? `buy ${list(advice.buy)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
  const saves =
    advice.saves === null
      ? ''
      : advice.saves >= 0
        ? `, which saves ${money(advice.saves, season.currency)} against buying it all`
        : `, ${money(-advice.saves, season.currency)} more than buying it all`;
  return (
    <p className={s.advice} data-test="advice">
      <b>{setup}</b>: {parts}. Filling your list costs {money(advice.cost, season.currency)}
      {saves}.
    </p>
  );
}
