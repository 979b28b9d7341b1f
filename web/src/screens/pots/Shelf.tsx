import { clsx } from 'clsx';
import type { Container, Potting, Season } from '../../api/types';
import { money } from '../../words/money';
import { plural } from '../../words/sowing';
import { smallVolume } from './volume';
import s from './pots.module.css';

interface Props {
  season: Season;
  potting: Potting;
  chosen: string | null;
  choose: (id: string) => void;
  all: boolean;
}

/** Pixels to a centimetre, unless something is too large for that. */
const SCALE = 9;
const BOX = 118;

/** Width and height of one site, cm: as measured, or as its top and what it holds give them. */
function size(pot: Container): { top: number; base: number; high: number } {
  if (pot.measured) return { top: pot.measured.rim_mm / 10, base: pot.measured.base_mm / 10, high: pot.measured.height_mm / 10 };
  const top = Math.sqrt(Math.max(pot.top_area_m2, 0.0001)) * 100;
  const high = pot.volume_l > 0 ? (pot.volume_l * 1000) / (top * top) : top * 0.9;
  return { top, base: top * 0.78, high };
}

/** Pots to scale on one shelf, each with what one filling costs over its life, and of what. */
export function Shelf({ season, potting, chosen, choose, all }: Props) {
  const used = new Set(potting.in_use);
  const rows = season.containers.filter(({ id }) => all || used.has(id));
  const us = season.units === 'us';
  const largest = Math.max(...rows.map((pot) => Math.max(size(pot).top, size(pot).high)), 1);
  const scale = Math.min(SCALE, BOX / largest);
  return (
    <ul className={s.shelf} data-part="shelf">
      {rows.map((pot) => {
        const filling = potting.containers.find(({ id }) => id === pot.id);
        const { top, base, high } = size(pot);
        const [w, b, h] = [top * scale, base * scale, high * scale];
        const total = filling?.cost ?? null;
        const parts = filling
          ? [
              [filling.pot, pot.single_use ? 'once' : 'pot'],
              [filling.mix, 'mix'],
              [filling.wash, 'washing'],
            ].filter(([amount]) => (amount as number) >= 0.0005)
          : [];
        return (
          <li key={pot.id}>
            <button
              type="button"
              aria-pressed={chosen === pot.id}
              className={s.pot}
              data-pot={pot.id}
              onClick={() => choose(pot.id)}
            >
              <svg viewBox={`0 0 ${BOX + 20} ${BOX + 8}`} className={s.potPicture} aria-hidden="true">
                <path
                  d={`M${(BOX + 20 - w) / 2},${BOX + 6 - h} h${w} L${(BOX + 20 + b) / 2},${BOX + 6} h${-b} Z`}
                  className={clsx(s.mix, filling?.mix_id == null ? s.empty : undefined)}
                />
                <rect x={(BOX + 20 - w) / 2 - 2} y={BOX + 6 - h - 4} width={w + 4} height={4} className={s.rim} />
                <line x1="0" x2={BOX + 20} y1={BOX + 7} y2={BOX + 7} className={s.board} />
              </svg>
              <b>{pot.name}</b>
              <small>
                {pot.volume_l > 0 && `${smallVolume(pot.volume_l, us)}${pot.sites_per_unit > 1 ? ' a cell' : ''}, `}
                {pot.single_use ? 'used once' : `${pot.life_seasons} ${plural(pot.life_seasons, 'season')}`}
                {pot.owned_units > 0 ? `, ${pot.owned_units} owned` : ''}
              </small>
              <span className={clsx('mono copper', s.fillingCost)}>{money(total, season.currency, true)}</span>
              <small>
                {parts.map(([amount, word]) => `${word} ${money(amount as number, season.currency, true)}`).join(', ') || 'free'}
              </small>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
