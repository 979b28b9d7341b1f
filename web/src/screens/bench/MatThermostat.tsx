import type { Season } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import type { SaveKey } from './saveKey';

interface Props {
  season: Season;
  mat: Season['mats'][number];
  save: SaveKey;
}

export function MatThermostat({ season, mat, save }: Props) {
  return (
    <EditInUnit
      label="Thermostat at"
      name={`${mat.id}.thermostat_c`}
      field="mats.thermostat_c"
      unit={season.units === 'us' ? '°F' : '°C'}
      places={1}
      maybe
      value={mat.thermostat_c}
      save={save('thermostat_c', 'thermostat')}
    />
  );
}
