import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { message as messages } from 'antd';
import { Link } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { SeasonLine } from '../../api/types';
import { EditText } from '../../edit/EditText';
import { parseText } from '../../edit/text';
import { day } from '../../words/dates';
import { LOCALE } from '../../words/region';
import { plural } from '../../words/sowing';
import s from './seasons.module.css';

type Message = ReturnType<typeof messages.useMessage>[0];

/** What can be done with a season as a whole; a deleted one can be restored for a while. */
function useSeasonChanges(season: SeasonLine, message: Message) {
  const queries = useQueryClient();
  const refresh = () => void queries.invalidateQueries({ queryKey: ['seasons'] });
  const path = { params: { path: { season: season.id } } };
  const failed = (error: unknown) => void message.error(words(error));
  const copy = useMutation({
    mutationFn: () => answered(client.POST('/api/seasons/{season}/copy', path)),
    onSuccess: refresh,
    onError: failed,
  });
  const archive = useMutation({
    mutationFn: () => answered(client.PUT('/api/seasons/{season}/archived', { ...path, body: { archived: !season.archived } })),
    onSuccess: refresh,
    onError: failed,
  });
  const restore = useMutation({
    mutationFn: () => answered(client.POST('/api/seasons/{season}/restore', path)),
    onSuccess: refresh,
    onError: failed,
  });
  const tellDeleted = () => {
    const key = `deleted-${season.id}`;
    void message.open({
      key,
      duration: 12,
      content: (
        <span>
          “{season.name}” is deleted.{' '}
          <button
            type="button"
            className="plain"
            onClick={() => {
              restore.mutate();
              message.destroy(key);
            }}
          >
            Restore it
          </button>
        </span>
      ),
    });
  };
  const remove = useMutation({
    mutationFn: () => answered(client.DELETE('/api/seasons/{season}', path)),
    onSuccess: () => {
      refresh();
      tellDeleted();
    },
    onError: failed,
  });
  const rename = async (to: string) => {
    await answered(
      client.PATCH('/api/seasons/{season}', {
        ...path,
        body: { changes: [{ path: ['name'], from: season.name, to }], label: 'name' },
      }),
    );
    refresh();
  };
  return { copy, archive, remove, rename };
}

/** One season on the shelf. */
export function SeasonItem({ season, message }: { season: SeasonLine; message: Message }) {
  const { copy, archive, remove, rename } = useSeasonChanges(season, message);
  return (
    <li className={s.season} data-part="season" data-season={season.id}>
      <div>
        <Link to={`/seasons/${season.id}/list`} className={s.seasonLink} data-part="season-link">
          {season.name}
        </Link>
        <p className="quiet">
          {season.crops} {plural(season.crops, 'crop')}, {season.plants.toLocaleString(LOCALE)} {plural(season.plants, 'plant')},{' '}
          {season.setups} {plural(season.setups, 'set-up')}; last frost {day(season.last_frost)}
        </p>
      </div>
      <details className={s.seasonMore} data-part="season-more">
        <summary>
          More<span className="hidden"> on {season.name}</span>
        </summary>
        <EditText<string>
          label="Name"
          name={`name-${season.id}`}
          value={season.name}
          show={String}
          parse={parseText}
          save={rename}
        />
        <p>
          <button type="button" className="plain" onClick={() => copy.mutate()}>
            Copy it
          </button>
          <a className="plain" href={`/api/seasons/${season.id}/file`} download>
            Download
          </a>
          <button type="button" className="plain" onClick={() => archive.mutate()}>
            {season.archived ? 'Bring it back' : 'Put it away'}
          </button>
          <button type="button" className="plain" data-action="delete" onClick={() => remove.mutate()}>
            Delete
          </button>
        </p>
      </details>
    </li>
  );
}
