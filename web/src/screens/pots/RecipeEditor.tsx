import type { Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { Said, SaidChoice } from '../../edit/Said';
import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { parseText } from '../../edit/text';
import { useStore } from '../../season/SeasonContext';
import s from './pots.module.css';

type Mix = Season['mixes'][number];

/** A recipe in parts: what goes in, what is lost in mixing, what it takes. */
export function RecipeEditor({ season, recipe }: { season: Season; recipe: Mix }) {
  const store = useStore();
  const save = (key: keyof Mix, label: string) => (to: unknown) =>
    store.change([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const set = (key: keyof Mix, label: string) => (to: unknown) =>
    store.apply([{ path: ['mixes', recipe.id, key], to }], `${label}, ${recipe.name}`);
  const media = season.supplies.filter(({ unit }) => unit === 'L');
  const free = media.filter(({ id }) => !recipe.parts.some((part) => part.supply === id));
  const unitOf = (id: string) => season.supplies.find((row) => row.id === id)?.unit ?? '';
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
                label={`parts of ${part.supply}`}
                name={`parts-${index}`}
                value={part.parts}
                show={showNumber}
                parse={(typed) => parseNumber(typed, boundsOf('mixes.parts.parts'))}
                inputMode="decimal"
                save={(to) => save('parts', 'parts')(recipe.parts.map((one, at) => (at === index ? { ...one, parts: to } : one)))}
              />{' '}
              of{' '}
              <SaidChoice
                label={`what part ${index + 1} is`}
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
                  remove
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
        <EditNumber
          label="Stirring"
          name="minutes_per_l"
          after="min a litre"
          field="mixes.minutes_per_l"
          value={recipe.minutes_per_l}
          save={save('minutes_per_l', 'stirring')}
        />
        <EditNumber
          label="Scalding with boiling water"
          name="kwh_per_l"
          after="kWh a litre"
          field="mixes.kwh_per_l"
          value={recipe.kwh_per_l}
          save={save('kwh_per_l', 'boiling water')}
        />
        {recipe.kwh_per_l > 0 && (
          <p className="quiet">
            Hot mix in a closed bag can scald you when you open it. Carry small amounts and do not fill to the top.
          </p>
        )}
        <ul className={s.parts}>
          {recipe.additives.map((additive, index) => (
            <li key={additive.supply}>
              <Said<number>
                label={`${additive.supply} to a litre`}
                name={`additive-${index}`}
                value={additive.amount_per_l}
                show={showNumber}
                parse={(typed) => parseNumber(typed, boundsOf('mixes.additives.amount_per_l'))}
                inputMode="decimal"
                save={(to) =>
                  save(
                    'additives',
                    'additives',
                  )(recipe.additives.map((one, at) => (at === index ? { ...one, amount_per_l: to } : one)))
                }
              />{' '}
              {unitOf(additive.supply)} of {season.supplies.find(({ id }) => id === additive.supply)?.name} to a litre{' '}
              <button
                type="button"
                className="plain"
                onClick={() => set('additives', 'additives')(recipe.additives.filter((_, at) => at !== index))}
              >
                remove
              </button>
            </li>
          ))}
        </ul>
        <SaidChoice
          label="an additive"
          name="new_additive"
          value=""
          options={[
            ['', '+ an additive'] as const,
            ...season.supplies
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
