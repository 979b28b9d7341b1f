import type { Compared, Season } from '../../api/types';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { count, odds, plural } from '../../words/sowing';
import { lackWords } from './lacks';
import s from './compare.module.css';

const SHOWN = 4;

type Advice = NonNullable<Compared['comparison']['advice']>;
type Lacks = Compared['comparison']['setups'][number]['lacks'];

/** One sentence: grow these, buy those, it costs so much and saves so much; or buy them all. */
export function AdviceLine({ compared, season }: { compared: Compared['comparison']; season: Season }) {
  const { advice } = compared;
  if (advice === null) return null;
  const buys = compared.setups.find(({ id }) => id === advice.setup)?.to_buy.length !== 0 || advice.fitted !== null;
  const setup = season.setups.find(({ id }) => id === advice.setup)?.name ?? advice.setup;
  const lacks = advice.fitted !== null ? [] : (compared.setups.find(({ id }) => id === advice.setup)?.lacks ?? []);
  const cash = (amount: number) => money(amount, season.currency);
  const trip =
    season.nursery_trip_cost > 0 && advice.buy.length + advice.along.length > 0 ? ', a trip to the nursery with it' : '';
  if (advice.saves === null || advice.saves < 0) {
    return (
      <p className={s.advice} data-test="advice">
        <b>Buy them.</b>{' '}
        {advice.saves === null
          ? `No set-up here is cheaper than ${setup}: ${cash(advice.cost)} for the list${trip}.`
          : `The cheapest set-up that grows, ${setup}, costs ${cash(-advice.saves)} more than buying the same plants.`}
        <Short advice={advice} season={season} lacks={lacks} />
      </p>
    );
  }
  return (
    <p className={s.advice} data-test="advice">
      <b>
        {setup}
        {advice.fitted === null ? '' : `, ${moreOf(advice.fitted)}`}
      </b>
      : {whatToDo(advice, season)}. Filling your list costs {cash(advice.cost)}
      {trip}; growing saves {cash(advice.saves)} against buying the same plants
      {advice.p_keep === null ? '' : `, and something in ${odds(advice.p_keep).replace(' in 100', ' of 100')} seasons`}.
      {advice.payback_season === null || !buys ? '' : ` ${paidBack(advice.payback_season)}`}
      {compared.room_costs !== null &&
        ` Room for all of it costs ${cash(compared.room_costs)} more than the cheapest crowded set-up.`}
      <Short advice={advice} season={season} lacks={lacks} />
    </p>
  );
}

/** "with one more lamp and two more mats" */
export function moreOf({ lights, mats }: { lights: number; mats: number }): string {
  const parts = [
    lights > 0 ? `${count(lights)} more ${plural(lights, 'lamp')}` : '',
    mats > 0 ? `${count(mats)} more ${plural(mats, 'mat')}` : '',
  ].filter(Boolean);
  return `with ${parts.join(' and ')}`;
}

const paidBack = (season: number): string =>
  season === 1
    ? 'What you buy for it has paid for itself in the first season.'
    : `What you buy for it has paid for itself in season ${season}.`;

/** What the way that stands first still lacks, where none does without. */
function Short({ advice, season, lacks }: { advice: Advice; season: Season; lacks: Lacks }) {
  const troubles = lacks.map(({ code, crops }) => `${lackWords(code, crops)} ${plural(crops, 'crop')}`);
  const mind = troubles.length === 0 ? '' : ` ▲ It is ${troubles.join(' and ')}: look at those on the list first.`;
  if (advice.qualifies) return mind === '' ? null : <span className="trouble">{mind}</span>;
  const missing = Math.round(advice.missing);
  return (
    <span>
      {mind}{' '}
      {missing >= 1
        ? `No set-up here is sure of the whole list; this one leaves the fewest open, about ${count(missing)} ${plural(missing, 'plant')} that nobody sells.`
        : 'No set-up here has room for the whole list; this one would be crowded.'}
      {advice.no_room.length > 0 &&
        ` Nobody sells ${namesOf(season, advice.no_room)}, and there is no room for ${advice.no_room.length === 1 ? 'it' : 'them'}: sow in the bed, or leave out.`}
    </span>
  );
}

function namesOf(season: Season, crops: string[]): string {
  const shown = crops.length > SHOWN ? crops.slice(0, SHOWN - 1) : crops;
  const names = shown.map((crop) => varietyOf(season, crop)).join(', ');
  return crops.length > SHOWN ? `${names} and ${crops.length - SHOWN + 1} more` : names.replace(/, ([^,]*)$/, ' and $1');
}

function whatToDo(advice: Advice, season: Season): string {
  const list = (crops: string[]) => namesOf(season, crops);
  return [
    advice.grow.length > 0 ? `grow ${list(advice.grow)}` : '',
    advice.along.length > 0 ? `grow ${list(advice.along)} along, as the bench runs anyway` : '',
    advice.buy.length > 0 ? `buy ${list(advice.buy)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
