import { Button } from 'antd';
import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { words } from '../../api/client';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { shownSetup } from '../../season/shownSetup';
import { useGuesses } from '../../season/useGuesses';
import { PlanningPage } from '../../page/Page';
import { day } from '../../words/dates';
import { money } from '../../words/money';
import { count, odds, plural, upper } from '../../words/sowing';
import { moreOf } from '../compare/Answer';
import { headline } from '../compare/headline';
import { useCompared } from '../compare/useCompared';
import { GuessLine } from '../guesses/GuessLine';
import guessStyles from '../guesses/guesses.module.css';
import s from './begin.module.css';

/** So many guesses are shown here; the others are a press away. */
const SHOWN = 3;

/** The answer to a new garden's four questions, and the guesses that matter most to it. */
export function FirstAnswerScreen() {
  const shown = useOnScreen();
  return <PlanningPage bare>{shown && <First shown={shown} />}</PlanningPage>;
}

function First({ shown }: { shown: OnScreen }) {
  const { id } = useStore();
  const { state } = useLocation() as { state: unknown };
  const { data, error } = useCompared(id, shown.revision);
  const advice = data?.comparison.advice;
  const advised = advice?.setup;
  // The screens after this one show the set-up that is recommended here.
  useEffect(() => {
    if (advised !== undefined) shownSetup.set(id, advised);
  }, [id, advised]);
  return (
    <div className={s.first} data-part="first-answer">
      <p className="quiet">Your first answer</p>
      <h1>{advice ? headline(advice) : 'What your plants cost'}</h1>
      {error && <p role="alert">{words(error)}</p>}
      {advice && <Figures shown={shown} advice={advice} />}
      {shown.setup.id === advised && <MatterMost shown={shown} />}
      <p>
        <Link to={`/seasons/${id}/list`} state={state}>
          <Button type="primary" size="large" tabIndex={-1}>
            Look at my list
          </Button>
        </Link>
      </p>
    </div>
  );
}

type Advice = NonNullable<NonNullable<ReturnType<typeof useCompared>['data']>['comparison']['advice']>;

function Figures({ shown, advice }: { shown: OnScreen; advice: Advice }) {
  const { season } = shown;
  const coin = (amount: number | null) => money(amount, season.currency, true);
  const [firstSowing] = shown.result.crops.flatMap(({ sow_on: on }) => (on === null ? [] : [on])).sort();
  const setup = season.setups.find(({ id }) => id === advice.setup)?.name ?? advice.setup;
  const cash = advice.fitted?.cash_now ?? (shown.setup.id === advice.setup ? shown.pictures.till.cash_now : null);
  return (
    <dl>
      <div className={s.lead}>
        <dt>Cost per finished seedling</dt>
        <dd>{coin(advice.per_finished)}</dd>
      </div>
      {advice.same !== null && advice.nursery !== null && (
        <>
          <div>
            <dt>The same plants, grown, each</dt>
            <dd>{coin(advice.same)}</dd>
          </div>
          <div>
            <dt>from the nursery, each</dt>
            <dd>{coin(advice.nursery)}</dd>
          </div>
        </>
      )}
      {advice.saves !== null && (
        <div className={s.saved}>
          <dt>
            {advice.saves < 0 ? 'You pay more this season' : 'You save this season'}
            {advice.p_keep !== null && ` (${odds(advice.p_keep)} chance to save)`}
          </dt>
          <dd>{money(Math.abs(advice.saves), season.currency)}</dd>
        </div>
      )}
      <div>
        <dt>Set-up</dt>
        <dd className={s.words}>
          {setup}
          {advice.fitted !== null && `, ${moreOf(advice.fitted)}`}
        </dd>
      </div>
      {cash !== null && (
        <div>
          <dt>Cash now</dt>
          <dd>{money(cash, season.currency)}</dd>
        </div>
      )}
      {firstSowing !== undefined && (
        <div>
          <dt>First sowing</dt>
          <dd>{day(firstSowing, season.units === 'us')}</dd>
        </div>
      )}
    </dl>
  );
}

function MatterMost({ shown }: { shown: OnScreen }) {
  const { id } = useStore();
  const { data } = useGuesses(shown, true);
  const guesses = data?.guesses ?? [];
  if (guesses.length === 0) return null;
  return (
    <>
      <p>
        {upper(count(guesses.length))} {plural(guesses.length, 'number is', 'numbers are')} still{' '}
        {plural(guesses.length, 'a guess', 'guesses')}.{' '}
        {guesses.length > SHOWN && (
          <>
            The three that matter most are below.{' '}
            <Link className="plain" to={`/seasons/${id}/guesses`}>
              See all
            </Link>
          </>
        )}
      </p>
      <ol className={guessStyles.guesses}>
        {guesses.slice(0, SHOWN).map((guess) => (
          <GuessLine key={guess.path.join('.')} guess={guess} shown={shown} />
        ))}
      </ol>
    </>
  );
}
