import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { Said, SaidChoice } from '../../edit/Said';
import { useSupplies } from '../../season/supplies';
import { fromUnit, inUnit, perVolume } from '../../words/units';
import type { RecipeProps } from './recipe';
import { SPOONED } from './small';
import s from './pots.module.css';

/** What is stirred in by the spoon or the ounce. */
export function RecipeAdditives({ season, recipe, save, set }: RecipeProps) {
  const { additives } = useSupplies(season);
  const us = season.units === 'us';
  const volumeName = us ? 'quart' : 'litre';
  const litres = fromUnit(1, us ? 'qt' : 'L');
  const supplyOf = (id: string) => season.supplies.find((row) => row.id === id);
  return (
    <>
      <ul className={s.parts}>
        {recipe.additives.map((additive, index) => {
          const supply = supplyOf(additive.supply);
          const unit = supply && us ? SPOONED[supply.unit] : undefined;
          // Of its own unit to a litre, as spoons or ounces to a quart.
          const times = litres * (unit ? inUnit(1, unit) : 1);
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
                value={Number(perVolume(additive.amount_per_l, times).toPrecision(4))}
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
    </>
  );
}
