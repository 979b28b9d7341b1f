import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { EditInUnit } from '../../edit/EditInUnit';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { fromUnit, perVolume, type Unit } from '../../words/units';
import type { Mix } from './recipe';
import { RecipeAdditives } from './RecipeAdditives';
import { RecipeParts } from './RecipeParts';
import s from './pots.module.css';

/** A recipe in parts: what goes in, what is lost in mixing, what it takes. */
export function RecipeEditor({ season, recipe }: { season: Season; recipe: Mix }) {
  const store = useStore();
  const save = (key: keyof Mix, label: string) => (to: unknown) =>
    store.change([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const set = (key: keyof Mix, label: string) => (to: unknown) =>
    store.apply([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const us = season.units === 'us';
  const volume: Unit = us ? 'qt' : 'L';
  const volumeName = us ? 'quart' : 'litre';
  /** A quart is shown where the season's file says a litre. */
  const litres = fromUnit(1, volume);
  return (
    <section className={s.editor} aria-label={recipe.name} data-part="recipe">
      <div>
        <EditText<string>
          label="Name"
          name="recipe_name"
          value={recipe.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
        />
        <RecipeParts season={season} recipe={recipe} save={save} set={set} />
      </div>
      <div>
        <EditNumber
          label="Lost in mixing"
          name="shrinkage"
          after="%"
          field="mixes.shrinkage"
          share
          value={recipe.shrinkage}
          save={save('shrinkage', 'lost in mixing')}
        />
        <EditInUnit
          label="Stirring"
          name="minutes_per_l"
          after={`min a ${volumeName}`}
          field="mixes.minutes_per_l"
          value={perVolume(recipe.minutes_per_l, litres)}
          save={(to) => save('minutes_per_l', 'stirring')((to ?? 0) / litres)}
        />
        <EditInUnit
          label="Scalding with boiling water"
          name="kwh_per_l"
          after={`kWh a ${volumeName}`}
          field="mixes.kwh_per_l"
          value={perVolume(recipe.kwh_per_l, litres)}
          save={(to) => save('kwh_per_l', 'boiling water')((to ?? 0) / litres)}
        />
        {recipe.kwh_per_l > 0 && (
          <p className="quiet">
            Hot mix in a closed bag can scald you when you open it. Carry small amounts and do not fill to the top.
          </p>
        )}
        <RecipeAdditives season={season} recipe={recipe} save={save} set={set} />
      </div>
      <p className="quiet">
        Wet dusty ingredients before you stir them. Work outdoors and wear a mask. Wear gloves for compost, and wash your hands.
      </p>
    </section>
  );
}
