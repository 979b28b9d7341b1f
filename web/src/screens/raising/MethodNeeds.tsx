import type { Method, Season } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import { MethodExtras } from './MethodExtras';
import s from './raising.module.css';

/** Rows, clumps, what is used up and the gear a method needs, folded away. */
export function MethodNeeds({ season, method }: { season: Season; method: Method }) {
  const store = useStore();
  const save = (key: keyof Method, label: string) => (to: unknown) =>
    store.change([{ path: ['methods', method.id, key], to }], `${label}, ${method.name}`);
  const needs = (to: string[]) => store.apply([{ path: ['methods', method.id, 'needs'], to }], `what it needs, ${method.name}`);
  return (
    <details className={s.work}>
      <summary>Rows, clumps, labels and other needs</summary>
      <EditNumber
        label="Cells in whole rows of"
        name="round_sites_to"
        field="methods.round_sites_to"
        value={method.round_sites_to}
        save={save('round_sites_to', 'rows')}
      />
      <EditNumber
        label="Counts as up with"
        name="min_plants"
        after="plants"
        field="methods.min_plants"
        value={method.min_plants}
        save={save('min_plants', 'plants to a clump')}
      />
      <EditNumber
        label="They go out young, after this share of their weeks"
        name="weeks_share"
        after="%"
        field="methods.weeks_share"
        share
        value={method.weeks_share}
        save={save('weeks_share', 'weeks of growth')}
      />
      {season.gear.map((gear) => (
        <label key={gear.id} className="tick">
          <input
            type="checkbox"
            checked={method.needs.includes(gear.id)}
            onChange={({ target }) =>
              needs(target.checked ? [...method.needs, gear.id] : method.needs.filter((one) => one !== gear.id))
            }
          />{' '}
          needs {gear.name}
        </label>
      ))}
      <MethodExtras season={season} method={method} />
    </details>
  );
}
