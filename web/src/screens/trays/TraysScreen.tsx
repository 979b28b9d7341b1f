import { useState } from 'react';
import { useMatch, useNavigate } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { TrayPicture } from '../../api/types';
import { useLog } from '../../season/useLog';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { DoingPage } from '../../page/DoingPage';
import { LabelsPart } from './LabelsPart';
import { RowPanel } from './RowPanel';
import { StandingTrays } from './StandingTrays';
import { Tray } from './Tray';
import { TraysHead } from './TraysHead';
import { TrialsPart } from './TrialsPart';
import { rowOf, useTrays, type Move } from './useTrays';
import s from './trays.module.css';

/** Which row of which tray holds what: laid out by itself, moved by hand, counted with a tap. */
export function TraysScreen() {
  return <DoingPage>{(shown) => <Trays shown={shown} />}</DoingPage>;
}

/** Keeps the layout of the trays, moves a row, or makes a tray of other columns. */
function useLayout(season: number, setup: string) {
  const store = useStore();
  return (body: { do: 'keep' | 'move' | 'columns' } & Partial<Move> & { columns?: number; trays?: string[] }, label: string) =>
    store.run(label, () =>
      answered(client.PUT('/api/seasons/{season}/setups/{setup}/trays', { params: { path: { season, setup } }, body })),
    );
}

function Trays({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
  const store = useStore();
  const lay = useLayout(id, setup.id);
  const navigate = useNavigate();
  const { data, error } = useTrays(id, setup.id, revision);
  const { entries } = useLog(id);
  const match = useMatch('/seasons/:season/trays/:tray/:row');
  const [dragged, drag] = useState<{ tray: string; row: number } | null>(null);
  if (!data)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Laying out the trays…
      </p>
    );
  const move = (to: Move) => lay({ do: 'move', ...to }, 'rows of a tray');
  const found = rowOf(data.trays, match?.params.tray, match?.params.row);
  const draw = (tray: TrayPicture) => (
    <Tray
      key={tray.id}
      season={season}
      tray={tray}
      facts={data.facts}
      entries={entries}
      chosen={found?.tray.id === tray.id ? found.run.row : null}
      choose={(row) => void navigate(`/seasons/${id}/trays/${tray.id}/${row}`)}
      dragged={dragged}
      drag={drag}
      drop={(row) => {
        if (dragged) store.attempt('rows of a tray', () => move({ ...dragged, to: tray.id, to_row: row }));
        drag(null);
      }}
    />
  );
  return (
    <>
      <TraysHead shown={shown} data={data} />
      <div className={s.columns}>
        <StandingTrays trays={data.trays} draw={draw} />
        <div className={s.row}>
          {match !== null && found === null && (
            <p role="alert" className="trouble">
              ▲ Nothing stands in row {match.params.row} of tray {match.params.tray} in this set-up. Choose the set-up you sowed
              it with, or tap a row.
            </p>
          )}
          {found && (
            <RowPanel
              key={`${found.tray.id} ${found.run.row}`}
              shown={shown}
              tray={found.tray}
              run={found.run}
              facts={data.facts[found.run.crop]}
              due={data.due.find(({ crop }) => crop === found.run.crop)}
              stay={data.stays.find(({ crop, stage }) => crop === found.run.crop && stage === found.run.stage)}
              photos={data.photos}
              trays={data.trays}
              move={move}
              lay={lay}
              close={() => void navigate(`/seasons/${id}/trays`)}
            />
          )}
        </div>
        <aside className={s.side}>
          {data.trays.length > 0 && (
            <LabelsPart shown={shown} data={data} keep={(trays) => lay({ do: 'keep', trays }, 'the layout of trays')} />
          )}
          <TrialsPart shown={shown} trials={data.trials} trays={data.trays} />
        </aside>
      </div>
    </>
  );
}
