import { EditNumber } from '../../edit/EditNumber';
import { StageTools } from './StageTools';
import type { StageEdit, StageProps } from './useStageEdit';
import s from './raising.module.css';

interface Props extends Pick<StageProps, 'method' | 'index' | 'stage' | 'grown' | 'change'> {
  edit: StageEdit;
}

const often = (week: number): string => (week === 1 ? 'weekly' : week === 0.5 ? 'every other week' : `${week} times a week`);

/** The minutes, feedings and trays of a stage, folded away under what they come to. */
export function StageWork({ method, index, stage, grown, change, edit }: Props) {
  const { season, first, outdoors, container, name, save } = edit;
  const minutes = grown?.hours == null ? null : Math.round(grown.hours * 60);
  const trays = stage.trayware.map((id) => season.trayware.find((tray) => tray.id === id)?.name.toLowerCase());
  return (
    <details className={s.work}>
      <summary>
        {[
          minutes === null ? 'The work' : `${minutes} min so far`,
          ...(stage.feeds_per_week > 0 ? [`fed ${often(stage.feeds_per_week)}`] : []),
          ...(trays.length > 0 ? [trays.join(', ')] : []),
        ].join(' · ')}
      </summary>
      {!first && container && (
        <EditNumber
          label="Plants to a pot"
          name={name('plants-fine')}
          field="methods.stages.plants_per_site"
          value={stage.plants_per_site}
          save={save('plants_per_site', 'plants to a pot')}
        />
      )}
      <EditNumber
        label="For each cell or pot"
        name={name('minutes')}
        after="min"
        field="methods.stages.minutes_per_site"
        value={stage.minutes_per_site}
        save={save('minutes_per_site', 'minutes')}
      />
      <EditNumber
        label="For a tray, each day"
        name={name('tray')}
        after="min"
        field="methods.stages.minutes_per_flat_day"
        value={stage.minutes_per_flat_day}
        save={save('minutes_per_flat_day', 'minutes a day')}
      />
      <EditNumber
        label="Feedings a week"
        name={name('feeds')}
        field="methods.stages.feeds_per_week"
        value={stage.feeds_per_week}
        save={save('feeds_per_week', 'feedings')}
      />
      {container && (
        <EditNumber
          label="Filled to"
          name={name('fill')}
          after="%"
          field="methods.stages.fill"
          share
          value={stage.fill}
          save={save('fill', 'fill')}
        />
      )}
      {!outdoors && <Trays stage={stage} edit={edit} />}
      <StageTools method={method} index={index} stage={stage} change={change} />
    </details>
  );
}

function Trays({ stage: { trayware }, edit: { season, set } }: Pick<Props, 'stage' | 'edit'>) {
  const choose = set('trayware', 'trays');
  return season.trayware.map((tray) => (
    <label key={tray.id} className="tick">
      <input
        type="checkbox"
        checked={trayware.includes(tray.id)}
        onChange={({ target }) => choose(target.checked ? [...trayware, tray.id] : trayware.filter((id) => id !== tray.id))}
      />{' '}
      {tray.name}
    </label>
  ));
}
