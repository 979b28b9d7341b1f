import { Button, Modal } from 'antd';
import { useSyncExternalStore } from 'react';
import { at } from './document';
import { overlays } from '../hooks/overlays';
import { conflicts, type Asked } from './conflicts';
import { useSnapshot } from './SeasonContext';
import type { Path, Season } from '../api/types';
import s from './season.module.css';

const human = (key: string | number): string => (typeof key === 'number' ? `stage ${key + 1}` : key.replaceAll('_', ' '));

/** A path of the season in words: "LED shop light, hours per day". */
export function pathWords(season: Season | null, path: Path): string {
  const row =
    path.length > 1 ? (at(season, path.slice(0, 2)) as { name?: string; variety?: string; lot?: string } | undefined) : undefined;
  const lot = row?.lot === undefined ? undefined : (at(season, ['seed_lots', row.lot]) as { variety?: string } | undefined);
  const name = row?.name ?? row?.variety ?? lot?.variety ?? (path.length > 1 ? String(path[1]) : null);
  return name === null ? human(path[0] ?? '') : [name, ...path.slice(2).map(human)].join(', ');
}

function valueWords(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  if (typeof value === 'number' || typeof value === 'string' || typeof value === 'boolean') return String(value);
  return JSON.stringify(value);
}

/** Two windows changed the same: both values, and the choice. */
export function ConflictDialog() {
  const { season } = useSnapshot();
  const asked = useSyncExternalStore(conflicts.subscribe, conflicts.get);
  if (asked?.conflicts.some(({ gone }) => gone)) return <Gone asked={asked} season={season} />;
  return (
    <Modal
      open={asked !== null}
      title="Changed in another window"
      closable={false}
      keyboard={false}
      getContainer={overlays}
      footer={[
        <Button key="theirs" onClick={() => asked?.choose(false)}>
          Keep the other window’s
        </Button>,
        <Button key="mine" type="primary" onClick={() => asked?.choose(true)}>
          Use mine
        </Button>,
      ]}
    >
      <p>Another window changed the same value. Nothing has been overwritten: choose which to keep.</p>
      <table className={s.conflict} data-part="conflict">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">It was</th>
            <th scope="col">The other window</th>
            <th scope="col">Yours</th>
          </tr>
        </thead>
        <tbody>
          {asked?.conflicts.map((one) => (
            <tr key={JSON.stringify(one.path)}>
              <th scope="row">{pathWords(season, one.path)}</th>
              <td className="mono">{valueWords(one.was)}</td>
              <td className="mono">{valueWords(one.theirs)}</td>
              <td className="mono">{valueWords(one.yours)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}

/** What was changed here is not there any more, so that there is nothing to choose. */
function Gone({ asked, season }: { asked: Asked; season: Season | null }) {
  const what = asked.conflicts.filter(({ gone }) => gone).map(({ path }) => pathWords(season, path));
  return (
    <Modal
      open
      title="Taken out in another window"
      closable={false}
      keyboard={false}
      getContainer={overlays}
      footer={
        <Button type="primary" onClick={() => asked.choose(false)}>
          I see
        </Button>
      }
    >
      <p data-part="gone">
        {what.join('; ')}: another window took this out, so your change cannot be saved. Undo brings it back.
      </p>
    </Modal>
  );
}
