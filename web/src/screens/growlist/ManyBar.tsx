import { Select } from 'antd';
import { useState } from 'react';
import { words } from '../../api/client';
import type { Crop, Path, Season, Setup } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';

interface Props { season: Season; setup: Setup; chosen: Crop[]; clear: () => void }

/** Changes many lines at once. */
export function ManyBar({ season, setup, chosen, clear }: Props) {
  const store = useStore();
  const [why, setWhy] = useState<string | null>(null);
  const all = (path: (crop: Crop) => Path, to: unknown, label: string) => {
    setWhy(null);
    return store.change(chosen.map((crop) => ({ path: path(crop), to })), `${label}, ${chosen.length} crops`).catch((error: unknown) => setWhy(words(error)));
  };
  const lots = [...new Set(chosen.map((crop) => crop.lot))];
  return (
    <div className="many" role="group" aria-label={`${chosen.length} crops chosen`}>
      <b>{chosen.length} {chosen.length === 1 ? 'crop' : 'crops'}</b>
      <Select aria-label="Method of the chosen crops" placeholder="Raise them by…" value={null} style={{ minWidth: 190 }} popupMatchSelectWidth={false}
        options={[...season.methods.map(({ id, name }) => ({ value: id, label: name })), { value: 'nursery', label: 'Buy them' }]}
        onChange={(method: string | null) => void all((crop) => ['setups', setup.id, 'overrides', crop.id], method, 'method')} />
      <EditNumber label="Days after the frost" name="many.offset" value={chosen[0]?.plant_out_offset_days ?? 0} bounds={{ least: -3650, most: 3650, whole: true }}
        save={(to) => all((crop) => ['crops', crop.id, 'plant_out_offset_days'], to, 'planting out')} />
      <EditNumber label="Seed packed for" name="many.year" value={season.seed_lots.find(({ id }) => id === lots[0])?.packed_for ?? season.year} bounds={{ least: 1900, most: 2200, whole: true }}
        save={(to) => store.change(lots.map((lot) => ({ path: ['seed_lots', lot, 'packed_for'], to })), `seed year, ${lots.length} packets`)} />
      <button type="button" className="plain" onClick={() => { void all((crop) => ['crops', crop.id], null, 'taken off the list'); clear(); }}>Take off the list</button>
      <button type="button" className="plain" onClick={clear}>Leave them</button>
      {why !== null && <p className="trouble" role="alert">{why}</p>}
    </div>
  );
}
