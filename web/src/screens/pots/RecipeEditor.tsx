import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { EditInUnit } from '../../edit/EditInUnit';
import { Said, SaidChoice } from '../../edit/Said';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import { useSupplies } from '../../season/supplies';
import { fromUnit, inUnit, type Unit } from '../../words/units';
import { SPOONED } from './small';
import s from './pots.module.css';

type Mix = Season['mixes'][number];

/** A recipe in parts: what goes in, what is lost in mixing, what it takes. */
export function RecipeEditor({ season, recipe }: { season: Season; recipe: Mix }) {
  const store = useStore();
  const save = (key: keyof Mix, label: string) => (to: unknown) =>
    store.change([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const set = (key: keyof Mix, label: string) => (to: unknown) =>
    store.apply([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const us = season.units === 'us';
  const { media, additives } = useSupplies(season);
  const volume: Unit = us ? 'qt' : 'L';
  const volumeName = us ? 'quart' : 'litre';
  /** A quart is shown where the season's file says a litre. */
  const perVolume = fromUnit(1, volume);
  const free = media.filter(({ id }) => !recipe.parts.some((part) => part.supply === id));
  const supplyOf = (id: string) => season.supplies.find((row) => row.id === id);
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
        <ul className={s.parts}>
          {recipe.parts.map((part, index) => (
            <li key={part.supply}>
              <Said<number>
                label={`Parts of ${supplyOf(part.supply)?.name}`}
                name={`parts-${index}`}
                value={part.parts}
                show={showNumber}
                parse={(typed) => parseNumber(typed, boundsOf('mixes.parts.parts'))}
                inputMode="decimal"
                save={(to) => save('parts', 'parts')(recipe.parts.map((one, at) => (at === index ? { ...one, parts: to } : one)))}
              />{' '}
              of{' '}
              <SaidChoice
                label={`What part ${index + 1} is`}
                name={`part-${index}`}
                value={part.supply}
                options={media.map(({ id, name }) => [id, name] as const)}
                choose={(to) =>
                  set('parts', 'parts')(recipe.parts.map((one, at) => (at === index ? { ...one, supply: to } : one)))
                }
              />{' '}
              {recipe.parts.length > 1 && (
                <button
                  type="button"
                  className="plain"
                  onClick={() => set('parts', 'parts')(recipe.parts.filter((_, at) => at !== index))}
                >
                  Remove
                </button>
              )}
            </li>
          ))}
        </ul>
        {free[0] && (
          <button
            type="button"
            className="plain"
            data-action="add-part"
            onClick={() => set('parts', 'parts')([...recipe.parts, { supply: free[0]?.id, parts: 1 }])}
          >
            + a part
          </button>
        )}
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
          value={recipe.minutes_per_l * perVolume}
          save={(to) => save('minutes_per_l', 'stirring')((to ?? 0) / perVolume)}
        />
        <EditInUnit
          label="Scalding with boiling water"
          name="kwh_per_l"
          after={`kWh a ${volumeName}`}
          field="mixes.kwh_per_l"
          value={recipe.kwh_per_l * perVolume}
          save={(to) => save('kwh_per_l', 'boiling water')((to ?? 0) / perVolume)}
        />
        {recipe.kwh_per_l > 0 && (
          <p className="quiet">
            Hot mix in a closed bag can scald you when you open it. Carry small amounts and do not fill to the top.
          </p>
        )}
        <ul className={s.parts}>
          {recipe.additives.map((additive, index) => {
            const supply = supplyOf(additive.supply);
            const unit = supply && us ? SPOONED[supply.unit] : undefined;
            // Of its own unit to a litre, as spoons or ounces to a quart.
            const times = perVolume * (unit ? inUnit(1, unit) : 1);
            const piece = supply?.unit === 'each' ? '×' : (unit ?? supply?.unit ?? '');
            const put = (to: number) =>
              save(
                'additives',
                'additives',
              )(recipe.additives.map((one, at) => (at === index ? { ...one, amount_per_l: to } : one)));
            return (
              <li key={additive.supply}>
                <Said<number>
                  label={`Amount of ${supply?.name} to a ${volumeName}`}
                  name={`additive-${index}`}
                  value={Number((additive.amount_per_l * times).toPrecision(4))}
                  show={showNumber}
                  parse={(typed) => parseNumber(typed, boundsOf('mixes.additives.amount_per_l', times))}
                  inputMode="decimal"
                  save={(to) => put(to / times)}
                />{' '}
                {piece} {supply?.name} to a {volumeName}{' '}
                <button
                  type="button"
                  className="plain"
                  onClick={() => set('additives', 'additives')(recipe.additives.filter((_, at) => at !== index))}
                >
                  Remove
                </button>
              </li>
            );
          })}
        </ul>
        <SaidChoice
          label="Add an additive"
          name="new_additive"
          value=""
          options={[
            ['', '+ an additive'] as const,
            ...additives
              .filter(({ id }) => !recipe.additives.some((one) => one.supply === id))
              .map(({ id, name }) => [id, name] as const),
          ]}
          choose={(to) => to !== '' && set('additives', 'additives')([...recipe.additives, { supply: to, amount_per_l: 0.004 }])}
        />
      </div>
      <p className="quiet">
        Wet dusty ingredients before you stir them. Work outdoors and wear a mask. Wear gloves for compost, and wash your hands.
      </p>
    </section>
  );
}
