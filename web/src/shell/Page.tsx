import type { ReactNode } from 'react';
import { useState } from 'react';
import type { Till } from '../api/types';
import type { LastChange } from '../season/SeasonStore';
import { useOnScreen, useSnapshot, useStore } from '../season/SeasonContext';
import { ConflictDialog } from '../season/ConflictDialog';
import { TillStrip } from '../till/TillStrip';
import { WorkingDrawer, type Asked } from '../workings/WorkingDrawer';
import { AddSetup } from '../screens/compare/AddSetup';
import { AskContext } from './AskContext';

interface Props {
  children: ReactNode;
  /** The till of one crop instead of the whole set-up's. */
  till?: { till: Till; crop: string | null; where: string; last: LastChange | null };
}

/** What the till's figures are called in the workings of one crop. */
const OF_CROP: Record<string, string> = { per_finished: 'per_finished', nursery_per_plant: 'nursery_each', keep: 'keep' };

/** A planning screen: its work, the till, and the workings of any figure on it. */
export function PlanningPage({ children, till }: Props) {
  const [asked, ask] = useState<Asked | null>(null);
  const store = useStore();
  const { status, last, refused, season } = useSnapshot();
  const shown = useOnScreen();
  if (season !== null && season.setups.length === 0) {
    return <main className="work" id="work"><h1>No way of raising anything yet</h1><p>A set-up says how things are raised and under what. Take a ready-made one to begin with.</p><AddSetup season={season} /></main>;
  }
  if (shown === null) {
    return (
      <main className="work" aria-busy={status !== 'missing'}>
        {status === 'missing' ? <p role="alert">There is no such season in your garden. <a href="/seasons">Your seasons</a></p>
          : status === 'away' ? <p role="alert">The server does not answer. This page tries again by itself.</p> : <p className="quiet">Fetching your season…</p>}
      </main>
    );
  }
  const whole = shown.state.pictures[shown.setup.id]?.till;
  const strip = till ?? (whole && { till: whole, crop: null, where: shown.setup.name, last });
  return (
    <AskContext value={ask}>
      <main className="work" id="work">
        {refused !== null && <p className="warning" role="alert">Not saved: {refused} <button type="button" className="plain" onClick={() => store.dismissRefused()}>I see</button></p>}
        {children}
      </main>
      {strip && <TillStrip till={strip.till} last={strip.last} keepName="You keep" where={strip.where}
        explain={(figure) => ask(strip.crop !== null && figure in OF_CROP ? { figure: OF_CROP[figure] ?? figure, crop: strip.crop } : { figure, crop: null })} />}
      <WorkingDrawer asked={asked} ask={ask} />
      <ConflictDialog />
    </AskContext>
  );
}
