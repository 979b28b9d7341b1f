import { Link } from 'react-router';
import type { Compared, Season } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { Help } from '../../words/Help';
import { money, range } from '../../words/money';
import { count, odds, plural, upper } from '../../words/sowing';
import { headline, isForNothing, type Advice } from './headline';
import { lackWords } from './lacks';
import s from './compare.module.css';

const SHOWN = 4;

type Comparison = Compared['comparison'];

/** The answer first: what to do, in two sentences, and the three figures it rests on. */
export function Answer({ compared, season }: { compared: Comparison; season: Season }) {
  const { advice } = compared;
  if (advice === null) return <h1>What your plants cost</h1>;
  return (
    <div className={s.answer}>
      <div>
        <h1>{headline(advice)}</h1>
        <p className={s.advice} data-test="advice">
          <Deed advice={advice} season={season} />
          <Troubles advice={advice} compared={compared} season={season} />
        </p>
        <Money advice={advice} compared={compared} season={season} />
      </div>
      <Figures advice={advice} currency={season.currency} />
    </div>
  );
}

/** Which set-up to use, what to grow in it and what to buy. */
function Deed({ advice, season }: { advice: Advice; season: Season }) {
  const { id } = useStore();
  const setup = season.setups.find(({ id: one }) => one === advice.setup)?.name ?? advice.setup;
  const grown = [...advice.grow, ...advice.along];
  const deeds = [
    grown.length > 0 ? `Grow ${namesOf(season, grown)}` : '',
    advice.buy.length > 0 ? `buy ${namesOf(season, advice.buy)}` : '',
  ].filter(Boolean);
  return (
    <>
      Use <b>{setup}</b>
      {advice.fitted === null ? '' : `, ${moreOf(advice.fitted)}`}. {upper(deeds.join('; '))}.{' '}
      {advice.along.length > 0 &&
        `${namesOf(season, advice.along)} ${advice.along.length === 1 ? 'is' : 'are'} worth growing only because the lights are on anyway. `}
      <Link to={`/seasons/${id}/shopping`}>Make the shopping list</Link>
    </>
  );
}

/** What is wrong with it, in the same breath. */
function Troubles({ advice, compared, season }: { advice: Advice; compared: Comparison; season: Season }) {
  const lacks = advice.fitted === null ? (compared.setups.find(({ id }) => id === advice.setup)?.lacks ?? []) : [];
  const troubles = lacks.map(({ code, crops }) => `${lackWords(code, crops)} ${plural(crops, 'crop')}`);
  const missing = Math.round(advice.missing);
  const sentences = [
    troubles.length > 0 ? `It is ${troubles.join(' and ')}.` : '',
    !advice.qualifies && missing >= 1
      ? `About ${count(missing)} ${plural(missing, 'plant')} will be missing, and they are not sold. No set-up here does better.`
      : '',
    !advice.qualifies && missing < 1 ? 'It has too little room, and so has every other set-up here.' : '',
    advice.no_room.length > 0
      ? `${namesOf(season, advice.no_room)}: no room, and not sold as plants. Sow in the bed, or leave out.`
      : '',
  ].filter(Boolean);
  return sentences.length === 0 ? null : <span className="trouble"> ▲ {sentences.join(' ')}</span>;
}

function Money({ advice, compared, season }: { advice: Advice; compared: Comparison; season: Season }) {
  const cash = (amount: number) => money(amount, season.currency);
  const buys = compared.setups.find(({ id }) => id === advice.setup)?.to_buy.length !== 0 || advice.fitted !== null;
  const sentences = [
    advice.buying === null
      ? `The whole list costs ${cash(advice.cost)}.`
      : `Growing costs ${cash(advice.cost)} for the whole list, including replacements. Buying the same plants costs ${cash(advice.buying)}.`,
    advice.payback_season === null || !buys || isForNothing(advice)
      ? ''
      : advice.payback_season === 1
        ? 'The equipment you buy pays for itself in the first season.'
        : `The equipment you buy pays for itself in season ${advice.payback_season}.`,
    compared.room_costs === null ? '' : `A crowded set-up would cost ${cash(compared.room_costs)} less.`,
  ].filter(Boolean);
  return <p className="quiet">{sentences.join(' ')}</p>;
}

function Figures({ advice, currency }: { advice: Advice; currency: string }) {
  const coin = (amount: number | null) => money(amount, currency, true);
  return (
    <dl className={s.cards} data-part="answer-figures">
      <div>
        <dt>
          Cost per finished seedling
          <Help term="finished" />
        </dt>
        <dd>{coin(advice.per_finished)}</dd>
        {advice.per_finished_low !== null && advice.per_finished_high !== null && (
          <dd className={s.cardNote}>most seasons {range(advice.per_finished_low, advice.per_finished_high, currency)}</dd>
        )}
      </div>
      {advice.same !== null && advice.nursery !== null && (
        <div>
          <dt>
            The same plants,{' '}
            <span className={s.withHelp}>
              each
              <Help term="same" />
            </span>
          </dt>
          <dd>
            {coin(advice.same)} <span className={s.cardNote}>grown</span>
          </dd>
          <dd>
            {coin(advice.nursery)} <span className={s.cardNote}>nursery</span>
          </dd>
        </div>
      )}
      {advice.saves !== null && (
        <div>
          <dt>
            {advice.saves < 0 ? 'You pay more this ' : 'You save this '}
            <span className={s.withHelp}>
              season
              <Help term="save" />
            </span>
          </dt>
          <dd>{money(Math.abs(advice.saves), currency)}</dd>
          {advice.p_keep !== null && <dd className={s.cardNote}>{odds(advice.p_keep)} chance to save</dd>}
        </div>
      )}
    </dl>
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

function namesOf(season: Season, crops: string[]): string {
  const shown = crops.length > SHOWN ? crops.slice(0, SHOWN - 1) : crops;
  const names = shown.map((crop) => varietyOf(season, crop)).join(', ');
  return crops.length > SHOWN ? `${names} and ${crops.length - SHOWN + 1} more` : names.replace(/, ([^,]*)$/, ' and $1');
}
