import { Button } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season, Work } from '../../api/types';
import { Menu } from '../../edit/Menu';
import { useSnapshot, useStore } from '../../season/SeasonContext';
import { Progress } from '../../season/Progress';
import { useCatalogue } from '../../season/useCatalogue';
import { NOT_WORKED_OUT } from '../../words/work';

type Way = { ready_made?: string; copy?: string; work?: number };

/** One more way beside the others: ready-made, mixed and matched, or a copy to change one thing in. */
export function AddSetup({ season }: { season: Season }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const [busy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const [work, setWork] = useState<Work | null>(null);
  const { data: catalogue } = useCatalogue();
  const attempt = async (doing: () => Promise<void>) => {
    setBusy(true);
    setWhy(null);
    try {
      await doing();
    } catch (error) {
      setWhy(words(error));
    } finally {
      setBusy(false);
    }
  };
  const add = (body: Way) =>
    attempt(async () => {
      const request = { params: { path: { season: store.id } }, body };
      const state = await store.run('a set-up', () => answered(client.POST('/api/seasons/{season}/setups', request)));
      if (state.added) store.show(state.added);
    });
  const mix = () =>
    attempt(async () => {
      const body = { kind: 'mix' as const, setup: setup ?? '' };
      setWork(await answered(client.POST('/api/seasons/{season}/work', { params: { path: { season: store.id } }, body })));
    });
  const name = season.setups.find(({ id }) => id === setup)?.name ?? '';
  const items = [
    ...(setup === null || season.setups.length === 0
      ? []
      : [
          { key: 'mix', label: `Mix and match, from ${name}` },
          { key: 'copy', label: `A copy of ${name}` },
          { type: 'divider' as const },
        ]),
    ...(catalogue?.setups ?? []).map((made) => ({ key: `made:${made.id}`, label: made.name })),
  ];
  const pick = (key: string) => {
    if (key === 'mix') return mix();
    return add(key === 'copy' ? { copy: setup ?? '' } : { ready_made: key.slice('made:'.length) });
  };
  const ended = (done: Work) => {
    setWork(null);
    if (done.state === 'done') void add({ work: done.id });
    else if (done.state === 'failed') setWhy(NOT_WORKED_OUT);
  };
  return (
    <div className="add-setup">
      {work === null ? (
        <Menu items={items} choose={(key) => void pick(key)}>
          <Button loading={busy} data-add-setup>
            Add a set-up ▾
          </Button>
        </Menu>
      ) : (
        <Progress season={store.id} begun={work} ended={ended} />
      )}
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </div>
  );
}
