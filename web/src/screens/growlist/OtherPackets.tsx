import { clsx } from 'clsx';
import type { Choice, Season } from '../../api/types';
import { useStore } from '../../season/SeasonContext';
import { money } from '../../words/money';
import { percent } from '../../words/sowing';
import type { PanelProps } from './panel';
import s from './growlist.module.css';

interface Props extends Pick<PanelProps['facts'], 'species' | 'lot'> {
  season: Season;
  crop: PanelProps['crop'];
  lots: Choice[];
}

/** The packets of the drawer side by side, with what each would come to. */
export function OtherPackets({ season, crop, lot, species, lots }: Props) {
  const store = useStore();
  return (
    <table className={clsx('choices', s.lots)} data-part="lots">
      <caption>Packets of {species?.name.toLowerCase()} in the drawer</caption>
      <tbody>
        {lots.map((choice) => {
          const row = season.seed_lots.find(({ id }) => id === choice.id);
          const now = choice.id === crop.lot;
          return (
            <tr key={choice.id} className={now ? 'now' : undefined}>
              <th scope="row">
                <label className="tick">
                  <input
                    type="radio"
                    name={`lot-${crop.id}`}
                    checked={now}
                    onChange={() => store.apply([{ path: ['crops', crop.id, 'lot'], to: choice.id }], `packet, ${lot.variety}`)}
                  />{' '}
                  {row?.variety}, {row?.packed_for}
                </label>
                {choice.g !== null && choice.seeds !== null && choice.p_enough !== null && (
                  <small className="quiet">
                    {Math.round(choice.g * 100)} % up, {choice.seeds} seeds, {percent(choice.p_enough)} chance of enough
                  </small>
                )}
              </th>
              <td className="mono">{money(choice.per_finished, season.currency, true)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
