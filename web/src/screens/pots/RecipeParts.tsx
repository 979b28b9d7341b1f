import { boundsOf } from '../../edit/bounds';
import { parseNumber, showNumber } from '../../edit/numbers';
import { Said, SaidChoice } from '../../edit/Said';
import { useSupplies } from '../../season/supplies';
import type { RecipeProps } from './recipe';
import s from './pots.module.css';

/** What goes in, by parts. */
export function RecipeParts({ season, recipe, save, set }: RecipeProps) {
  const { media } = useSupplies(season);
  const free = media.filter(({ id }) => !recipe.parts.some((part) => part.supply === id));
  const supplyOf = (id: string) => season.supplies.find((row) => row.id === id);
  return (
    <>
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
              choose={(to) => set('parts', 'parts')(recipe.parts.map((one, at) => (at === index ? { ...one, supply: to } : one)))}
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
    </>
  );
}
