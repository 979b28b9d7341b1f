import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, client, words } from '../api/client';
import { keys } from '../season/queue';
import { useStore } from '../season/SeasonContext';

/** In place of a season that was deleted in another window or on another device. */
export function Deleted() {
  const { id } = useStore();
  const queries = useQueryClient();
  const restore = useMutation({
    mutationFn: () => answered(client.POST('/api/seasons/{season}/restore', { params: { path: { season: id } } })),
    onSettled: () => void queries.invalidateQueries({ queryKey: keys.season(id) }),
  });
  return (
    <main className="work" id="work" data-part="deleted">
      <h1>This season is deleted</h1>
      <p role="alert">It was deleted in another window or on another device. You can still restore it.</p>
      <p>
        <button
          type="button"
          className="plain"
          data-action="restore"
          disabled={restore.isPending}
          onClick={() => restore.mutate()}
        >
          Have it back
        </button>{' '}
        <a className="plain" href="/seasons">
          Your seasons
        </a>
      </p>
      {restore.isError && <p className="trouble">{words(restore.error)}</p>}
    </main>
  );
}
