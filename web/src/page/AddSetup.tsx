import { Button } from 'antd';
import type { Season } from '../api/types';
import { Menu } from '../edit/Menu';
import { useSnapshot, useStore } from '../season/SeasonContext';
import { Progress } from '../season/Progress';
import { useCatalogue } from '../season/useCatalogue';
import { useNewSetup } from '../season/useNewSetup';

/** One more way beside the others: ready-made, mixed and matched, or a copy to change one thing in. */
export function AddSetup({ season }: { season: Season }) {
  const { id } = useStore();
  const { setup } = useSnapshot();
  const { add, mix, busy, why, work, ended } = useNewSetup();
  const { data: catalogue } = useCatalogue();
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
    if (key === 'mix') return mix(setup ?? '');
    return add(key === 'copy' ? { copy: setup ?? '' } : { ready_made: key.slice('made:'.length) });
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
        <Progress season={id} begun={work} ended={ended} />
      )}
      {why !== null && (
        <p className="trouble" role="alert">
          {why}
        </p>
      )}
    </div>
  );
}
