import { answered, client } from '../../api/client';
import { asking, useAsked } from '../../season/useOfRevision';
import { today } from '../../words/dates';

export const askWeather = (season: number, setup: string) =>
  asking(['weather', season, setup], () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/weather', {
        params: { path: { season, setup }, query: { on: today() } },
      }),
    ),
  );

export const useWeather = (season: number, setup: string, revision: number) => useAsked(askWeather(season, setup), revision);
