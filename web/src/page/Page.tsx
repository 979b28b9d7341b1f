import type { ReactNode } from 'react';
import { useState } from 'react';
import type { Till } from '../api/types';
import { writeMoneyOf } from '../edit/numbers';
import { useOnScreen, useSnapshot, useStore } from '../season/SeasonContext';
import { ConflictDialog } from '../season/ConflictDialog';
import { TillStrip, type Last } from '../till/TillStrip';
import { WorkingDrawer, type Asked } from '../workings/WorkingDrawer';
import { AddSetup } from './AddSetup';
import { Deleted } from './Deleted';
import { AskContext } from './AskContext';
import { GuessCount } from './GuessCount';
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
  if (status === 'deleted') return <Deleted />;
  if (season !== null && season.setups.length === 0) {
    return (
      <main className="work" id="work">
        <h1>No set-up yet</h1>
        <p>A set-up holds the pots, lights and methods of a season. Start with a ready-made one.</p>
        <AddSetup season={season} />
      </main>
    );
  }
  if (entry?.unreckoned === true) return <Unreckoned undo={entry.history.undo} />;
  if (shown === null) return <NotShown status={status} />;
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

/** A season that breaks the calculation, and the ways out. */
function Unreckoned({ undo }: { undo: string | null }) {
  const store = useStore();
  return (
    <main className="work" id="work">
      <h1>This season cannot be worked out</h1>
      <p role="alert">
        Something in it breaks the calculation, and the fault is noted. Nothing is lost. Undo the last change, or download the
        season.
      </p>
      <p>
        {undo !== null && (
          <button type="button" className="plain" data-action="undo" onClick={store.undo}>
            Undo: {undo}
          </button>
        )}{' '}
        <a className="plain" href={`/api/seasons/${store.id}/file`} download>
          Download it
        </a>{' '}
        <a className="plain" href="/seasons">
          Your seasons
        </a>
      </p>
    </main>
  );
}

/** Nothing to show yet, or nothing at all. */
function NotShown({ status }: { status: ReturnType<typeof useSnapshot>['status'] }) {
  return (
    <main className="work" id="work" aria-busy={status !== 'missing'}>
      {status === 'missing' ? (
        <p role="alert">
          There is no such season in your garden. <a href="/seasons">Your seasons</a>
        </p>
      ) : status === 'away' ? (
        <p role="alert">The server does not answer. This page tries again by itself.</p>
      ) : (
        <p className="quiet">Fetching your season…</p>
      )}
    </main>
  );
}
