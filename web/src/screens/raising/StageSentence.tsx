import type { GrownStage, Method } from '../../api/types';
import { Said, SaidChoice, SaidNumber } from '../../edit/Said';
import { boundsOf } from '../../edit/bounds';
import { EditNumber } from '../../edit/EditNumber';
import { parseNumber } from '../../edit/numbers';
import type { Parsed } from '../../edit/useDraft';
import { parseText } from '../../edit/text';
import { useSupplies } from '../../season/supplies';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { count, plural } from '../../words/sowing';
import s from './raising.module.css';

type Stage = Method['stages'][number];

interface Props {
  shown: OnScreen;
  method: Method;
  index: number;
  stage: Stage;
  grown: GrownStage | undefined;
  /** The sites of the stage before, said where only some are moved on. */
  before: number | null;
  site: string;
  change: (stages: Stage[], label: string) => void;
}

const NONE = '';
const KINDS = { emergence: 'emergence', rest: 'rest', days: 'days' } as const;

const parseSign = (typed: string): Parsed<string | null> => (typed.trim() === '' ? { ok: true, value: null } : parseText(typed));
const parseDays = (typed: string): Parsed<number> => parseNumber(typed, boundsOf('methods.stages.days'));

/** One stage as a sentence; whatever is dotted is changed where it stands. */
export function StageSentence({ shown, method, index, stage, grown, before, site, change }: Props) {
  const { season } = shown;
  const us = season.units === 'us';
  const store = useStore();
  const first = index === 0;
  const label = (what: string) => `${what}, ${stage.name}`;
  const save = (key: keyof Stage, what: string) => (to: unknown) =>
    store.change([{ path: ['methods', method.id, 'stages', index, key], to }], label(what));
  const set = (key: keyof Stage, what: string) => (to: unknown) =>
    store.apply([{ path: ['methods', method.id, 'stages', index, key], to }], label(what));
  const place = season.places.find(({ id }) => id === stage.place);
  const outdoors = place?.outdoors === true;
  const bed = outdoors && method.stages[0]?.container === null;
  const container = season.containers.find(({ id }) => id === stage.container);
  const { media } = useSupplies(season);
  const mixes = [...season.mixes, ...media];
  const community = method.pattern === 'community';
  const kind = stage.days === 'emergence' ? KINDS.emergence : stage.days === 'rest' ? KINDS.rest : KINDS.days;
  const restElsewhere = method.stages.some((other, at) => at !== index && other.days === 'rest');
  const lasts = grown?.from && grown.to ? Math.round((Date.parse(grown.to) - Date.parse(grown.from)) / 86_400_000) : null;
  const minutes = grown?.hours == null ? null : Math.round(grown.hours * 60);
  const fed = stage.feeds_per_week;
  const dressing = stage.top_dressing;
  const setDressing = (supply: string) =>
    set('top_dressing', 'top dressing')(supply === NONE ? null : { supply, depth_mm: dressing?.depth_mm ?? 4 });
  return (
    <li className={s.stage}>
      <h2>
        <Said<string>
          label={label('name of the stage')}
          name={`stage-${index}-name`}
          value={stage.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
        />
      </h2>
      <p data-sentence={index}>
        <SaidChoice
          label={label('where')}
          name={`stage-${index}-place`}
          value={stage.place}
          options={season.places.map(({ id, name }) => [id, name] as const)}
          choose={set('place', 'place')}
        />
        {': '}
        {first && (
          <>
            <SaidNumber
              label="seeds to a cell or pot"
              name="seeds_per_site"
              field="methods.seeds_per_site"
              value={method.seeds_per_site}
              save={(to) => store.change([{ path: ['methods', method.id, 'seeds_per_site'], to }], 'seeds to a cell')}
            />{' '}
            {plural(method.seeds_per_site, 'seed')} to a {community ? 'pot, pricked out later' : site},{' '}
          </>
        )}
        {!first && container && before !== null && grown?.sites != null && grown.sites < before && (
          <>
            only what is needed, {grown.sites} of {before},{' '}
          </>
        )}
        {!bed && (
          <>
            {first ? 'in ' : container ? 'into ' : 'in '}
            <SaidChoice
              label={label('in what')}
              name={`stage-${index}-container`}
              value={stage.container ?? NONE}
              options={[
                [NONE, first ? 'the bed' : 'container'] as const,
                ...season.containers.map(({ id, name }) => [id, name] as const),
              ]}
              choose={(to) => set('container', 'container')(to === NONE ? null : to)}
            />
          </>
        )}
        {bed && first && (
          <>
            in{' '}
            <SaidChoice
              label={label('in what')}
              name={`stage-${index}-container`}
              value={NONE}
              options={[[NONE, 'the bed'] as const, ...season.containers.map(({ id, name }) => [id, name] as const)]}
              choose={(to) => set('container', 'container')(to === NONE ? null : to)}
            />
          </>
        )}
        {container && (
          <>
            {' of '}
            <SaidChoice
              label={label('mix')}
              name={`stage-${index}-mix`}
              value={stage.mix ?? NONE}
              options={[[NONE, 'no mix'] as const, ...mixes.map(({ id, name }) => [id, name] as const)]}
              choose={(to) => set('mix', 'mix')(to === NONE ? null : to)}
            />
            {!first && stage.plants_per_site > 1 && (
              <>
                ,{' '}
                <SaidNumber
                  label={label('plants to a pot')}
                  name={`stage-${index}-plants`}
                  field="methods.stages.plants_per_site"
                  value={stage.plants_per_site}
                  save={save('plants_per_site', 'plants to a pot')}
                />{' '}
                to a pot
              </>
            )}
            {first && (
              <>
                ,{' '}
                <SaidChoice
                  label={label('top dressing')}
                  name={`stage-${index}-dressing`}
                  value={dressing?.supply ?? NONE}
                  options={[[NONE, 'not topped'] as const, ...media.map(({ id, name }) => [id, `topped with ${name}`] as const)]}
                  choose={setDressing}
                />
                {dressing && (
                  <>
                    {' '}
                    <SaidNumber
                      label={label('depth of the top dressing')}
                      name={`stage-${index}-depth`}
                      field="methods.stages.top_dressing.depth_mm"
                      unit={us ? 'in' : 'mm'}
                      per={0.001}
                      value={dressing.depth_mm}
                      save={(to) =>
                        store.change(
                          [{ path: ['methods', method.id, 'stages', index, 'top_dressing'], to: { ...dressing, depth_mm: to } }],
                          label('depth'),
                        )
                      }
                    />{' '}
                    {us ? 'in deep' : 'mm deep'}
                  </>
                )}
              </>
            )}
          </>
        )}
        {!outdoors && (
          <>
            ,{' '}
            <SaidChoice
              label={label('mat')}
              name={`stage-${index}-mat`}
              value={stage.mat ? 'yes' : NONE}
              options={[
                [NONE, 'without a mat'],
                ['yes', 'on the mat'],
              ]}
              choose={(to) => set('mat', 'mat')(to === 'yes')}
            />
            ,{' '}
            <SaidChoice
              label={label('lamp')}
              name={`stage-${index}-light`}
              value={stage.light ? 'yes' : NONE}
              options={[
                [NONE, first ? 'in the dark' : 'without a lamp'],
                ['yes', 'under the lamp'],
              ]}
              choose={(to) => set('light', 'light')(to === 'yes')}
            />
          </>
        )}
        ,{' '}
        {kind === KINDS.days && (
          <>
            <Said<number>
              label={label('days')}
              name={`stage-${index}-days`}
              value={stage.days as number}
              show={String}
              parse={parseDays}
              inputMode="decimal"
              save={save('days', 'days')}
            />{' '}
          </>
        )}
        <SaidChoice
          label={label('how long')}
          name={`stage-${index}-kind`}
          value={kind}
          options={[
            [KINDS.days, 'days'] as const,
            ...(first ? [[KINDS.emergence, 'until they are up'] as const] : []),
            ...(!first && !restElsewhere ? [[KINDS.rest, 'for the rest of its weeks'] as const] : []),
          ]}
          choose={(to) => set('days', 'how long')(to === KINDS.days ? (lasts ?? 14) : to)}
        />
        {kind === KINDS.emergence && (
          <>
            {' '}
            and{' '}
            <SaidNumber
              label={label('days after they are up')}
              name={`stage-${index}-extra`}
              field="methods.stages.extra_days"
              value={stage.extra_days}
              save={save('extra_days', 'days after')}
            />{' '}
            {plural(stage.extra_days, 'day')} more
          </>
        )}
        {kind !== KINDS.days && lasts !== null && <> ({lasts} days)</>}
        {stage.until === null ? '; ' : ', until '}
        <Said<string | null>
          label={label('the sign that it is over')}
          name={`stage-${index}-until`}
          value={stage.until}
          show={(value) => value ?? 'add a sign'}
          parse={(typed) => parseSign(typed === 'add a sign' ? '' : typed)}
          save={save('until', 'sign')}
        />
        .{' '}
        <SaidNumber
          label={label('survival, %')}
          name={`stage-${index}-survival`}
          field="methods.stages.survival"
          share
          value={stage.survival}
          save={save('survival', 'survival')}
        />{' '}
        % survive.
      </p>
      <details className={s.work}>
        <summary>
          {minutes === null ? 'The work' : `${minutes} min so far`}
          {fed > 0 ? ` · fed ${fed === 1 ? 'weekly' : fed === 0.5 ? 'every other week' : `${fed} times a week`}` : ''}
          {stage.trayware.length > 0
            ? ` · ${stage.trayware.map((id) => season.trayware.find((tray) => tray.id === id)?.name.toLowerCase()).join(', ')}`
            : ''}
        </summary>
        {!first && container && (
          <EditNumber
            label="Plants to a pot"
            name={`stage-${index}-plants-fine`}
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
        {container && (
          <EditNumber
            label="Filled to"
            name={`stage-${index}-fill`}
            after="%"
            field="methods.stages.fill"
            share
            value={stage.fill}
            save={save('fill', 'fill')}
          />
        )}
        {!outdoors &&
          season.trayware.map((tray) => (
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
        <StageTools method={method} index={index} stage={stage} change={change} />
      </details>
    </li>
  );
}

/** A stage moved, doubled or taken out. */
function StageTools({ method, index, stage, change }: Pick<Props, 'method' | 'index' | 'stage' | 'change'>) {
  const { stages } = method;
  const swap = (by: number) => {
    const next = [...stages];
    const other = next[index + by];
    if (other === undefined) return;
    next[index + by] = stage;
    next[index] = other;
    change(next, `${stage.name} moved`);
  };
  // Where seed comes up, a container is named and days may wait for it: the first stage stays the first.
  const movable = (at: number) => at > 0 && at < stages.length;
  return (
    <p className={s.stageTools}>
      {movable(index) && movable(index - 1) && (
        <button type="button" className="plain" onClick={() => swap(-1)}>
          Move {stage.name} earlier
        </button>
      )}
      {movable(index) && movable(index + 1) && (
        <button type="button" className="plain" onClick={() => swap(1)}>
          Move {stage.name} later
        </button>
      )}
      {index > 0 && (
        <button
          type="button"
          className="plain"
          onClick={() =>
            change(
              [
                ...stages.slice(0, index + 1),
                { ...stage, name: `${stage.name}, again`, days: stage.days === 'rest' ? 7 : stage.days },
                ...stages.slice(index + 1),
              ],
              `${stage.name} doubled`,
            )
          }
        >
          Another like {stage.name}
        </button>
      )}
      {stages.length > 1 && index > 0 && (
        <button
          type="button"
          className="plain"
          data-action={`remove-stage-${index}`}
          onClick={() =>
            change(
              stages.filter((_, at) => at !== index),
              `${stage.name} taken out`,
            )
          }
        >
          Take {stage.name} out
        </button>
      )}
    </p>
  );
}

export const cropsWords = (n: number): string => (n === 1 ? 'One crop uses this method' : `${count(n)} crops use this method`);
