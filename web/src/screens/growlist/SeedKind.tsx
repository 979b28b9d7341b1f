import { EditNumber } from '../../edit/EditNumber';
import { useStore } from '../../season/SeasonContext';
import type { PanelProps } from './panel';

type Props = Pick<PanelProps['facts'], 'species' | 'lot'>;

/** What is believed of all seed of a kind, and how this packet differs from it. */
export function SeedKind({ species, lot }: Props) {
  const store = useStore();
  if (!species) return null;
  const kind = species.name.toLowerCase();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['species', species.id, key], to }], `${label}, ${species.name}`);
  return (
    <details>
      <summary>What all {kind} seed is like</summary>
      <EditNumber
        label={`Fresh ${kind} seed that comes up`}
        name="fresh_germination"
        after="%"
        field="species.fresh_germination"
        share
        value={species.fresh_germination}
        save={save('fresh_germination', 'fresh seed')}
      />
      <EditNumber
        label="Half still comes up after"
        name="longevity_years"
        after="years"
        field="species.longevity_years"
        value={species.longevity_years}
        save={save('longevity_years', 'how long seed keeps')}
      />
      <EditNumber
        label="This packet’s days to come up, against the usual"
        name="emergence_factor"
        after="times"
        field="seed_lots.emergence_factor"
        value={lot.emergence_factor}
        save={(to) => store.change([{ path: ['seed_lots', lot.id, 'emergence_factor'], to }], `days to come up, ${lot.variety}`)}
      />
    </details>
  );
}
