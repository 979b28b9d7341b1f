import type { Season, ThingUse } from '../../api/types';
import { Said, SaidNumber } from '../../edit/Said';
import { useIsGuess } from '../../season/useIsGuess';
import type { List, Alike } from './alike';
import type { SaveKey } from './saveKey';
import { Warms } from './Warms';

interface Props {
  season: Season;
  alike: Alike;
  uses: ThingUse[];
  save: SaveKey;
}

/** What a seedling needs of light in a day, mol/m². */
const ENOUGH = 10;

const parseTime = (typed: string) =>
  /^([01]?\d|2[0-3]):[0-5]\d$/.test(typed.trim())
    ? ({ ok: true, value: typed.trim().padStart(5, '0') } as const)
    : ({ ok: false, why: 'Type a time from 00:00 to 23:59.' } as const);

/** Watts, trays and hours of a lamp, mat or fan in one sentence, and what comes of it. */
export function ThingFacts({ season, alike: { list, row, ids, name: called }, uses, save }: Props) {
  const isGuess = useIsGuess();
  const light = list === 'lights' ? season.lights.find(({ id }) => id === row.id) : undefined;
  const mat = list === 'mats' ? season.mats.find(({ id }) => id === row.id) : undefined;
  const fan = list === 'appliances' ? season.appliances.find(({ id }) => id === row.id) : undefined;
  const hours = light?.hours_per_day ?? fan?.hours_per_day;
  const name = (key: string) => `${row.id}.${key}`;
  const days = uses.map((use) => use.days);
  const [least, most, idle] = [Math.min(...days), Math.max(...days), days.filter((one) => one === 0).length];
  return (
    <p>
      <SaidNumber
        label={`Watts of ${called}`}
        name={name('watts')}
        field={`${list satisfies List}.watts`}
        value={row.watts}
        guess={isGuess(list, row.id, 'watts')}
        save={save('watts', 'watts')}
      />{' '}
      W{ids.length > 1 ? ' each' : ''}
      {light && (
        <>
          {' '}
          over{' '}
          <SaidNumber
            label={`Trays it lights: ${called}`}
            name={name('flats')}
            field="lights.flats"
            value={light.flats}
            save={save('flats', 'flats')}
          />{' '}
          {light.flats === 1 ? 'tray' : 'trays'}
        </>
      )}
      {mat && (
        <>
          {' '}
          under{' '}
          <SaidNumber
            label={`Trays it heats: ${called}`}
            name={name('flats')}
            field="mats.flats"
            value={mat.flats}
            save={save('flats', 'flats')}
          />{' '}
          {mat.flats === 1 ? 'tray' : 'trays'}, warms by <Warms season={season} mat={mat} called={called} save={save} />
        </>
      )}
      {hours !== undefined && (
        <>
          ,{' '}
          <SaidNumber
            label={`Hours a day: ${called}`}
            name={name('hours_per_day')}
            field={list === 'lights' ? 'lights.hours_per_day' : 'appliances.hours_per_day'}
            value={hours}
            save={save('hours_per_day', 'hours')}
          />{' '}
          h a day{light ? ' from ' : ''}
        </>
      )}
      {light && (
        <Said<string>
          label={`On from: ${called}`}
          name={name('on_at')}
          value={light.on_at}
          show={String}
          parse={parseTime}
          save={save('on_at', 'starts')}
        />
      )}
      {uses[0] && light && <Enough use={uses[0]} />}
      {most > 0 ? `; on ${least === most ? '' : 'up to '}${most} days` : ''}
      {most > 0 && idle > 0 ? `, ${idle} of them never` : ''}
    </p>
  );
}

/** Whether a lamp gives enough light, and what would. */
function Enough({ use }: { use: ThingUse }) {
  if (use.dose === null) return null;
  if (use.dose >= ENOUGH) return <>; enough light</>;
  const hours = use.hours_to_dose;
  return (
    <>
      ; too little light: {use.dose.toFixed(1)} of the {ENOUGH} they need.{' '}
      {hours !== null && hours <= 24 ? `${hours.toFixed(0)} hours a day would do` : 'Add another lamp'}
    </>
  );
}
