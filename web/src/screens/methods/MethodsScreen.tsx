import { useQuery } from '@tanstack/react-query';
import { Button, Dropdown, Select } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Method } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { PlanningPage } from '../../shell/Page';
import { SetupPicker } from '../../shell/SetupPicker';
import { varietyOf } from '../../season/site';
import { money } from '../../words/money';
import { parseText } from '../growlist/parse';
import { StagePart } from './StagePart';
import s from './methods.module.css';

const PRESETS = [
  ['first_year', 'my first year'],
  ['usual', 'usual'],
  ['careful', 'careful'],
] as const;

/** How things are raised: each method's stages as they follow each other, with what a plant costs as they are added. */
export function MethodsScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Methods shown={shown} />}</PlanningPage>;
}

function Methods({ shown }: { shown: OnScreen }) {
  const { season, setup } = shown;
  const store = useStore();
  const [picked, pick] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const { data: catalogue } = useCatalogue();
  const method =
    season.methods.find(({ id }) => id === picked) ?? season.methods.find(({ id }) => id === setup.method) ?? season.methods[0];
  const add = (body: { school?: string; copy?: string }) => {
    setWhy(null);
    store
      .run('a method', () =>
        answered(
          client.POST('/api/seasons/{season}/methods', {
            params: { path: { season: store.id } },
            body: { ...body, setup: setup.id },
          }),
        ),
      )
      .then((state) => pick(state.added ?? null))
      .catch((error: unknown) => setWhy(words(error)));
  };
  const items = [
    ...(method ? [{ key: 'copy', label: `A copy of ${method.name}` }, { type: 'divider' as const }] : []),
    ...Object.entries(catalogue?.schools ?? {}).map(([id, school]) => ({ key: id, label: school })),
  ];
  return (
    <>
      <div className="list-head">
        <div>
          <h1>How they are raised</h1>
          <div className="list-tools">
            <label>
              Method
              <Select
                aria-label="Method"
                value={method?.id}
                onChange={pick}
                options={season.methods.map(({ id, name }) => ({ value: id, label: name }))}
                popupMatchSelectWidth={false}
                style={{ minWidth: 260 }}
              />
            </label>
            <SetupPicker />
          </div>
        </div>
        <Dropdown
          trigger={['click']}
          menu={{ items, onClick: ({ key }) => add(key === 'copy' ? { copy: method?.id ?? '' } : { school: key }) }}
        >
          <Button data-add-method>Add a method ▾</Button>
        </Dropdown>
      </div>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {method ? (
        <MethodEditor key={method.id} shown={shown} method={method} />
      ) : (
        <p className="empty">No method yet. Add one of the schools’ with the button above.</p>
      )}
    </>
  );
}

function MethodEditor({ shown, method }: { shown: OnScreen; method: Method }) {
  const { season, setup, id, revision } = shown;
  const store = useStore();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['methods', method.id, key], to }], `${label}, ${method.name}`);
  const { data } = useQuery({
    queryKey: ['growth', id, setup.id, method.id, revision],
    placeholderData: (before, query) => (query?.queryKey[3] === method.id ? before : undefined),
    queryFn: () =>
      answered(
        client.GET('/api/seasons/{season}/setups/{setup}/methods/{method}/growth', {
          params: { path: { season: id, setup: setup.id, method: method.id } },
        }),
      ),
  });
  const crop = season.crops.find((row) => row.id === data?.crop);
  const example = crop && varietyOf(season, crop.id);
  const most = Math.max(...(data?.stages.map(({ per_finished }) => per_finished ?? 0) ?? [0]), 1e-9);
  const community = method.pattern === 'community';
  const preset = (to: (typeof PRESETS)[number][0]) =>
    store.attempt('survival', () =>
      answered(
        client.PUT('/api/seasons/{season}/methods/{method}/survival', {
          params: { path: { season: id, method: method.id } },
          body: { preset: to, setup: setup.id },
        }),
      ),
    );
  const stages = (next: Method['stages'], label: string) =>
    store.apply([{ path: ['methods', method.id, 'stages'], to: next }], `${label}, ${method.name}`);
  const last = method.stages.at(-1);
  return (
    <>
      <div className={s.methodFacts}>
        <EditText<string>
          label="Name"
          name="method_name"
          value={method.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
        />
        <label className="pick">
          Sown
          <Select
            aria-label="Pattern"
            value={method.pattern}
            onChange={(to: string) => store.apply([{ path: ['methods', method.id, 'pattern'], to }], `pattern, ${method.name}`)}
            options={[
              { value: 'per_site', label: 'in every cell or pot' },
              { value: 'community', label: 'many in one pot, pricked out' },
            ]}
          />
        </label>
        <EditNumber
          label={community ? 'Seeds to a pot' : 'Seeds to a cell'}
          name="seeds_per_site"
          field="methods.seeds_per_site"
          value={method.seeds_per_site}
          save={save('seeds_per_site', 'seeds to a cell')}
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
          label="Cells in whole rows of"
          name="round_sites_to"
          field="methods.round_sites_to"
          value={method.round_sites_to}
          save={save('round_sites_to', 'rows')}
        />
        <p className={s.presets}>
          Of all plants live through it:{' '}
          {PRESETS.map(([key, label]) => (
            <button key={key} type="button" className="plain" data-preset={key} onClick={() => preset(key)}>
              {label}
            </button>
          ))}
        </p>
      </div>
      <ol className={s.stages}>
        {method.stages.map((stage, index) => {
          const grown = data?.stages[index];
          return (
            <li key={index} className={s.stage}>
              <div className={s.stageCost} aria-label={`One plant after ${stage.name}`}>
                <span className={s.stageBar} style={{ height: `${Math.max(2, ((grown?.per_finished ?? 0) / most) * 120)}px` }} />
                <b className="mono copper" data-growth={index}>
                  {money(grown?.per_finished, season.currency, true)}
                </b>
                <small>a plant{example ? ` of ${example}` : ''} so far</small>
              </div>
              <StagePart
                shown={shown}
                method={method}
                index={index}
                stage={stage}
                first={index === 0}
                remove={
                  method.stages.length > 1
                    ? () =>
                        stages(
                          method.stages.filter((_, at) => at !== index),
                          `${stage.name} taken out`,
                        )
                    : null
                }
              />
            </li>
          );
        })}
      </ol>
      <p>
        {last && (
          <button
            type="button"
            className="plain"
            data-action="add-stage"
            onClick={() =>
              stages(
                [
                  ...method.stages,
                  {
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
                  },
                ],
                'a stage',
              )
            }
          >
            Add a stage
          </button>
        )}
        {data?.used_by.length === 0 && season.methods.length > 1 && (
          <>
            {' '}
            <button
              type="button"
              className="plain"
              onClick={() => store.apply([{ path: ['methods', method.id], to: null }], `${method.name} taken out`)}
            >
              Take this method out
            </button>
          </>
        )}
      </p>
    </>
  );
}
