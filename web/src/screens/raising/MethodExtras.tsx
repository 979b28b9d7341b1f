import type { Method, Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { SaidChoice } from '../../edit/Said';
import { useStore } from '../../season/SeasonContext';

const PER = [
  ['site', 'for each cell or pot'],
  ['flat', 'for each tray'],
  ['crop', 'for each crop'],
] as const;

/** Labels, ties and other things that are used up beside mix and feed. */
export function MethodExtras({ season, method }: { season: Season; method: Method }) {
  const store = useStore();
  const { extras } = method;
  const change = { path: ['methods', method.id, 'extras'] };
  const label = `what is used up, ${method.name}`;
  const unused = season.supplies.filter(({ id }) => !extras.some(({ supply }) => supply === id));
  const replaced = (at: number, by: Partial<(typeof extras)[number]>) =>
    extras.map((one, index) => (index === at ? { ...one, ...by } : one));
  return (
    <>
      {extras.map((extra, at) => {
        const supply = season.supplies.find(({ id }) => id === extra.supply);
        const name = supply?.name ?? extra.supply;
        return (
          <div key={extra.supply} data-extra={extra.supply}>
            <EditNumber
              label={`${name}: used`}
              name={`extra-${extra.supply}`}
              after={supply?.unit}
              field="methods.extras.amount"
              value={extra.amount}
              save={(amount) => store.change([{ ...change, to: replaced(at, { amount }) }], label)}
            />
            <SaidChoice
              label={`${name}: counted`}
              name={`per-${extra.supply}`}
              value={extra.per}
              options={PER}
              choose={(to) => {
                const per = PER.find(([value]) => value === to)?.[0] ?? extra.per;
                store.apply([{ ...change, to: replaced(at, { per }) }], label);
              }}
            />{' '}
            <button
              type="button"
              className="plain"
              aria-label={`not used: ${name}`}
              onClick={() => store.apply([{ ...change, to: extras.filter((_, index) => index !== at) }], label)}
            >
              not used
            </button>
          </div>
        );
      })}
      {unused.length > 0 && (
        <SaidChoice
          label="Something else that is used up"
          name="add-extra"
          value=""
          options={[['', 'also used up…'], ...unused.map(({ id, name }) => [id, name] as const)]}
          choose={(supply) => store.apply([{ ...change, to: [...extras, { supply, amount: 1, per: 'site' }] }], label)}
        />
      )}
    </>
  );
}
