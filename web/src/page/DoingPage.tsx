import type { ReactNode } from 'react';
import { useSyncExternalStore } from 'react';
import { writeMoneyOf } from '../edit/numbers';
import { ConflictDialog } from '../season/ConflictDialog';
import { refusals } from '../season/refusals';
import { useOnScreen, useSnapshot, type OnScreen } from '../season/SeasonContext';
import { useLog } from '../season/useLog';
import { Instead } from './Instead';
import { LogTrouble } from './LogTrouble';
import s from './page.module.css';

type Children = (shown: OnScreen) => ReactNode;

/** A screen of the work itself: no till, but what is kept on the device, and what the server did not take. */
export function DoingPage({ children }: { children: Children }) {
  const shown = useOnScreen();
  const { status, entry } = useSnapshot();
  if (shown === null || status === 'deleted' || entry?.unreckoned === true) return <Instead />;
  return <Doing shown={shown}>{children}</Doing>;
}

function Doing({ shown, children }: { shown: OnScreen; children: Children }) {
  const { status, waiting: changes } = useSnapshot();
  const { waiting } = useLog(shown.id);
  writeMoneyOf(shown.season.currency);
  const told = useSyncExternalStore(refusals.subscribe, refusals.get);
  const kept = waiting.length + changes;
  const says = status === 'away' ? `no signal${kept > 0 ? ` · ${kept} kept` : ''}` : kept > 0 ? `sending ${kept}…` : '';
  return (
    <main className="work" id="work">
      <p className={s.signal} role="status" data-part="signal">
        {says}
      </p>
      {told !== null && (
        <p className="trouble" role="alert">
          ▲ {told.label}: {told.why}{' '}
          <button type="button" className="plain" onClick={refusals.dismiss}>
            I see
          </button>
        </p>
      )}
      <LogTrouble season={shown.id} />
      {children(shown)}
      <ConflictDialog />
    </main>
  );
}
