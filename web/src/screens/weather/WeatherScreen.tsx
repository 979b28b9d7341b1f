import { words } from '../../api/client';
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
  const { id, setup, season, revision } = shown;
  const { data, error } = useWeather(id, setup.id, revision);
  const us = season.units === 'us';
  if (!data)
    return error ? (
      <p role="alert">{words(error)}</p>
    ) : (
      <p className="quiet" aria-busy="true">
        Looking at the sky…
      </p>
    );
  const known = data.place !== null || data.days.length > 0;
  return (
    <div className={s.weather}>
      <div className="list-head">
        <div>
          <h1>Weather</h1>
          <p className="quiet">
            {!known
              ? 'Give the program your thermometer’s days, and it says what comes up when and what must come in tonight.'
              : data.on === today()
                ? weekdayAnd(data.on, us)
                : `As of ${weekdayAnd(data.on, us)}, the last day of this season’s log.`}
          </p>
        </div>
        <SetupPicker />
      </div>
      {data.days.length > 0 && <WeekPicture weather={data} us={us} />}
      {known && <NightsPart weather={data} us={us} season={id} />}
      {data.due.length > 0 && <DuePart due={data.due} season={season} us={us} />}
      {known && <FrostPart shown={shown} weather={data} us={us} />}
      <GoingOutPart shown={shown} us={us} />
      <SourcesPart season={id} weather={data} us={us} />
    </div>
  );
}
