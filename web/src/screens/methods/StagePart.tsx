import { Select } from 'antd';
import type { Method } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import type { Parsed } from '../../edit/useDraft';
import { parseNumber } from '../../edit/numbers';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { parseText } from '../growlist/parse';

type Stage = Method['stages'][number];

interface Props { shown: OnScreen; method: Method; index: number; stage: Stage; first: boolean; remove: (() => void) | null }

const EMERGENCE = 'until they are up';
const NONE = '';

const parseDays = (first: boolean) => (typed: string): Parsed<Stage['days']> => {
  if (first && /up|emerge/i.test(typed)) return { ok: true, value: 'emergence' };
  const days = parseNumber(typed, { least: 0, most: 3650, whole: true });
  return days.ok || !first ? days : { ok: false, why: `${days.why} Or say “${EMERGENCE}”.` };
};

const parseSign = (typed: string): Parsed<string | null> => (typed.trim() === '' ? { ok: true, value: null } : parseText(typed));

/** One stage: where, in what, in which mix, under what, how long, what survives, and the work. */
export function StagePart({ shown: { season }, method, index, stage, first, remove }: Props) {
  const store = useStore();
  const save = (key: keyof Stage, label: string) => (to: unknown) => store.change([{ path: ['methods', method.id, 'stages', index, key], to }], `${label}, ${stage.name}`);
  const outdoors = season.places.find(({ id }) => id === stage.place)?.outdoors === true;
  const mixes = [...season.mixes, ...season.supplies.filter(({ unit }) => unit === 'L')];
  return (
    <div className="stage-body">
      <EditText<string> label="Stage" name={`stage-${index}-name`} value={stage.name} show={String} parse={parseText} save={save('name', 'name')} />
      <label className="pick">Where<Select aria-label={`Where, ${stage.name}`} value={stage.place} popupMatchSelectWidth={false} onChange={(to: string) => void save('place', 'place')(to)} options={season.places.map(({ id, name }) => ({ value: id, label: name }))} /></label>
      <label className="pick">In<Select aria-label={`In what, ${stage.name}`} value={stage.container ?? NONE} popupMatchSelectWidth={false} onChange={(to: string) => void save('container', 'container')(to === NONE ? null : to)}
        options={[{ value: NONE, label: first ? 'the bed' : 'what they stand in' }, ...season.containers.map(({ id, name }) => ({ value: id, label: name }))]} /></label>
      <label className="pick">Mix<Select aria-label={`Mix, ${stage.name}`} value={stage.mix ?? NONE} popupMatchSelectWidth={false} onChange={(to: string) => void save('mix', 'mix')(to === NONE ? null : to)} options={[{ value: NONE, label: 'none' }, ...mixes.map(({ id, name }) => ({ value: id, label: name }))]} /></label>
      <EditText<Stage['days']> label="How long" name={`stage-${index}-days`} after={stage.days === 'emergence' ? undefined : 'days'} value={stage.days} show={(value) => (value === 'emergence' ? EMERGENCE : String(value))} parse={parseDays(first)} save={save('days', 'days')} />
      {stage.days === 'emergence' && <EditNumber label="And then" name={`stage-${index}-extra`} after="days" value={stage.extra_days} bounds={{ least: 0, most: 365, whole: true }} save={save('extra_days', 'days after')} />}
      <EditText<string | null> label="Until (the sign)" name={`stage-${index}-until`} value={stage.until} show={(value) => value ?? ''} parse={parseSign} save={save('until', 'sign')} />
      <EditNumber label="Live through it" name={`stage-${index}-survival`} after="of 100" value={Number((stage.survival * 100).toFixed(2))} bounds={{ least: 0, above: true, most: 100 }} save={(to) => save('survival', 'survival')(to / 100)} />
      {!outdoors && <p className="ticks">
        <label className="tick"><input type="checkbox" checked={stage.light} onChange={(event) => void save('light', 'light')(event.target.checked)} /> under the lamp</label>
        <label className="tick"><input type="checkbox" checked={stage.mat} onChange={(event) => void save('mat', 'mat')(event.target.checked)} /> on the mat</label>
      </p>}
      <details className="fine"><summary>The work, feeding and trays</summary>
        {!first && stage.container !== null && <EditNumber label="Plants to a pot" name={`stage-${index}-plants`} value={stage.plants_per_site} bounds={{ least: 1, most: 1000, whole: true }} save={save('plants_per_site', 'plants to a pot')} />}
        <EditNumber label="For each cell or pot" name={`stage-${index}-minutes`} after="min" value={stage.minutes_per_site} bounds={{ least: 0, most: 1000 }} save={save('minutes_per_site', 'minutes')} />
        <EditNumber label="For a tray, each day" name={`stage-${index}-tray`} after="min" value={stage.minutes_per_flat_day} bounds={{ least: 0, most: 1000 }} save={save('minutes_per_flat_day', 'minutes a day')} />
        <EditNumber label="Feedings a week" name={`stage-${index}-feeds`} value={stage.feeds_per_week} bounds={{ least: 0, most: 50 }} save={save('feeds_per_week', 'feedings')} />
        <EditNumber label="Filled to" name={`stage-${index}-fill`} after="of 100" value={Number((stage.fill * 100).toFixed(1))} bounds={{ least: 0, most: 1000 }} save={(to) => save('fill', 'fill')(to / 100)} />
        {season.trayware.map((tray) => <label key={tray.id} className="tick"><input type="checkbox" checked={stage.trayware.includes(tray.id)} onChange={(event) => void save('trayware', 'trays')(event.target.checked ? [...stage.trayware, tray.id] : stage.trayware.filter((id) => id !== tray.id))} /> {tray.name}</label>)}
      </details>
      {remove && <button type="button" className="plain" onClick={remove}>Take {stage.name} out</button>}
    </div>
  );
}
