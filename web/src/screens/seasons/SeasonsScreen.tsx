import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, message as messages } from 'antd';
import { Link, useNavigate } from 'react-router';
import { answered, client, words } from '../../api/client';
import { FromFile } from './FromFile';
import { useAccount } from '../account/useAccount';
import { SeasonItem } from './SeasonItem';
import { useSeasons } from './useSeasons';
import s from './seasons.module.css';

/** Where a made-up season opens that has been lived through. */
const OPENS: Record<string, string> = { may: 'today', october: 'reckoning' };

/** Your seasons, and the ways to a new one. */
export function SeasonsScreen() {
  const { data, error } = useSeasons();
  const { data: account } = useAccount();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [message, messagesShown] = messages.useMessage();
  const made = (id: number, screen = 'list') => {
    void queries.invalidateQueries({ queryKey: ['seasons'] });
    void navigate(`/seasons/${id}/${screen}`);
  };
  const [away, kept] = [
    data?.seasons.filter((season) => season.archived) ?? [],
    data?.seasons.filter((season) => !season.archived) ?? [],
  ];
  return (
    <main className="work" id="work">
      {messagesShown}
      <h1>Your seasons</h1>
      {error && <p role="alert">{words(error)}</p>}
      {account?.trial === true && (
        <p className="quiet" data-part="kept-for">
          Only this browser can open this garden, and it is deleted after 30 days without a visit.{' '}
          <Link className="plain" to="/account">
            Keep it with an e-mail
          </Link>
        </p>
      )}
      {data && kept.length === 0 && <p className="quiet">Nothing here yet. Begin with four questions, below.</p>}
      <ul className={s.seasons}>
        {kept.map((season) => (
          <SeasonItem key={season.id} season={season} message={message} />
        ))}
      </ul>
      {away.length > 0 && (
        <details>
          <summary>{away.length} put away</summary>
          <ul className={s.seasons}>
            {away.map((season) => (
              <SeasonItem key={season.id} season={season} message={message} />
            ))}
          </ul>
        </details>
      )}
      <NewSeason made={made} />
    </main>
  );
}

/** From questions, from a file, or from a made-up season. */
function NewSeason({ made }: { made: (id: number, screen?: string) => void }) {
  const demo = useMutation({
    mutationFn: (name: string) => answered(client.POST('/api/seasons', { body: { from: 'demo', demo: name } })),
    onSuccess: ({ id }, name) => made(id, OPENS[name] ?? 'list'),
  });
  return (
    <>
      <h2>A new season</h2>
      <div className={s.newSeasons}>
        <section aria-labelledby="new-answers">
          <h3 id="new-answers">From four questions</h3>
          <p>Frosts, the price of electricity, what you have, what you want to grow: then you see what it costs.</p>
          <Link to="/begin">
            <Button type="primary" tabIndex={-1}>
              Answer four questions
            </Button>
          </Link>
        </section>
        <section aria-labelledby="new-file">
          <h3 id="new-file">From a season file</h3>
          <FromFile made={(id) => made(id)} />
        </section>
        <section aria-labelledby="new-demo">
          <h3 id="new-demo">From an example</h3>
          <p>Plot 17: a high, dry town with cold nights; twelve crops, seven set-ups.</p>
          <Button onClick={() => demo.mutate('pennywhistle')} loading={demo.isPending}>
            Plot 17
          </Button>
          <p>Gullsend: an allotment by the sea, in pounds and litres; saved pots and winter jugs.</p>
          <Button onClick={() => demo.mutate('gullsend')} loading={demo.isPending}>
            Gullsend
          </Button>
          <p>Plot 17 in May: the same in the middle of its season, with what was written down, paid and measured.</p>
          <Button onClick={() => demo.mutate('may')} loading={demo.isPending}>
            Plot 17 in May
          </Button>
          <p>Plot 17 in October: the season over, and what it came to.</p>
          <Button onClick={() => demo.mutate('october')} loading={demo.isPending}>
            Plot 17 in October
          </Button>
          {demo.error && <p role="alert">{words(demo.error)}</p>}
        </section>
      </div>
    </>
  );
}
