import type { Season } from '../../api/types';
import { between } from '../../words/degrees';
import { Said } from '../../edit/Said';
import type { SaveKey } from './saveKey';

interface Props {
  season: Season;
  mat: Season['mats'][number];
  called: string;
  save: SaveKey;
}

/** By how many degrees a mat warms the soil; a chamber that cools says so with a minus. */
export function Warms({ season, mat, called, save }: Props) {
  const us = season.units === 'us';
  const degrees = us ? 1.8 : 1;
  return (
    <>
      <Said<number>
        label={`Degrees it warms the soil: ${called}`}
        name={`${mat.id}.lift_c`}
        value={Number(between(mat.lift_c, us).toFixed(1))}
        show={String}
        inputMode="decimal"
        parse={(typed) => {
          const value = Number(typed.replace(',', '.').replace('−', '-'));
          return Number.isFinite(value) && value !== 0
            ? { ok: true, value }
            : { ok: false, why: 'Type by how many degrees; below 0 for a chamber that cools.' };
        }}
        save={(to) => save('lift_c', 'lift')(to / degrees)}
      />{' '}
      {us ? '°F' : '°C'}
    </>
  );
}
