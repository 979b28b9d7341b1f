import { memo } from 'react';
import type { CropLine } from '../../api/types';
import s from './growlist.module.css';

const SIZE = 9;
const STEP = 11;
const PER_ROW = 15;

/** The sowing as a strip of cells: plants wanted, surplus, lost. Shape tells them apart as well as colour. */
export const SiteStrip = memo(function SiteStrip({ strip }: { strip: NonNullable<CropLine['strip']> }) {
  const total = strip.wanted + strip.surplus + strip.lost;
  const rows = Math.ceil(total / PER_ROW);
  const wide = Math.min(total, PER_ROW) * STEP;
  const kind = (index: number) => (index < strip.wanted ? 'wanted' : index < strip.wanted + strip.surplus ? 'surplus' : 'lost');
  return (
    <svg className={s.strip} width={wide} height={rows * STEP} viewBox={`0 0 ${wide} ${rows * STEP}`} aria-hidden="true">
      {Array.from({ length: total }, (_, index) => (
        <rect
          key={index}
          className={s[`site-${kind(index)}`]}
          x={(index % PER_ROW) * STEP + 0.5}
          y={Math.floor(index / PER_ROW) * STEP + 0.5}
          width={SIZE}
          height={SIZE}
          rx={2}
        />
      ))}
    </svg>
  );
});
