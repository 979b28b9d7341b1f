import type { ReactNode } from 'react';
import { useSyncExternalStore } from 'react';
import { ConflictDialog } from '../season/ConflictDialog';
import { logbox } from '../season/logbox';
import { refusals } from '../season/refusals';
import { useOnScreen, useSnapshot, type OnScreen } from '../season/SeasonContext';
import { useLog } from '../season/useLog';
import { plural } from '../words/sowing';
import { Deleted } from './Deleted';
import s from './shell.module.css';

type Children = (shown: OnScreen) => ReactNode;

/** A screen of the work itself: no till, but what is kept on the device, and what the server did not take. */
export function DoingPage({ children }: { children: Children }) {
  const shown = useOnScreen();
  if (shown === null)
    return (
      <main className="work" aria-busy="true">
        <p className="quiet">Fetching your season…</p>
      </main>
    );
  return <Doing shown={shown}>{children}</Doing>;
}

function Doing({ shown, children }: { shown: OnScreen; children: Children }) {
  const { status, waiting: changes } = useSnapshot();
  const { waiting, refused } = useLog(shown.id);
  const told = useSyncExternalStore(refusals.subscribe, refusals.get);
  if (status === 'deleted') return <Deleted />;
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
      {waiting.some(({ loose }) => loose) && (
        <p className="trouble" role="alert" data-part="loose">
          ▲ This device could not store what you wrote: it is full, or the browser keeps nothing. Leave this page open until it is
          sent.
        </p>
      )}
      {refused.length > 0 && (
        <div className="trouble" role="alert" data-part="refused">
          ▲ {refused.length} {plural(refused.length, 'entry', 'entries')} could not be kept by the server:
          <ul>
            {refused.map(({ n, entry, why }) => (
              <li key={n}>
                {entry ? `${entry.on}, ${entry.kind}` : 'a picture'}: {why}
              </li>
            ))}
          </ul>
          <button type="button" className="plain" onClick={() => void logbox.dismiss(refused)}>
            I have seen it
          </button>
        </div>
      )}
      {children(shown)}
      <ConflictDialog />
    </main>
  );
}
