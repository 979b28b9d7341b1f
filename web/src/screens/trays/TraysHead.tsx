import { Link } from 'react-router';
import type { TraysState } from '../../api/types';
import { SetupPicker } from '../../page/SetupPicker';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { count, plural, upper } from '../../words/sowing';

/** "five trays", "three trays and two groups of pots" */
const trayWords = (trays: number, groups: number): string =>
  [
    trays > 0 ? `${count(trays)} ${plural(trays, 'tray')}` : '',
    groups > 0 ? `${count(groups)} ${plural(groups, 'group')} of pots` : '',
  ]
    .filter(Boolean)
    .join(' and ');

/** How many trays there are, what to do with them, and whether each keeps a row for labels. */
export function TraysHead({ shown, data }: { shown: OnScreen; data: TraysState }) {
  const { id, season } = shown;
  const store = useStore();
  const flats = data.trays.filter(({ by_tens: tens }) => !tens).length;
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
    </>
  );
}
