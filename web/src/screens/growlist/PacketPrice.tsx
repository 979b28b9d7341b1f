import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { useIsGuess } from '../../season/useIsGuess';
import { moneySign } from '../../words/money';
import type { PanelProps } from './panel';

interface Props {
  season: Season;
  lot: PanelProps['facts']['lot'];
  save: (key: string, label: string) => (to: unknown) => Promise<void>;
}

/** What a packet costs and holds, or that it is seed of one's own. */
export function PacketPrice({ season, lot, save }: Props) {
  const store = useStore();
  const isGuess = useIsGuess();
  const own = lot.seeds_per_packet === null;
  const pinch = (to: boolean) =>
    store.apply(
      to
        ? [
            { path: ['seed_lots', lot.id, 'packet_price'], to: 0 },
            { path: ['seed_lots', lot.id, 'seeds_per_packet'], to: null },
          ]
        : [{ path: ['seed_lots', lot.id, 'seeds_per_packet'], to: 50 }],
      `own seed, ${lot.variety}`,
    );
  return (
    <>
      <label className="tick">
        <input type="checkbox" name="own" checked={own} onChange={(event) => pinch(event.target.checked)} /> own seed: costs
        nothing
      </label>
      {!own && (
        <>
          <EditNumber
            label="A packet costs"
            name="price"
            before={moneySign(season.currency)}
            field="seed_lots.packet_price"
            value={lot.packet_price}
            guess={isGuess('seed_lots', lot.id, 'packet_price')}
            save={save('packet_price', 'packet price')}
          />
          <EditNumber
            label="Seeds in a packet"
            name="seeds"
            field="seed_lots.seeds_per_packet"
            value={lot.seeds_per_packet ?? 1}
            save={save('seeds_per_packet', 'seeds in a packet')}
          />
          <EditNumber
            label="Packets in the drawer"
            name="owned"
            field="seed_lots.packets_owned"
            value={lot.packets_owned}
            save={save('packets_owned', 'packets in the drawer')}
          />
        </>
      )}
    </>
  );
}
