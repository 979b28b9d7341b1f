import { Select } from 'antd';
import { useCallback, useState } from 'react';
import { words } from '../../api/client';
import { AddThing } from '../../edit/AddThing';
import { DevicesPart } from './DevicesPart';
import { Elsewhere } from './Elsewhere';
import { GearPart } from './GearPart';
import { FieldsOf } from '../../edit/typed';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { varietyOf } from '../../season/site';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { day, shortDay } from '../../words/dates';
import { anyOf } from '../../words/anyOf';
import { Meter } from './Meter';
import { PlaceFacts } from './PlaceFacts';
import { PlacePlan } from './PlacePlan';
import { SeasonSlider } from './SeasonSlider';
import { SoilPart } from './SoilPart';
import { Things } from './Things';
import { useBench } from './useBench';
import s from './bench.module.css';

/** Places from above with what lights and warms them, a day on the meter, and the soil at the seed. */
export function BenchScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Places shown={shown} />}</PlanningPage>;
}

function Places({ shown }: { shown: OnScreen }) {
  const { season, setup, id, revision } = shown;
  const us = season.units === 'us';
  const { data, error } = useBench(id, setup.id, revision);
  const [picked, pick] = useState<string | null>(null);
  const [date, setDay] = useState<string | null>(null);
  const setDate = useCallback((to: string) => setDay(to), []);
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Looking at the bench…
      </p>
    );
  // The yard has nothing to plan: it comes after every place under a roof where something stands.
  const outdoors = new Set(season.places.filter((one) => one.outdoors).map((one) => one.id));
  const isBusy = (one: { id: string; stands: unknown[] }) => !outdoors.has(one.id) && one.stands.length > 0;
  const busiest = [...data.places].sort((a, b) => Number(isBusy(b)) - Number(isBusy(a)) || b.stands.length - a.stands.length)[0];
  const place = data.places.find((one) => one.id === picked) ?? busiest;
  const row = season.places.find((one) => one.id === place?.id);
  const add = <AddThing lists={[['places', 'Places', 'Another place']]} label="Add a place" added={pick} />;
  if (!place || !row) return <div className="empty">{add}</div>;
  const full = place.days ? place.days.all.indexOf(Math.max(...place.days.all)) : 0;
  const first = place.days?.first ?? season.last_frost;
  const today = date ?? new Date(Date.parse(first) + full * 86_400_000).toISOString().slice(0, 10);
  return (
    <>
      <div className="list-head">
        <div>
          <h1>
            {row.name}, {day(today, us)}
          </h1>
          <Crowded shown={shown} place={place} us={us} />
          <div className="list-tools">
            <SetupPicker />
            <label>
              Place
              <Select<string>
                aria-label="Place"
                popupMatchSelectWidth={false}
                value={place.id}
                onChange={pick}
                options={season.places.map(({ id: value, name }) => ({ value, label: name }))}
              />
            </label>
          </div>
        </div>
        {add}
      </div>
      <div className={s.two}>
        <div>
          {!row.outdoors && <SeasonSlider place={place} date={today} setDate={setDate} us={us} />}
          {row.outdoors ? (
            <p className="quiet">Outdoors there is room for everything.</p>
          ) : (
            <PlacePlan season={season} row={row} place={place} date={today} />
          )}
          <FieldsOf key={row.id} value={row.id}>
            <PlaceFacts season={season} row={row} />
          </FieldsOf>
          <SoilPart season={season} place={place} />
          <GearPart season={season} setup={setup} />
          <DevicesPart season={season} id={id} setup={setup.id} revision={revision} />
        </div>
        <div>
          {!row.outdoors && (
            <FieldsOf key={row.id} value={row.id}>
              <Meter season={season} bench={data} place={place} />
              <Things shown={shown} place={place} />
            </FieldsOf>
          )}
        </div>
      </div>
    </>
  );
}

/** What is unlit, unwarmed or has no room, from when to when, and what would help. */
function Crowded({
  shown,
  place,
  us,
}: {
  shown: OnScreen;
  place: NonNullable<ReturnType<typeof useBench>['data']>['places'][number];
  us: boolean;
}) {
  const runs = place.days?.crowded ?? [];
  if (runs.length === 0) {
    return (
      <p className="quiet">
        From above, to scale.{' '}
        {place.stands.length === 0 ? 'Nothing stands here in this set-up.' : 'Every tray has room, light and warmth.'}
      </p>
    );
  }
  const why = { room: 'has no room', light: 'gets no light', heat: 'is not on a mat' } as Record<string, string>;
  return (
    <ul className={s.crowded}>
      {runs.map((run) => (
        <li key={run.why + run.from} className="trouble">
          ▲ {anyOf(run.crops.map((crop) => varietyOf(shown.season, crop)))} {why[run.why]} from {shortDay(run.from, us)} to{' '}
          {shortDay(run.to, us)}.{' '}
          {run.why === 'light'
            ? 'Add a lamp, or plant out a few days earlier.'
            : run.why === 'heat'
              ? 'Add a mat, or sow a week apart.'
              : 'Sow a week apart, or use smaller pots.'}
        </li>
      ))}
      <Elsewhere shown={shown} crops={runs.flatMap(({ crops }) => crops)} us={us} />
    </ul>
  );
}
