import { Button, Dropdown } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season } from '../../api/types';
import { useCatalogue } from '../../season/useCatalogue';
import { useStore, useSnapshot } from '../../season/SeasonContext';

/** One more way beside the others: ready-made, mixed and matched, or a copy to change one thing in. */
export function AddSetup({ season }: { season: Season }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const [busy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const { data: catalogue } = useCatalogue();
  const add = async (body: { ready_made?: string; copy?: string; mix?: string }) => {
    setBusy(true);
    setWhy(null);
    try {
      const state = await store.run('a set-up', () =>
        answered(client.POST('/api/seasons/{season}/setups', { params: { path: { season: store.id } }, body })),
      );
      if (state.added) store.show(state.added);
    } catch (error) {
      setWhy(words(error));
    } finally {
      setBusy(false);
    }
  };
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
  return (
    <div className="add-setup">
      <Dropdown
        trigger={['click']}
        menu={{
          items,
          onClick: ({ key }) =>
            void add(
              key === 'mix' ? { mix: setup ?? '' } : key === 'copy' ? { copy: setup ?? '' } : { ready_made: key.slice(5) },
            ),
        }}
      >
        <Button loading={busy} data-add-setup>
          {busy ? 'Weighing…' : 'Add a way ▾'}
        </Button>
      </Dropdown>
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </div>
  );
}
