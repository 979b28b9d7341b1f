import { useState, type ReactNode } from 'react';
import type { TrayPicture } from '../../api/types';
import s from './trays.module.css';

/** The trays that stand somewhere; what is over is folded away, for nothing stands there any more. */
export function StandingTrays({ trays, draw }: { trays: TrayPicture[]; draw: (tray: TrayPicture) => ReactNode }) {
  const [old, showOld] = useState(false);
  const isOver = (tray: TrayPicture) => tray.runs.every(({ left }) => left);
  const now = trays.filter((tray) => !isOver(tray));
  const over = trays.filter(isOver);
  return (
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
  );
}
