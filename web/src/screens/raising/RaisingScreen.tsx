import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import { Said } from '../../edit/Said';
import { Menu } from '../../edit/Menu';
import { parseText } from '../../edit/text';
import { useOnScreen, useStore, type OnScreen } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { upper } from '../../words/sowing';
import { spelled } from '../../words/spelling';
import { methodOptions } from '../../season/methods';
import { MethodEditor } from './MethodEditor';
import s from './raising.module.css';

/** How things are raised: one method as a line of ground, its stages as sentences, with what a plant costs as it grows. */
export function RaisingScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Methods shown={shown} />}</PlanningPage>;
}

/** What may be chosen: the season's methods, and those of the catalogue. */
function useMenuOfMethods(season: OnScreen['season']) {
  const { data: catalogue } = useCatalogue();
  return [
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
      children: Object.entries(catalogue?.schools ?? {}).map(([id, school]) => ({
        key: `s:${id}`,
        label: upper(spelled(school, season.units === 'us')),
      })),
    },
  ];
}

function Methods({ shown }: { shown: OnScreen }) {
  const { season, setup } = shown;
  const store = useStore();
  const [picked, pick] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
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
  const items = useMenuOfMethods(season);
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
