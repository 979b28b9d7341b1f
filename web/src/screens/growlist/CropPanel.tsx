import { Link } from 'react-router';
import { answered, client, words } from '../../api/client';
import { useSnapshot, useStore } from '../../season/SeasonContext';
import { Cautions } from '../cautions/Cautions';
import { HowPart } from './HowPart';
import { PacketPart } from './PacketPart';
import type { PanelProps } from './panel';
import { WhenPart } from './WhenPart';
import { useOfRevision } from '../../season/useOfRevision';
import s from './growlist.module.css';

/** Everything else of a line: its plants, its packet, its method, and the other ways it could go. */
export function CropPanel({ close, ...props }: PanelProps & { close: () => void }) {
  const {
    shown: { id, revision, setup },
    crop,
    facts: { lot },
  } = props;
  const store = useStore();
  const { status } = useSnapshot();
  const { data: choices, error } = useOfRevision(['choices', id, setup.id, crop.id], revision, () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/crops/{crop}/choices', {
        params: { path: { season: id, setup: setup.id, crop: crop.id } },
      }),
    ),
  );
  const remove = () => {
    close();
    store.apply([{ path: ['crops', crop.id], to: null }], `${lot.variety} taken off the list`);
  };
  return (
    <div
      className={s.panelBody}
      data-part="panel-body"
      aria-busy={status === 'saving'}
      onKeyDown={(event) => {
        // In a field with something typed, Escape brings the old value back, in an open list it closes that; else the crop.
        const { dataset, ariaExpanded } = event.target as HTMLElement;
        if (event.key !== 'Escape' || dataset.typed === 'yes' || ariaExpanded === 'true') return;
        close();
        document.querySelector<HTMLElement>(`[data-open="${CSS.escape(crop.id)}"]`)?.focus();
      }}
    >
      <WhenPart {...props} />
      <PacketPart {...props} lots={choices?.lots ?? null} />
      <HowPart {...props} methods={choices?.methods ?? null} />
      {error && (
        <p className="trouble" role="alert">
          {words(error)}
        </p>
      )}
      <div className={s.panelFoot}>
        <p className={s.panelLinks}>
          <Link to={`/seasons/${id}/crops/${encodeURIComponent(crop.id)}`}>How its cost is made up</Link>
          <button type="button" className="plain" onClick={remove} data-action="remove">
            Remove from the list
          </button>
        </p>
        <Cautions cautions={choices?.cautions ?? []} />
      </div>
    </div>
  );
}
