import { answered, client } from '../../api/client';
import { Select } from 'antd';
import type { Crop, Path, Season, Setup } from '../../api/types';
import { EditBounded, EditNumber } from '../../edit/EditNumber';
import { boundsOf } from '../../edit/bounds';
import { methodOptions } from '../../season/methods';
import { useStore } from '../../season/SeasonContext';
import { moneySign } from '../../words/money';
import s from './growlist.module.css';

interface Props {
  season: Season;
  setup: Setup;
  chosen: Crop[];
  clear: () => void;
}

/** Changes many lines at once. */
export function ManyBar({ season, setup, chosen, clear }: Props) {
  const store = useStore();
  const changes = (path: (crop: Crop) => Path, to: unknown) => chosen.map((crop) => ({ path: path(crop), to }));
  const named = (label: string) => `${label}, ${chosen.length} crops`;
  const lots = [...new Set(chosen.map((crop) => crop.lot))];
  return (
    <div className={s.many} data-part="many" role="group" aria-label={`${chosen.length} crops chosen`}>
      <b>
        {chosen.length} {chosen.length === 1 ? 'crop' : 'crops'}
      </b>
      <Select
        aria-label="Method of the chosen crops"
        placeholder="Change the method to…"
        value={null}
        style={{ minWidth: 190 }}
        popupMatchSelectWidth={false}
        options={[...methodOptions(season), { value: 'nursery', label: 'Buy them' }]}
        onChange={(method: string | null) =>
          store.apply(
            changes((crop) => ['setups', setup.id, 'overrides', crop.id], method),
            named('method'),
          )
        }
      />
      <EditNumber
        label="Days after the frost"
        name="many.offset"
        field="crops.plant_out_offset_days"
        value={chosen[0]?.plant_out_offset_days ?? 0}
        save={(to) =>
          store.change(
            changes((crop) => ['crops', crop.id, 'plant_out_offset_days'], to),
            named('planting out'),
          )
        }
      />
      <EditNumber
        label="Seed packed for"
        name="many.year"
        value={season.seed_lots.find(({ id }) => id === lots[0])?.packed_for ?? season.year}
        field="seed_lots.packed_for"
        save={(to) =>
          store.change(
            lots.map((lot) => ({ path: ['seed_lots', lot, 'packed_for'], to })),
            `seed year, ${lots.length} packets`,
          )
        }
      />
      <Kit season={season} setup={setup} lots={lots} />
      <button
        type="button"
        className="plain"
        onClick={() => {
          store.apply(
            changes((crop) => ['crops', crop.id], null),
            named('taken off the list'),
          );
          clear();
        }}
      >
        Take off the list
      </button>
      <button type="button" className="plain" onClick={clear}>
        Cancel
      </button>
    </div>
  );
}

/** The packets of the chosen crops, bought together for one price. */
function Kit({ season, setup, lots }: { season: Season; setup: Setup; lots: string[] }) {
  const store = useStore();
  // One's own seed costs nothing, and is in no kit.
  const packets = season.seed_lots.filter(({ id, seeds_per_packet }) => lots.includes(id) && seeds_per_packet !== null);
  if (packets.length < 2) return null;
  return (
    <EditBounded
      label={`These ${packets.length} packets as a kit`}
      name="many.kit"
      before={moneySign(season.currency)}
      bounds={{ ...boundsOf('seed_lots.packet_price'), least: 0 }}
      // The field begins with the sum; what is typed is parted by the core.
      // eslint-disable-next-line jolly/season-arithmetic
      value={packets.reduce((sum, { packet_price }) => sum + packet_price, 0)}
      save={(price) =>
        store.run(`kit of ${packets.length} packets`, () =>
          answered(
            client.PUT('/api/seasons/{season}/kit', {
              params: { path: { season: store.id } },
              body: { lots: packets.map(({ id }) => id), price, setup: setup.id },
            }),
          ),
        )
      }
    />
  );
}
