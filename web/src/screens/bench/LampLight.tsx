import type { Season, ThingUse } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import { between } from '../../words/degrees';
import { spelled } from '../../words/spelling';
import type { SaveKey } from './saveKey';

interface Props {
  season: Season;
  light: Season['lights'][number];
  use: ThingUse | undefined;
  save: SaveKey;
}

/** What a lamp's box says of its light, and what of it reaches the trays. */
export function LampLight({ season, light, use, save }: Props) {
  const name = (key: string) => `${light.id}.${key}`;
  const us = season.units === 'us';
  const degrees = us ? 1.8 : 1;
  return (
    <>
      <EditInUnit
        label="Lumens on the box"
        name={name('lumens')}
        field="lights.lumens"
        after="lm"
        places={0}
        maybe
        value={light.lumens}
        save={save('lumens', 'lumens')}
      />
      <EditInUnit
        label={spelled('Colour of its light', us)}
        name={name('kelvin')}
        field="lights.kelvin"
        after="K"
        places={0}
        maybe
        value={light.kelvin}
        save={save('kelvin', spelled('colour', us))}
      />
      <EditInUnit
        label="Light, if it says so"
        name={name('ppf')}
        field="lights.ppf_umol_s"
        after="µmol/s"
        places={1}
        maybe
        value={light.ppf_umol_s}
        save={save('ppf_umol_s', 'light')}
      />
      <p className="quiet">
        {use?.ppfd == null ? 'Its light is not known: give lumens, or µmol/s.' : `${use.ppfd.toFixed(0)} µmol/m²/s on the trays`}
        {use?.estimated ? ', estimated from lumens (74 lumens to a µmol for cool white, Thimijan and Heins 1983)' : ''}.
      </p>
      <EditInUnit
        label="Warms the soil by"
        name={name('lift')}
        field="lights.lift_c"
        after={us ? '°F' : '°C'}
        value={between(light.lift_c, us)}
        save={(to) => save('lift_c', 'warmth')((to ?? 0) / degrees)}
      />
    </>
  );
}
