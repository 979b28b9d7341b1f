import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, client, words } from '../../api/client';
import s from './calendar.module.css';

/** The tasks for a calendar program: a file, or a private address that can be revoked. */
export function FeedPart({ season, setup, feed }: { season: number; setup: string; feed: string | null }) {
  const queries = useQueryClient();
  const path = { params: { path: { season, setup } } };
  const changed = () => void queries.invalidateQueries({ queryKey: ['calendar', season, setup] });
  const open = useMutation({
    mutationFn: () => answered(client.PUT('/api/seasons/{season}/setups/{setup}/feed', path)),
    onSuccess: changed,
  });
  const close = useMutation({
    mutationFn: () => answered(client.DELETE('/api/seasons/{season}/setups/{setup}/feed', path)),
    onSuccess: changed,
  });
  const error = open.error ?? close.error;
  return (
    <section className={s.feed} aria-labelledby="feed-title">
      <h2 id="feed-title">In your own calendar</h2>
      <p>
        <a href={`/api/seasons/${season}/setups/${encodeURIComponent(setup)}/calendar.ics`} download>
          Download the tasks
        </a>{' '}
        as an iCalendar file. Import it again to update the tasks.
      </p>
      {feed === null ? (
        <p>
          <button type="button" className="plain" data-action="open-feed" onClick={() => open.mutate()}>
            Make a private address to subscribe to
          </button>
        </p>
      ) : (
        <p>
          Subscribe to <code data-feed>{feed}</code>. Whoever has this address can read your tasks.{' '}
          <button type="button" className="plain" onClick={() => open.mutate()}>
            Another address
          </button>{' '}
          <button type="button" className="plain" data-action="close-feed" onClick={() => close.mutate()}>
            Turn it off
          </button>
        </p>
      )}
      {error && (
        <p className="trouble" role="alert">
          {words(error)}
        </p>
      )}
    </section>
  );
}
