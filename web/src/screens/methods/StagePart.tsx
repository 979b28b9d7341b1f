import { Select } from 'antd';
import type { Method } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import type { Parsed } from '../../edit/useDraft';
import { boundsOf } from '../../edit/bounds';
import { parseNumber } from '../../edit/numbers';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { parseText } from '../growlist/parse';
import s from './methods.module.css';

type Stage = Method['stages'][number];

interface Props {
  shown: OnScreen;
  method: Method;
  index: number;
  stage: Stage;
  first: boolean;
  remove: (() => void) | null;
}

const EMERGENCE = 'until they are up';
const REST = 'the rest of its weeks';
const NONE = '';

const parseDays =
  (first: boolean) =>
  (typed: string): Parsed<Stage['days']> => {
    if (first && /up|emerge/i.test(typed)) return { ok: true, value: 'emergence' };
    if (!first && /rest/i.test(typed)) return { ok: true, value: 'rest' };
    const days = parseNumber(typed, boundsOf('methods.stages.days'));
    return days.ok ? days : { ok: false, why: `${days.why} Or say “${first ? EMERGENCE : REST}”.` };
  };

const parseSign = (typed: string): Parsed<string | null> => (typed.trim() === '' ? { ok: true, value: null } : parseText(typed));

/** One stage: where, in what, in which mix, under what, how long, what survives, and the work. */
export function StagePart({ shown: { season }, method, index, stage, first, remove }: Props) {
  const store = useStore();
  const save = (key: keyof Stage, label: string) => (to: unknown) =>
    store.change([{ path: ['methods', method.id, 'stages', index, key], to }], `${label}, ${stage.name}`);
  const set = (key: keyof Stage, label: string) => (to: unknown) =>
    store.apply([{ path: ['methods', method.id, 'stages', index, key], to }], `${label}, ${stage.name}`);
  const outdoors = season.places.find(({ id }) => id === stage.place)?.outdoors === true;
  const mixes = [...season.mixes, ...season.supplies.filter(({ unit }) => unit === 'L')];
  return (
    <div className={s.stageBody}>
      <EditText<string>
        label="Stage"
        name={`stage-${index}-name`}
        value={stage.name}
        show={String}
        parse={parseText}
        save={save('name', 'name')}
      />
      <label className="pick">
        Where
        <Select
          aria-label={`Where, ${stage.name}`}
          value={stage.place}
          popupMatchSelectWidth={false}
          onChange={set('place', 'place')}
          options={season.places.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </label>
      <label className="pick">
        In
        <Select
          aria-label={`In what, ${stage.name}`}
          value={stage.container ?? NONE}
          popupMatchSelectWidth={false}
          onChange={(to: string) => set('container', 'container')(to === NONE ? null : to)}
          options={[
            { value: NONE, label: first ? 'the bed' : 'what they stand in' },
            ...season.containers.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
      </label>
      <label className="pick">
        Mix
        <Select
          aria-label={`Mix, ${stage.name}`}
          value={stage.mix ?? NONE}
          popupMatchSelectWidth={false}
          onChange={(to: string) => set('mix', 'mix')(to === NONE ? null : to)}
          options={[{ value: NONE, label: 'none' }, ...mixes.map(({ id, name }) => ({ value: id, label: name }))]}
        />
      </label>
      <EditText<Stage['days']>
        label="How long"
        name={`stage-${index}-days`}
        after={typeof stage.days === 'number' ? 'days' : undefined}
        value={stage.days}
        show={(value) => ({ emergence: EMERGENCE, rest: REST })[String(value)] ?? String(value)}
        parse={parseDays(first)}
        save={save('days', 'days')}
      />
      {stage.days === 'emergence' && (
        <EditNumber
          label="And then"
          name={`stage-${index}-extra`}
          after="days"
          field="methods.stages.extra_days"
          value={stage.extra_days}
          save={save('extra_days', 'days after')}
        />
      )}
      <EditText<string | null>
        label="Until (the sign)"
        name={`stage-${index}-until`}
        value={stage.until}
        show={(value) => value ?? ''}
        parse={parseSign}
        save={save('until', 'sign')}
      />
      <EditNumber
        label="Live through it"
        name={`stage-${index}-survival`}
        after="of 100"
        field="methods.stages.survival"
        share
        value={stage.survival}
        save={save('survival', 'survival')}
      />
      {!outdoors && (
        <p className={s.ticks}>
          <label className="tick">
            <input type="checkbox" checked={stage.light} onChange={(event) => set('light', 'light')(event.target.checked)} />{' '}
            under the lamp
          </label>
          <label className="tick">
            <input type="checkbox" checked={stage.mat} onChange={(event) => set('mat', 'mat')(event.target.checked)} /> on the mat
          </label>
        </p>
      )}
      <details className={s.fine}>
        <summary>The work, feeding and trays</summary>
        {!first && stage.container !== null && (
          <EditNumber
            label="Plants to a pot"
            name={`stage-${index}-plants`}
            field="methods.stages.plants_per_site"
            value={stage.plants_per_site}
            save={save('plants_per_site', 'plants to a pot')}
          />
        )}
        <EditNumber
          label="For each cell or pot"
          name={`stage-${index}-minutes`}
          after="min"
          field="methods.stages.minutes_per_site"
          value={stage.minutes_per_site}
          save={save('minutes_per_site', 'minutes')}
        />
        <EditNumber
          label="For a tray, each day"
          name={`stage-${index}-tray`}
          after="min"
          field="methods.stages.minutes_per_flat_day"
          value={stage.minutes_per_flat_day}
          save={save('minutes_per_flat_day', 'minutes a day')}
        />
        <EditNumber
          label="Feedings a week"
          name={`stage-${index}-feeds`}
          field="methods.stages.feeds_per_week"
          value={stage.feeds_per_week}
          save={save('feeds_per_week', 'feedings')}
        />
        <EditNumber
          label="Filled to"
          name={`stage-${index}-fill`}
          after="of 100"
          field="methods.stages.fill"
          share
          value={stage.fill}
          save={save('fill', 'fill')}
        />
        {season.trayware.map((tray) => (
          <label key={tray.id} className="tick">
            <input
              type="checkbox"
              checked={stage.trayware.includes(tray.id)}
              onChange={(event) =>
                set(
                  'trayware',
                  'trays',
                )(event.target.checked ? [...stage.trayware, tray.id] : stage.trayware.filter((id) => id !== tray.id))
              }
            />{' '}
            {tray.name}
          </label>
        ))}
      </details>
      {remove && (
        <button type="button" className="plain" onClick={remove}>
          Take {stage.name} out
        </button>
      )}
    </div>
  );
}
