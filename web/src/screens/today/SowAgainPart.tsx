import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season, SowAgain } from '../../api/types';
import { logbox } from '../../season/logbox';
import { varietyOf } from '../../season/site';
import { day } from '../../words/dates';
import { money } from '../../words/money';
import { percent, plural } from '../../words/sowing';
import s from './today.module.css';

interface Props {
  season: Season;
  id: number;
  setup: string;
  crop: string;
  date: string;
  /** How many are up; as they were counted where it is not said. */
  up?: number;
}

/** Whether to sow a crop again: how many, until when, and what comes of it. */
export function SowAgainPart({ season, id, setup, crop, date, up }: Props) {
  const [asked, ask] = useState(false);
  const [sown, setSown] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['trays', id, 'sow-again', setup, crop, date, up ?? null],
    queryFn: () =>
      answered(
        client.GET('/api/seasons/{season}/setups/{setup}/crops/{crop}/sow-again', {
          params: { path: { season: id, setup, crop }, query: { on: date, up } },
        }),
      ),
    enabled: asked,
  });
  if (!asked)
    return (
      <button type="button" className="plain" data-action="sow-again" onClick={() => ask(true)}>
        Sow again?
      </button>
    );
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data) return <p aria-busy="true">Working it out…</p>;
  const us = season.units === 'us';
  const again = data.again;
  if (again === null) return <p>First count what is up.</p>;
  const name = varietyOf(season, crop);
  return (
    <div className={s.again} data-part="sow-again">
      <p>
        {again.too_late ? (
          <b>
            It is too late to sow {name} again: the last day was {day(again.until, us)}.
          </b>
        ) : again.more === 0 ? (
          <b>No need to sow {name} again.</b>
        ) : (
          <b>
            Sow {again.more} more of {name}, by {day(again.until, us)}
            {again.saves > 0.005 ? `: that saves ${money(again.saves, season.currency)} on average` : ''}.
          </b>
        )}{' '}
        {again.up} of {again.of} are up. Of seed sown now, about {Math.round(again.believed * 100)} % would come up.
      </p>
      {again.more > 0 && !again.too_late && (
        <button
          type="button"
          className="plain"
          data-action="sown-again"
          disabled={sown}
          onClick={() => {
            setSown(true);
            void logbox.write(id, [
              {
                on: date,
                kind: 'sown',
                crop,
                ...(again.in_seeds ? { seeds: again.more } : { count: again.more }),
                note: 'sown again',
              },
            ]);
          }}
        >
          {sown ? 'Written down' : `Sown again: ${again.more}`}
        </button>
      )}
      <Ways again={again} currency={season.currency} />
    </div>
  );
}

/** None more beside what is advised. */
function Ways({ again, currency }: { again: SowAgain; currency: string }) {
  const shown = again.ways.filter(({ more }) => more === 0 || more === again.more);
  return (
    <table className="choices">
      <thead>
        <tr>
          <th>more</th>
          <th>enough</th>
          <th>missing on average</th>
          <th>with what is missing</th>
        </tr>
      </thead>
      <tbody>
        {shown.map((way) => (
          <tr key={way.more} className={way.more === again.more ? 'now' : undefined}>
            <th>{way.more === 0 ? 'none' : `${way.more} ${plural(way.more, 'more', 'more')}`}</th>
            <td>{percent(way.enough)}</td>
            <td>{way.short.toFixed(1)}</td>
            <td>{way.cost === null ? 'not sold as a plant' : money(way.cost, currency)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
