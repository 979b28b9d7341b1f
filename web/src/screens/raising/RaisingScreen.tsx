import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { Method } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { Said, SaidChoice } from '../../edit/Said';
import { Menu } from '../../edit/Menu';
import { FieldsOf } from '../../edit/typed';
import { parseText } from '../../edit/text';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { siteName, varietyOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { upper } from '../../words/sowing';
import { Ground } from './Ground';
import { useGrowth } from './growth';
import { cropsWords, StageSentence } from './StageSentence';
import { methodOptions } from '../../season/methods';
import s from './raising.module.css';

const PRESETS = [
  ['first_year', 'my first year'],
  ['usual', 'usual'],
  ['careful', 'careful'],
] as const;

/** How things are raised: one method as a line of ground, its stages as sentences, with what a plant costs as it grows. */
export function RaisingScreen() {
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
  const add = (body: { school?: string; copy?: string; crop?: string }) => {
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
    {
      key: 'here',
      type: 'group' as const,
      label: 'Of this season',
      children: methodOptions(season).map(({ value, label }) => ({ key: `m:${value}`, label })),
    },
    {
      key: 'schools',
      type: 'group' as const,
      label: 'From the catalogue',
      children: Object.entries(catalogue?.schools ?? {}).map(([id, school]) => ({ key: `s:${id}`, label: upper(school) })),
    },
  ];
  return (
    <>
      <div className="list-head">
        <div>
          <h1 className={s.title}>
            {method ? (
              <Said<string>
                label="Name of the method"
                name="method_name"
                value={method.name}
                show={String}
                parse={parseText}
                save={(to) => store.change([{ path: ['methods', method.id, 'name'], to }], `name, ${method.name}`)}
              />
            ) : (
              'No method yet'
            )}
          </h1>
          <div className="list-tools">
            <SetupPicker />
          </div>
        </div>
        <div className={s.stageTools}>
          <Menu items={items} choose={(key) => (key.startsWith('m:') ? pick(key.slice(2)) : add({ school: key.slice(2) }))}>
            <Button data-add-method>Add a method ▾</Button>
          </Menu>
          {method && (
            <Button data-copy-method onClick={() => add({ copy: method.id })}>
              Copy this method
            </Button>
          )}
        </div>
      </div>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
      {method ? (
        <MethodEditor key={method.id} shown={shown} method={method} only={(crop) => add({ copy: method.id, crop })} />
      ) : (
        <p className="empty">
          A method says how seed becomes a plant, stage by stage. Add one from the catalogue with the button above.
        </p>
      )}
    </>
  );
}

interface EditorProps {
  shown: OnScreen;
  method: Method;
  /** A copy of the method that only one crop follows. */
  only: (crop: string) => void;
}

function MethodEditor({ shown, method, only }: EditorProps) {
  const { season, setup, id, revision } = shown;
  const store = useStore();
  const us = season.units === 'us';
  const [wish, setWish] = useState<string | null>(null);
  const { data } = useGrowth(id, setup.id, method.id, wish, revision);
  const stages = (next: Method['stages'], label: string) =>
    store.apply([{ path: ['methods', method.id, 'stages'], to: next }], `${label}, ${method.name}`);
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['methods', method.id, key], to }], `${label}, ${method.name}`);
  const preset = (to: (typeof PRESETS)[number][0]) =>
    store.attempt('survival', () =>
      answered(
        client.PUT('/api/seasons/{season}/methods/{method}/survival', {
          params: { path: { season: id, method: method.id } },
          body: { preset: to, setup: setup.id },
        }),
      ),
    );
  const last = method.stages.at(-1);
  const end = data?.stages.at(-1);
  const users = data?.crops ?? [];
  const community = method.pattern === 'community';
  const crop = data?.crop ?? null;
  const site = siteName(method, new Map(season.containers.map((row) => [row.id, row])));
  return (
    <>
      <p className="quiet" data-part="used">
        {data === undefined
          ? 'Growing one'
          : users.length === 0
            ? 'No crop of this set-up uses this method yet'
            : upper(cropsWords(users.length))}
        {crop !== null && (
          <>
            ; drawn for{' '}
            <SaidChoice
              label="Crop it is drawn for"
              name="drawn_for"
              value={crop}
              options={season.crops.map((row) => [row.id, varietyOf(season, row.id)] as const)}
              choose={setWish}
            />
          </>
        )}
        .{' '}
        {end && (
          <>
            Of a hundred that come up <b>{end.alive_of_hundred}</b> survive to the end; in a bad season, one in five,{' '}
            {end.alive_bad}.
          </>
        )}{' '}
        Each figure is the cost per finished seedling if the method ended with that stage.
      </p>
      {users.length > 1 && crop !== null && (
        <p className={s.touch} data-part="touches">
          What you change here changes {users.length} crops.{' '}
          <button type="button" className="plain" data-action="only" onClick={() => only(crop)}>
            Only for {varietyOf(season, crop)}
          </button>
        </p>
      )}
      {data && (
        <div className={s.groundScroll} tabIndex={0} role="region" aria-label="The stages, drawn">
          <Ground season={season} method={method} growth={data} us={us} />
        </div>
      )}
      <ol className={s.stages}>
        {method.stages.map((stage, index) => (
          <FieldsOf key={index} value={`${method.id} ${index}`}>
            <StageSentence
              shown={shown}
              method={method}
              index={index}
              stage={stage}
              grown={data?.stages[index]}
              before={data?.stages[index - 1]?.sites ?? null}
              site={site}
              change={stages}
            />
          </FieldsOf>
        ))}
      </ol>
      <div className={s.foot}>
        {last && (
          <Button
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
              ['per_site', `in every ${community ? 'cell or pot' : site}, thinned`],
              ['community', 'many in one pot, pricked out'],
            ]}
            choose={(to) => store.apply([{ path: ['methods', method.id, 'pattern'], to }], `pattern, ${method.name}`)}
          />
        </span>
        {users.length === 0 && data?.used_by.length === 0 && season.methods.length > 1 && (
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
      <details className={s.work}>
        <summary>Rows, clumps and other needs</summary>
        <EditNumber
          label={`Cells in whole rows of`}
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
          label="They go out young, after"
          name="weeks_share"
          after="% of their weeks"
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
              onChange={(event) =>
                store.apply(
                  [
                    {
                      path: ['methods', method.id, 'needs'],
                      to: event.target.checked ? [...method.needs, gear.id] : method.needs.filter((one) => one !== gear.id),
                    },
                  ],
                  `what it needs, ${method.name}`,
                )
              }
            />{' '}
            needs {gear.name}
          </label>
        ))}
      </details>
      <p className={`quiet ${s.mind}`}>
        <b>Take care:</b> pour hot water on the mix in small amounts. Take film or dome off as soon as seedlings are up, or they
        cook. Keep the mat’s lead above the water. <Link to="/cautions">All cautions</Link>
      </p>
    </>
  );
}
