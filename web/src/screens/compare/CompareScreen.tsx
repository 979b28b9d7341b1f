import { clsx } from 'clsx';
import { useState } from 'react';
import { words } from '../../api/client';
import type { Season } from '../../api/types';
import { AddSetup } from '../../page/AddSetup';
import { PlanningPage } from '../../page/Page';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { coinMoney, money } from '../../words/money';
import { Answer } from './Answer';
import { DifferencePart } from './DifferencePart';
import { SetupPanel } from './SetupPanel';
import { SideBySide } from './SideBySide';
import { useCompared } from './useCompared';
import { VerdictTable } from './VerdictTable';
import { YearsPart } from './YearsPart';
import s from './compare.module.css';

/** All the ways side by side: what one plant costs in each, and everything that goes with it. */
export function CompareScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Side shown={shown} />}</PlanningPage>;
}

function Side({ shown }: { shown: OnScreen }) {
  const { season, setup, id: seasonId, revision } = shown;
  const { data, error } = useCompared(seasonId, revision);
  const [price, setPrice] = useState(false);
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Costing every set-up…
      </p>
    );
  const setups = season.setups.filter(({ id }) => data.comparison.setups.some((row) => row.id === id));
  const best = data.comparison.advice?.setup;
  const unfair = data.comparison.setups.filter(({ fair, priced_in }) => !fair && priced_in !== null);
  if (season.setups.length === 0 || season.crops.length === 0) return <NothingYet season={season} />;
  return (
    <>
      <Answer compared={data.comparison} season={season} />
      <div className="list-head">
        <p className="quiet">
          Each coin is {coinMoney(data.stacks.coin, season.currency)}.
          {data.comparison.nursery === null
            ? ''
            : ` Dashed line: the same plants from the nursery, ${money(data.comparison.nursery, season.currency, true)} each.`}{' '}
          Press a figure to see how it is worked out.
        </p>
        <AddSetup season={season} />
      </div>
      <SideBySide shown={shown} data={data} setups={setups} price={price} />
      {unfair.length > 0 && (
        <label className={clsx('tick', s.fair)}>
          <input type="checkbox" name="priced_in" checked={price} onChange={(event) => setPrice(event.target.checked)} /> Add the
          nursery price of the plants that a set-up cannot supply (marked ▲)
        </label>
      )}
      {data.comparison.setups.some(({ fair, fair_priced_in }) => !fair && !fair_priced_in) && (
        <p className="quiet">
          A set-up marked ▲ still lacks plants that are not sold. Its price is for fewer plants, so do not compare it.
        </p>
      )}
      <SetupPanel shown={shown} toBuy={data.comparison.setups.find(({ id }) => id === setup.id)?.to_buy ?? []} />
      <div className={s.two}>
        <DifferencePart
          season={season}
          id={seasonId}
          revision={revision}
          here={setup.id}
          other={best === undefined || best === setup.id ? (setups.find(({ id }) => id !== setup.id)?.id ?? setup.id) : best}
        />
        <YearsPart season={season} id={seasonId} revision={revision} here={setup.id} />
      </div>
      <VerdictTable season={season} compared={data} here={setup.id} />
    </>
  );
}

function NothingYet({ season }: { season: Season }) {
  return (
    <div className="empty">
      <h1>Nothing to compare yet</h1>
      <p>
        {season.crops.length === 0 ? 'Put crops on your list first.' : 'Add a set-up: the pots, lights and methods of a season.'}
      </p>
      <AddSetup season={season} />
    </div>
  );
}
