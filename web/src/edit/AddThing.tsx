import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../api/client';
import { useSnapshot, useStore } from '../season/SeasonContext';
import { useCatalogue } from '../season/useCatalogue';
import { EditBounded } from './EditNumber';
import { Menu } from './Menu';
import s from './edit.module.css';

interface Props {
  /** Lists of the season that things can be added to, with what they are called. */
  lists: readonly (readonly [list: string, title: string, own: string])[];
  label: string;
  place?: string;
  added?: (id: string, list: string) => void;
  /** Several of a kind at once can be added. */
  many?: boolean;
}

/** As many as the server takes at once. */
const MOST = 20;

const OWN = 'own';

/** Something new from the catalogue, or one of one's own to fill in. */
export function AddThing({ lists, label, place, added, many = false }: Props) {
  const store = useStore();
  const { setup, season } = useSnapshot();
  const us = season?.units === 'us';
  const { data } = useCatalogue();
  const [why, setWhy] = useState<string | null>(null);
  const [number, setNumber] = useState(1);
  const add = (list: string, catalogue: string | undefined) => {
    setWhy(null);
    const request = {
      params: { path: { season: store.id } },
      body: { list, catalogue, place, setup: setup ?? undefined, count: number },
    };
    store
      .run('something new', () => answered(client.POST('/api/seasons/{season}/things', request)))
      .then((state) => {
        setNumber(1);
        added?.(state.added ?? '', list);
      })
      .catch((error: unknown) => setWhy(words(error)));
  };
  const items = lists.map(([list, title, own]) => ({
    key: list,
    type: 'group' as const,
    label: title,
    children: [
      { key: `${list}:${OWN}`, label: own },
      ...(data?.things[list] ?? []).map((thing) => ({
        key: `${list}:${thing.id}`,
        label: us ? thing.us_name : thing.name,
        title: thing.source,
      })),
    ],
  }));
  return (
    <span className={s.addMany}>
      {many && (
        <EditBounded
          label={`How many: ${label}`}
          name={`${lists[0]?.[0]}.number`}
          bare
          after="×"
          value={number}
          bounds={{ least: 1, most: MOST, whole: true }}
          save={async (to) => setNumber(to)}
        />
      )}
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
    </span>
  );
}
