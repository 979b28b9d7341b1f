import type { Container, Season } from '../../api/types';
import { EditInUnit } from '../../edit/EditInUnit';
import { EditBounded, EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { money, moneySign } from '../../words/money';
import { useIsGuess } from '../../season/useIsGuess';
import { PotMeasures } from './PotMeasures';
import s from './pots.module.css';

interface Props {
  season: Season;
  pot: Container;
  /** Money for its pots over five seasons, and the same of what it stands beside. */
  five: number | null;
  gone: () => void;
}

/** Everything of one pot: what it costs and holds, how many stand in a tray, what washing takes. */
export function PotEditor({ season, pot, five, gone }: Props) {
  const store = useStore();
  const save = (key: keyof Container, label: string) => (to: unknown) =>
    store.change([{ path: ['containers', pot.id, key], to }], `${label}, ${pot.name}`);
  return (
    <section aria-label={pot.name} className={s.editor} data-part="pot-editor">
      <PotPrice season={season} pot={pot} save={save} />
      <PotRoom season={season} pot={pot} save={save} five={five} gone={gone} />
      <PotMeasures pot={pot} us={season.units === 'us'} />
    </section>
  );
}

type PartProps = Pick<Props, 'season' | 'pot'> & {
  save: (key: keyof Container, label: string) => (to: unknown) => Promise<void>;
};

function PotPrice({ season, pot, save }: PartProps) {
  const store = useStore();
  const isGuess = useIsGuess();
  return (
    <div>
      <EditText<string>
        label="Name"
        name="pot_name"
        value={pot.name}
        show={String}
        parse={parseText}
        save={save('name', 'name')}
      />
      <EditNumber
        label="A pack costs"
        name="pot_price"
        before={moneySign(season.currency)}
        field="containers.pack_price"
        value={pot.pack_price}
        guess={isGuess('containers', pot.id, 'pack_price')}
        save={save('pack_price', 'price')}
      />
      <EditNumber
        label="In a pack"
        name="units_per_pack"
        field="containers.units_per_pack"
        value={pot.units_per_pack}
        save={save('units_per_pack', 'in a pack')}
      />
      <EditNumber
        label="Cells in one"
        name="sites_per_unit"
        field="containers.sites_per_unit"
        value={pot.sites_per_unit}
        save={save('sites_per_unit', 'cells')}
      />
      <EditNumber
        label="You have"
        name="owned_units"
        field="containers.owned_units"
        value={pot.owned_units}
        save={save('owned_units', 'owned')}
      />
      <label className="tick">
        <input
          type="checkbox"
          name="single_use"
          checked={pot.single_use}
          onChange={(event) =>
            store.apply([{ path: ['containers', pot.id, 'single_use'], to: event.target.checked }], `used once, ${pot.name}`)
          }
        />{' '}
        used once
      </label>
      {!pot.single_use && (
        <EditNumber
          label="It lasts"
          name="life_seasons"
          after="seasons"
          field="containers.life_seasons"
          value={pot.life_seasons}
          guess={isGuess('containers', pot.id, 'life_seasons')}
          save={save('life_seasons', 'life')}
        />
      )}
    </div>
  );
}

function PotRoom({ season, pot, save, five, gone }: PartProps & Pick<Props, 'five' | 'gone'>) {
  const store = useStore();
  const used = season.methods.filter((method) => method.stages.some((stage) => stage.container === pot.id));
  const perFlat = 1 / pot.flats_per_unit;
  return (
    <div>
      <EditInUnit
        label={pot.sites_per_unit > 1 ? 'One cell holds' : 'It holds (fill it with water)'}
        name="volume_l"
        field="containers.volume_l"
        unit={season.units === 'us' ? 'fl oz' : 'L'}
        value={pot.volume_l}
        save={save('volume_l', 'volume')}
      />
      <EditBounded
        label="Pots in a tray"
        name="per_flat"
        bounds={{ least: 0.1, most: 1000 }}
        value={Number(perFlat.toFixed(3))}
        save={(n) => save('flats_per_unit', 'in a tray')(1 / n)}
      />
      <EditNumber
        label="Washing and making holes"
        name="prep_minutes"
        after="min each"
        field="containers.prep_minutes_per_unit"
        value={pot.prep_minutes_per_unit}
        save={save('prep_minutes_per_unit', 'washing')}
      />
      <EditNumber
        label="Soap and water"
        name="prep_cost"
        before={moneySign(season.currency)}
        after="each"
        field="containers.prep_cost_per_unit"
        value={pot.prep_cost_per_unit}
        save={save('prep_cost_per_unit', 'washing')}
      />
      <p className="quiet">
        {five === null ? '' : `For one plant, over five seasons: ${money(five, season.currency, true)}. `}
        {used.length === 0 ? 'No method uses it.' : `Used by ${used.map(({ name }) => name).join('; ')}.`}
      </p>
      {used.length === 0 && (
        <button
          type="button"
          className="plain"
          onClick={() => {
            gone();
            store.apply([{ path: ['containers', pot.id], to: null }], `${pot.name} taken out`);
          }}
        >
          Delete
        </button>
      )}
    </div>
  );
}
