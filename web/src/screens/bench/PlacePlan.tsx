import { clsx } from 'clsx';
import type { BenchPlace, Place, Season } from '../../api/types';
import { Patterns } from '../../charts/PennyStack';
import { varietyOf } from '../../season/site';
import { flatsOn } from './layout';
import { useNarrow } from '../../hooks/useNarrow';
import s from './bench.module.css';

const WIDE = 210;
const HIGH = 105;
const GAP = 14;

interface Props {
  season: Season;
  row: Place;
  place: BenchPlace;
  date: string;
}

/** A place from above, to scale, on the day of the slider: what stands on which flat, what is lit and what is warmed. */
export function PlacePlan({ season, row, place, date }: Props) {
  const lit = place.days?.lit ?? 0;
  const warmed = place.days?.warmed ?? 0;
  const flats = flatsOn(place, date, Math.floor(lit + 1e-6), Math.floor(warmed + 1e-6));
  const room = row.flats === null ? flats.length : Math.max(Math.floor(row.flats), flats.length);
  const cells = Math.max(room, 1);
  const narrow = useNarrow();
  const columns = Math.min(narrow ? 2 : 4, cells);
  const rows = Math.ceil(cells / columns);
  const [w, h] = [columns * (WIDE + GAP) + GAP, rows * (HIGH + GAP + 12) + GAP];
  const dark = flats.filter((flat) => !flat.lit && flat.parts.some(({ light }) => light));
  const said = flats
    .map(
      (flat, index) =>
        `tray ${index + 1}: ${flat.parts.map(({ crop }) => varietyOf(season, crop)).join(', ')}${flat.lit ? ', lit' : ''}`,
    )
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      className={s.plan}
      style={{ maxWidth: w }}
      role="img"
      aria-label={said || 'Nothing stands here on this day.'}
    >
      <Patterns />
      <rect x="1" y="1" width={w - 2} height={h - 2} className={s.board} />
      {Array.from({ length: cells }, (_, index) => (
        <Flat
          key={index}
          season={season}
          index={index}
          flat={flats[index]}
          x={GAP + (index % columns) * (WIDE + GAP)}
          y={GAP + Math.floor(index / columns) * (HIGH + GAP + 12)}
          over={row.flats !== null && index >= row.flats}
          mats={place.days?.warmed != null}
        />
      ))}
      <title>{dark.length > 0 ? `${dark.length} trays without light` : place.id}</title>
    </svg>
  );
}

interface FlatProps {
  season: Season;
  index: number;
  /** What stands there; a free place without. */
  flat: ReturnType<typeof flatsOn>[number] | undefined;
  x: number;
  y: number;
  /** Beyond the room there is. */
  over: boolean;
  /** Whether this place has heat mats. */
  mats: boolean;
}

/** One flat's place: free, or what stands on it, whether it is lit and warmed, and what it lacks. */
function Flat({ season, index, flat, x, y, over, mats }: FlatProps) {
  if (!flat)
    return (
      <g>
        <rect x={x} y={y} width={WIDE} height={HIGH} className={s.free} />
        <text x={x + WIDE / 2} y={y + HIGH / 2 + 5} textAnchor="middle" className={s.freeName}>
          free
        </text>
      </g>
    );
  const unlit = !flat.lit && flat.parts.some(({ light }) => light);
  const unwarmed = mats && !flat.warm && flat.parts.some(({ mat }) => mat);
  return (
    <g data-flat={index}>
      {flat.lit && <rect x={x - 7} y={y - 7} width={WIDE + 14} height={HIGH + 14} className={s.lit} />}
      {flat.warm && (
        <>
          <rect x={x - 6} y={y - 6} width={WIDE + 12} height={HIGH + 12} className={s.warm} />
          <rect x={x - 6} y={y - 6} width={WIDE + 12} height={HIGH + 12} className={s.slashed} />
        </>
      )}
      <rect x={x} y={y} width={WIDE} height={HIGH} className={clsx(s.tray, over ? s.over : undefined)} />
      <Parts season={season} parts={flat.parts} x={x} y={y} />
      {(unlit || unwarmed || over) && (
        <text x={x + WIDE / 2} y={y + HIGH + 13} textAnchor="middle" className={s.lacks}>
          ▲ {over ? 'no room' : unlit ? 'no lamp reaches it' : 'no mat under it'}
        </text>
      )}
    </g>
  );
}

/** The crops side by side on a flat, each as wide as its share. */
function Parts({
  season,
  parts,
  x,
  y,
}: Pick<FlatProps, 'season' | 'x' | 'y'> & { parts: NonNullable<FlatProps['flat']>['parts'] }) {
  const widths = parts.map(({ share }) => share * (WIDE - 8));
  return parts.map((part, n) => {
    const wide = widths[n] ?? 0;
    const left = x + 4 + widths.slice(0, n).reduce((sum, one) => sum + one, 0);
    const name = varietyOf(season, part.crop);
    return (
      <g key={n}>
        <rect x={left} y={y + 4} width={Math.max(wide - 2, 1)} height={HIGH - 8} className={n % 2 ? s.rowTwo : s.rowOne}>
          <title>{part.codes === null ? name : `${name}, ${part.codes}`}</title>
        </rect>
        {wide > 34 && (
          <text x={left + 5} y={y + HIGH / 2 + 5} className={s.rowName}>
            {name.slice(0, Math.floor(wide / 8))}
          </text>
        )}
        {wide > 34 && part.codes !== null && (
          <text x={left + 5} y={y + HIGH / 2 + 22} className={s.rowCode}>
            {part.codes.slice(0, Math.floor(wide / 9))}
          </text>
        )}
      </g>
    );
  });
}
