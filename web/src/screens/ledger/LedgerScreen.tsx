import { words } from '../../api/client';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { PlanningPage } from '../../page/Page';
import { FromWorkbook } from './FromWorkbook';
import { LedgerHead } from './LedgerHead';
import { LedgerTable } from './LedgerTable';
import { LedgerTotals } from './LedgerTotals';
import { useLedger } from './useLedger';

/** What the season costs, crop by crop and head by head, down to the coin. */
export function LedgerScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Book shown={shown} />}</PlanningPage>;
}

function Book({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
  const { data, error } = useLedger(id, setup.id, revision);
  if (error && !data) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Adding up…
      </p>
    );
  return (
    <>
      <LedgerHead url={`/api/seasons/${id}/setups/${setup.id}`} />
      {data.rows.length === 0 ? (
        <p className="empty">No crops yet: there is nothing to add up.</p>
      ) : (
        <LedgerTable data={data} currency={season.currency} />
      )}
      <LedgerTotals data={data} currency={season.currency} />
      <FromWorkbook season={season} />
    </>
  );
}
