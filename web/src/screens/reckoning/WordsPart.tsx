import { Button } from 'antd';
import type { Work } from '../../api/types';
import { Progress } from '../../season/Progress';
import type { OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { odds } from '../../words/sowing';
import { worthMeasuring } from './HangsOnPart';
import { useWork } from './useWork';
import s from './reckoning.module.css';

/** Half a page that can be read aloud: what to grow, buy and change, what it costs, how sure, what to measure. */
export function WordsPart({ shown }: { shown: OnScreen }) {
  // One after the other: a person may have no more than two things worked out at a time.
  const played = useWork(shown.id, shown.setup.id, 'simulation');
  const hangs = useWork(shown.id, shown.setup.id, 'hangs_on', played.begin);
  const advice = useWork(shown.id, shown.setup.id, 'advice', hangs.begin);
  const works = [advice, hangs, played];
  const begun = works.find((one) => one.begun !== null);
  const next = works.find((one) => one.done === null || one.done.revision !== shown.revision);
  const why = works.find((one) => one.why !== null)?.why ?? null;
  return (
    <section aria-labelledby="words-title" data-part="words">
      <h2 id="words-title">A summary in words</h2>
      {next === undefined && advice.done && hangs.done && played.done ? (
        <Words shown={shown} advice={advice.done} hangs={hangs.done} played={played.done} />
      ) : begun?.begun ? (
        <Progress season={shown.id} begun={begun.begun} ended={begun.ended} />
      ) : (
        <Button data-action="ask-words" onClick={advice.begin} loading={works.some(({ asking }) => asking)}>
          Write the summary
        </Button>
      )}
      {why !== null && <p role="alert">{why}</p>}
    </section>
  );
}

const listed = (names: string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

function Words({ shown, advice, hangs, played }: { shown: OnScreen; advice: Work; hangs: Work; played: Work }) {
  const { season, setup, result } = shown;
  const sum = (value: number | null) => money(value, season.currency);
  const each = (value: number | null) => money(value, season.currency, true);
  const names = (test: (crop: (typeof result.crops)[number]) => boolean) => [
    ...new Set(result.crops.filter(test).map(({ id }) => varietyOf(season, id))),
  ];
  const grown = names(({ grown: is }) => is);
  const bought = names(({ grown: is, cost }) => !is && cost !== null);
  const better = names(({ verdict }) => verdict === 'buy');
  const changes = (advice.advice?.changes ?? []).filter(({ breaks }) => breaks.length === 0).slice(0, 3);
  const levers = worthMeasuring(hangs.hangs_on?.levers ?? []).map(({ name }) => name);
  const nursery = (hangs.hangs_on?.flips ?? []).find(({ what, crop }) => what === 'nursery' && crop === null);
  const sure = played.simulation;
  const bad = sure?.kinds.find(({ name }) => name === 'bad');
  return (
    <div className={s.words} data-part="said">
      <p>
        With “{setup.name}” you grow {listed(grown)}
        {bought.length > 0 && ` and buy ${listed(bought)}`}. A finished seedling costs {each(result.per_finished)}.
        {result.nursery_per_plant !== null &&
          ` The plants that a nursery sells too cost ${each(result.same_per_plant)} each, from the nursery ${each(result.nursery_per_plant)}.`}{' '}
        The season costs {sum(result.cost)}. You pay {sum(result.cash_now)} now
        {result.cash_now > result.cost && ', partly for equipment that lasts for years'}.
        {result.keep !== null && ` Growing ${result.keep >= 0 ? 'saves' : 'costs'} ${sum(Math.abs(result.keep))} against buying.`}
        {better.length > 0 && ` Cheaper bought: ${listed(better)}.`}
      </p>
      <p>
        {changes.length === 0
          ? 'No change saves more than a few cents.'
          : `What saves most: ${changes.map((one) => `${one.words.charAt(0).toLowerCase()}${one.words.slice(1)} (${sum(one.saves)})`).join('; ')}.`}
      </p>
      {sure && (
        <p>
          Of ten seasons eight give {Math.round(sure.useful.low ?? 0)} to {Math.round(sure.useful.high ?? 0)} plants, at{' '}
          {each(sure.per_finished.low)} to {each(sure.per_finished.high)} each
          {sure.p_keep !== null && `. Growing saves something ${odds(sure.p_keep)} times`}.
          {bad && ` In a bad one it is ${Math.round(bad.useful)} plants at ${each(bad.per_finished)}.`}
        </p>
      )}
      <p>
        Measure or ask first: {listed(levers)}.
        {nursery?.below != null && ` Were a bought plant to cost less than ${each(nursery.below)}, buying would win.`}
        {nursery?.above != null && ` Were a bought plant to cost more than ${each(nursery.above)}, growing would win.`}
      </p>
    </div>
  );
}
