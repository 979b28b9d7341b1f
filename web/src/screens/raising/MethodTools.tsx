import { Button } from 'antd';
import { answered, client } from '../../api/client';
import type { Method } from '../../api/types';
import { SaidChoice } from '../../edit/Said';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import type { Stage } from './useStageEdit';
import s from './raising.module.css';

const PRESETS = [
  ['first_year', 'my first year'],
  ['usual', 'usual'],
  ['careful', 'careful'],
] as const;

interface Props {
  shown: OnScreen;
  method: Method;
  site: string;
  /** Nothing follows it, in any set-up. */
  unused: boolean;
  stages: (next: Stage[], label: string) => void;
}

/** One more stage: what goes on from the last, in the same pot. */
const another = (last: Stage): Stage => ({
  ...last,
  name: 'Another stage',
  container: null,
  mix: null,
  top_dressing: null,
  plants_per_site: 1,
  days: 7,
  extra_days: 0,
  until: null,
  survival: 1,
});

/** What is done to a method as a whole: a stage more, how well plants survive, how it is sown, or away with it. */
export function MethodTools({ shown: { season, setup, id }, method, site, unused, stages }: Props) {
  const store = useStore();
  const last = method.stages.at(-1);
  const preset = (to: (typeof PRESETS)[number][0]) =>
    store.attempt('survival', () =>
      answered(
        client.PUT('/api/seasons/{season}/methods/{method}/survival', {
          params: { path: { season: id, method: method.id } },
          body: { preset: to, setup: setup.id },
        }),
      ),
    );
  return (
    <div className={s.foot}>
      {last && (
        <Button data-action="add-stage" onClick={() => stages([...method.stages, another(last)], 'a stage')}>
          + a stage
        </Button>
      )}
      <span>
        Survival:{' '}
        {PRESETS.map(([key, label], at) => (
          <span key={key}>
            {at > 0 && ' · '}
            <button type="button" className="plain" data-preset={key} onClick={() => preset(key)}>
              {label}
            </button>
          </span>
        ))}
      </span>
      <span>
        Sown{' '}
        <SaidChoice
          label="How it is sown"
          name="pattern"
          value={method.pattern}
          options={[
            ['per_site', `in every ${method.pattern === 'community' ? 'cell or pot' : site}, thinned`],
            ['community', 'many in one pot, pricked out'],
          ]}
          choose={(to) => store.apply([{ path: ['methods', method.id, 'pattern'], to }], `pattern, ${method.name}`)}
        />
      </span>
      {unused && season.methods.length > 1 && (
        <button
          type="button"
          className="plain"
          data-action="remove-method"
          onClick={() => store.apply([{ path: ['methods', method.id], to: null }], `${method.name} taken out`)}
        >
          Delete this method
        </button>
      )}
    </div>
  );
}
