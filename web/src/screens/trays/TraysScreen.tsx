import { useState } from 'react';
import { Link, useMatch, useNavigate } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { TrayPicture } from '../../api/types';
import { useLog } from '../../season/useLog';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { DoingPage } from '../../page/DoingPage';
import { SetupPicker } from '../../page/SetupPicker';
import { count, plural, upper } from '../../words/sowing';
import { LabelsPart } from './LabelsPart';
import { RowPanel } from './RowPanel';
import { Tray } from './Tray';
import { TrialsPart } from './TrialsPart';
import { rowOf, useTrays, type Move } from './useTrays';
import s from './trays.module.css';

/** "five trays", "three trays and two groups of pots" */
const trayWords = (trays: number, groups: number): string =>
  [
    trays > 0 ? `${count(trays)} ${plural(trays, 'tray')}` : '',
    groups > 0 ? `${count(groups)} ${plural(groups, 'group')} of pots` : '',
  ]
    .filter(Boolean)
    .join(' and ');

/** Which row of which tray holds what: laid out by itself, moved by hand, counted with a tap. */
export function TraysScreen() {
  return <DoingPage>{(shown) => <Trays shown={shown} />}</DoingPage>;
}

function Trays({ shown }: { shown: OnScreen }) {
  const { id, season, setup, revision } = shown;
  const store = useStore();
  const navigate = useNavigate();
  const { data, error } = useTrays(id, setup.id, revision);
  const { entries } = useLog(id);
  const match = useMatch('/seasons/:season/trays/:tray/:row');
  const [dragged, drag] = useState<{ tray: string; row: number } | null>(null);
  const [old, showOld] = useState(false);
  if (!data)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Laying out the trays…
      </p>
    );
  const lay = (
    body: { do: 'keep' | 'move' | 'columns' } & Partial<Move> & { columns?: number; trays?: string[] },
    label: string,
  ) =>
    store.run(label, () =>
      answered(
        client.PUT('/api/seasons/{season}/setups/{setup}/trays', { params: { path: { season: id, setup: setup.id } }, body }),
      ),
    );
  const move = (to: Move) => lay({ do: 'move', ...to }, 'rows of a tray');
  const found = rowOf(data.trays, match?.params.tray, match?.params.row);
  // What is over is folded away: nothing stands there any more.
  const isOver = (tray: TrayPicture) => tray.runs.every(({ left }) => left);
  const now = data.trays.filter((tray) => !isOver(tray));
  const over = data.trays.filter(isOver);
  const flats = data.trays.filter(({ by_tens: tens }) => !tens).length;
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
      <h1>{data.trays.length === 0 ? 'No trays yet' : `${upper(trayWords(flats, data.trays.length - flats))}: what is where`}</h1>
      <p className="quiet">
        Crops that share a sowing week and warmth stand together, one or more rows each. Tap a row to count it. Drag it, or choose
        “move”, to put it elsewhere.
      </p>
      {data.not_laid_out > 0 && (
        <p className="trouble" role="alert" data-part="not-laid-out">
          ▲ {count(data.not_laid_out)} more would fill over {data.trays.length} trays, and are not laid out. Was a number written
          down wrong? <Link to={`/seasons/${id}/log`}>Look through the log</Link>.
        </p>
      )}
      <div className="list-tools">
        <SetupPicker />
        {shown.history.undo !== null && (
          <button type="button" className="plain" data-action="undo-layout" onClick={store.undo}>
            Undo: {shown.history.undo}
          </button>
        )}
        <Link to={`/seasons/${id}/log`}>All that is written down</Link>
      </div>
      <label className="tick">
        <input
          type="checkbox"
          name="label_row"
          checked={(season.meta as { trays?: { label_row?: boolean } } | undefined)?.trays?.label_row === true}
          onChange={(event) =>
            store.apply(
              [
                {
                  path: ['meta'],
                  to: { ...((season.meta as object | null) ?? {}), trays: { label_row: event.target.checked } },
                },
              ],
              'a row for labels',
            )
          }
        />
        keep a row for labels
      </label>
      {data.trays.length === 0 && (
        <p className="empty">
          This set-up sows nothing in trays or pots. <Link to={`/seasons/${id}/list`}>Put crops on the list</Link>, or choose
          another set-up.
        </p>
      )}
      <div className={s.columns}>
        <div className={s.all}>
          <div className={s.trays} data-part="trays">
            {now.map(draw)}
          </div>
          {over.length > 0 && (
            <details open={old} onToggle={(event) => showOld(event.currentTarget.open)} data-part="over">
              <summary>
                {over.length} moved on or planted out: {over.map((tray) => tray.id).join(', ')}
              </summary>
              {old && <div className={s.trays}>{over.map(draw)}</div>}
            </details>
          )}
        </div>
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
