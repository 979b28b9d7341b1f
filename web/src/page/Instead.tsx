import { useSnapshot, useStore } from '../season/SeasonContext';
import { AddSetup } from './AddSetup';
import { Deleted } from './Deleted';

/** What stands in place of a screen whose season cannot be shown, and what to do about it. */
export function Instead() {
  const { status, season, entry } = useSnapshot();
  if (status === 'deleted') return <Deleted />;
  if (season !== null && season.setups.length === 0)
    return (
      <main className="work" id="work">
        <h1>No set-up yet</h1>
        <p>A set-up holds the pots, lights and methods of a season. Start with a ready-made one.</p>
        <AddSetup season={season} />
      </main>
    );
  if (entry?.unreckoned === true) return <Unreckoned undo={entry.history.undo} />;
  return <NotShown status={status} />;
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
