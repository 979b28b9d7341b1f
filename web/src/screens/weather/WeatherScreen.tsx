import { useState } from 'react';
import { words } from '../../api/client';
import type { Weather as Known } from '../../api/types';
import { DoingPage } from '../../page/DoingPage';
import { SetupPicker } from '../../page/SetupPicker';
import type { OnScreen } from '../../season/SeasonContext';
import { today, weekdayAnd } from '../../words/dates';
import { DuePart } from './DuePart';
import { FrostPart } from './FrostPart';
import { GoingOutPart } from './GoingOutPart';
import { NightsPart } from './NightsPart';
import { SourcesPart } from './SourcesPart';
import { useWeather } from './useWeather';
import { WeekPicture } from './WeekPicture';
import s from './weather.module.css';

/** The weather at the door: the days around today, what may not stay out, what comes up when, and the frosts of past years. */
export function WeatherScreen() {
  return <DoingPage>{(shown) => <Weather shown={shown} />}</DoingPage>;
}

function Weather({ shown }: { shown: OnScreen }) {
  const { id, setup, revision } = shown;
  const { data, error } = useWeather(id, setup.id, revision);
  if (data) return <Sky shown={shown} weather={data} />;
  return error ? (
    <p role="alert">{words(error)}</p>
  ) : (
    <p className="quiet" aria-busy="true">
      Looking at the sky…
    </p>
  );
}

function Sky({ shown, weather }: { shown: OnScreen; weather: Known }) {
  const { id, season } = shown;
  const us = season.units === 'us';
  const known = weather.place !== null || weather.days.length > 0;
  // Where it stood when one came: a token that is shown once must not move away with it.
  const [sourcesFirst] = useState(!known);
  const sources = <SourcesPart season={id} weather={weather} us={us} />;
  return (
    <div className={s.weather}>
      <div className="list-head">
        <div>
          <h1>Weather</h1>
          <p className="quiet">
            {!known
              ? 'Give the program your thermometer’s days, and it says what comes up when and what must come in tonight.'
              : weather.on === today()
                ? weekdayAnd(weather.on, us)
                : `As of ${weekdayAnd(weather.on, us)}: this season is far from today.`}
          </p>
        </div>
        <SetupPicker />
      </div>
      {sourcesFirst && sources}
      {weather.days.length > 0 && <WeekPicture weather={weather} us={us} />}
      {known && <NightsPart weather={weather} us={us} season={id} />}
      {weather.due.length > 0 && <DuePart due={weather.due} season={season} us={us} />}
      {known && <FrostPart shown={shown} weather={weather} us={us} />}
      <GoingOutPart shown={shown} us={us} />
      {!sourcesFirst && sources}
    </div>
  );
}
