import type { BenchPlace } from '../../api/types';

type Stand = BenchPlace['stands'][number];

/** A part of a flat that one crop takes. */
interface Part {
  crop: string;
  codes: string | null;
  share: number;
  light: boolean;
  mat: boolean;
}

export interface Flat {
  parts: Part[];
  lit: boolean;
  warm: boolean;
}

/** What stands at a place on a day, flat by flat: what wants warmth first, then what wants light, then the rest. */
export function flatsOn(place: BenchPlace, date: string, lit: number, warmed: number): Flat[] {
  const standing = place.stands
    .filter((stand) => stand.from <= date && date < stand.to && stand.flats > 0)
    .sort((a, b) => rank(a) - rank(b) || a.from.localeCompare(b.from));
  const flats: Flat[] = [];
  let room = 0;
  for (const stand of standing) {
    for (let left = stand.flats; left > 1e-6;) {
      if (room <= 1e-6) {
        flats.push({ parts: [], lit: flats.length < lit, warm: flats.length < warmed });
        room = 1;
      }
      const share = Math.min(left, room);
      flats.at(-1)?.parts.push({ crop: stand.crop, codes: stand.codes, share, light: stand.light, mat: stand.mat });
      left -= share;
      room -= share;
    }
  }
  return flats;
}

const rank = (stand: Stand): number => (stand.mat ? 0 : stand.light ? 1 : 2);
