import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Weather } from '../../api/types';
import { useRun } from './useRun';
import { day } from '../../words/dates';
import { plural } from '../../words/sowing';
import { FromTable } from './FromTable';
import s from './weather.module.css';

interface Props {
  season: number;
  weather: Weather;
  us: boolean;
}

/** Where the weather comes from: thermometers and stations of the garden, their tables, and the token by which one sends by itself. */
export function SourcesPart({ season, weather, us }: Props) {
  const { places, place } = weather;
  const { why, run } = useRun(season);
  return (
    <section aria-labelledby="sources-title" data-part="sources">
      <h2 id="sources-title">Where the weather comes from</h2>
      {places.length > 1 && (
        <p>
          <label>
            This season goes by{' '}
            <select
              name="weather-place"
              value={place ?? ''}
              onChange={(event) =>
                void run(() =>
                  answered(
                    client.PUT('/api/seasons/{season}/weather', {
                      params: { path: { season } },
                      body: { place: Number(event.target.value) },
                    }),
                  ),
                )
              }
            >
              {places.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        </p>
      )}
      {places.map((one) => (
        <Source key={one.id} season={season} one={one} us={us} />
      ))}
      {why !== null && <p role="alert">{why}</p>}
      <AddPlace season={season} first={places.length === 0} />
    </section>
  );
}

function Source({ season, one, us }: { season: number; one: Weather['places'][number]; us: boolean }) {
  const { why, run } = useRun(season);
  const [token, setToken] = useState<string | null>(null);
  const [asked, setAsked] = useState(false);
  return (
    <div className={s.source} data-weather-place={one.id}>
      <p>
        <b>{one.name}</b>{' '}
        <span className="quiet">
          {one.demo && 'made up; '}
          {one.days === 0
            ? 'no days yet'
            : `${one.days.toLocaleString('en')} ${plural(one.days, 'day')}, from ${day(one.first_on, us)} ${one.first_on?.slice(0, 4)} to ${day(one.last_on, us)} ${one.last_on?.slice(0, 4)}`}
          {one.forecast_on === null ? '; no forecast' : `; forecast last on ${day(one.forecast_on, us)}`}
        </span>
      </p>
      <FromTable season={season} place={one} us={us} />
      <p className={s.tools}>
        {one.days > 0 && (
          <a className="plain" href={`/api/weather/${one.id}/days.csv`} download>
            Download the days<span className="hidden"> of {one.name}</span>
          </a>
        )}
        <button
          type="button"
          className="plain"
          data-action="new-token"
          onClick={() =>
            void run(async () => {
              const made = await answered(client.PUT('/api/weather/{place}/token', { params: { path: { place: one.id } } }));
              setToken(made.token);
            })
          }
        >
          New token<span className="hidden"> for {one.name}</span>
        </button>
        {asked ? (
          <>
            All its days go with it.{' '}
            <button
              type="button"
              className="plain"
              data-action="take-out-really"
              onClick={() =>
                void run(() => answered(client.DELETE('/api/weather/{place}', { params: { path: { place: one.id } } })))
              }
            >
              Take it out
            </button>
            <button type="button" className="plain" onClick={() => setAsked(false)}>
              Keep it
            </button>
          </>
        ) : (
          <button
            type="button"
            className="plain"
            data-action="take-out"
            aria-label={`Take out ${one.name}`}
            onClick={() => setAsked(true)}
          >
            Take out
          </button>
        )}
      </p>
      {token !== null && <Token token={token} />}
      {why !== null && <p role="alert">{why}</p>}
    </div>
  );
}

function Token({ token }: { token: string }) {
  return (
    <p role="status" data-part="weather-token" className={s.token}>
      Its token, shown only now: <code>{token}</code>. Put it into the station. It sends its days to{' '}
      <code>/api/device/weather</code>. The token goes in the header: <code>Authorization: Bearer …</code>
    </p>
  );
}

/** Makes a thermometer or station known. */
function AddPlace({ season, first }: { season: number; first: boolean }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [made, setMade] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  // It does not fold away under whoever has just added the first and needs its token.
  const [opened] = useState(first);
  const add = async () => {
    setWhy(null);
    try {
      const { token } = await answered(
        client.POST('/api/weather', { body: { name: name.trim() === '' ? 'Garden' : name.trim() } }),
      );
      setMade(token);
      setName('');
      await queries.invalidateQueries({ queryKey: ['weather', season] });
    } catch (error) {
      setWhy(words(error));
    }
  };
  return (
    <details open={opened} data-part="add-weather-place">
      <summary>{first ? 'Begin with a thermometer or a station near you' : 'Add another thermometer or station'}</summary>
      <p className={s.tools}>
        <label>
          What it is called{' '}
          <input
            name="place-name"
            value={name}
            maxLength={100}
            placeholder="Garden"
            onChange={(event) => setName(event.target.value)}
          />
        </label>{' '}
        <button type="button" className="plain" data-action="add-weather-place" onClick={() => void add()}>
          Add it
        </button>
      </p>
      <p className="quiet">
        Then read in a table of its past days. Most weather services give one. Or let it send them by itself.
      </p>
      {made !== null && <Token token={made} />}
      {why !== null && <p role="alert">{why}</p>}
    </details>
  );
}
