import type { ReactNode } from 'react';
import { useState } from 'react';
import type { Till } from '../api/types';
import { writeMoneyOf } from '../edit/numbers';
import { useOnScreen, useSnapshot } from '../season/SeasonContext';
import { ConflictDialog } from '../season/ConflictDialog';
import { TillStrip, type Last } from '../till/TillStrip';
import { WorkingDrawer, type Asked } from '../workings/WorkingDrawer';
import { AskContext } from './AskContext';
import { GuessCount } from './GuessCount';
import { Instead } from './Instead';
import { MadeUp } from './MadeUp';

interface Props {
  children: ReactNode;
  /** Nothing but the work: no till, no line about guesses. */
  bare?: boolean;
  /** The till of one crop instead of the whole set-up's. */
  till?: { till: Till; crop: string | null; where: string; last: Last | null };
}

/** What the till's figures are called in the workings of one crop. */
const OF_CROP: Record<string, string> = {
  per_finished: 'per_finished',
  nursery_per_plant: 'nursery_each',
  same_per_plant: 'same_each',
  keep: 'keep',
};

/** A planning screen: its work, the till, and the workings of any figure on it. */
export function PlanningPage({ children, till, bare = false }: Props) {
  const [asked, ask] = useState<Asked | null>(null);
  const { status, last, season, entry } = useSnapshot();
  // Before anything below is drawn: after that it would be too late for its prices.
  writeMoneyOf(season?.currency ?? null);
  const shown = useOnScreen();
  if (shown === null || status === 'deleted' || entry?.unreckoned === true) return <Instead />;
  const moved = last?.setup === shown.setup.id ? { label: last.label, move: last.till } : null;
  const strip = till ?? { till: shown.pictures.till, crop: null, where: shown.setup.name, last: moved };
  return (
    <AskContext value={ask}>
      <main className="work" id="work">
        <p className="printed">
          {shown.season.name}, {shown.setup.name}
        </p>
        {!bare && <MadeUp />}
        {!bare && <GuessCount shown={shown} />}
        {children}
      </main>
      {!bare && (
        <TillStrip
          till={strip.till}
          last={strip.last}
          where={strip.where}
          explain={(figure) =>
            ask(
              strip.crop !== null && figure in OF_CROP
                ? { figure: OF_CROP[figure] ?? figure, crop: strip.crop }
                : { figure, crop: null },
            )
          }
        />
      )}
      <WorkingDrawer asked={asked} ask={ask} />
      <ConflictDialog />
    </AskContext>
  );
}
