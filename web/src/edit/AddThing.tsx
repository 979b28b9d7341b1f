import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../api/client';
import { useSnapshot, useStore } from '../season/SeasonContext';
import { useCatalogue } from '../season/useCatalogue';
import { Menu } from './Menu';

interface Props {
  /** Lists of the season that things can be added to, with what they are called. */
  lists: readonly (readonly [list: string, title: string, own: string])[];
  label: string;
  place?: string;
  added?: (id: string, list: string) => void;
}

const OWN = 'own';

/** Something new from the catalogue, or one of one's own to fill in. */
export function AddThing({ lists, label, place, added }: Props) {
  const store = useStore();
  const { setup } = useSnapshot();
  const { data } = useCatalogue();
  const [why, setWhy] = useState<string | null>(null);
  const add = (list: string, catalogue: string | undefined) => {
    setWhy(null);
    const request = { params: { path: { season: store.id } }, body: { list, catalogue, place, setup: setup ?? undefined } };
    store
      .run('something new', () => answered(client.POST('/api/seasons/{season}/things', request)))
      .then((state) => added?.(state.added ?? '', list))
      .catch((error: unknown) => setWhy(words(error)));
  };
  const items = lists.map(([list, title, own]) => ({
    key: list,
    type: 'group' as const,
    label: title,
    children: [
      { key: `${list}:${OWN}`, label: own },
      ...(data?.things[list] ?? []).map((thing) => ({ key: `${list}:${thing.id}`, label: thing.name, title: thing.source })),
    ],
  }));
  return (
    <>
      <Menu
        items={items}
        choose={(key) => {
          const [list = '', id = ''] = key.split(':');
          add(list, id === OWN ? undefined : id);
        }}
      >
        <Button data-add={lists[0]?.[0]}>{label} ▾</Button>
      </Menu>
      {why !== null && (
        <span className="trouble" role="alert">
          {why}
        </span>
      )}
    </>
  );
}
