import { answered, client } from '../../api/client';
import { today } from '../../words/dates';
import { asking, useAsked } from '../../season/useOfRevision';

export const askCalendar = (season: number, setup: string) =>
  asking(['calendar', season, setup], () =>
    answered(
      client.GET('/api/seasons/{season}/setups/{setup}/calendar', {
        params: { path: { season, setup }, query: { on: today() } },
      }),
    ),
  );

export const useCalendar = (season: number, setup: string, revision: number) => useAsked(askCalendar(season, setup), revision);
