import { SaidChoice, SaidNumber } from '../../edit/Said';
import { NONE, orNull, type Stage, type StageEdit } from './useStageEdit';

interface Props {
  stage: Stage;
  edit: StageEdit;
}

/** "of my mix, topped with grit 1/4 in deep", or "two to a pot". */
export function OfWhatMix({ stage, edit }: Props) {
  const { first, season, media, label, name, save, set } = edit;
  return (
    <>
      {' of '}
      <SaidChoice
        label={label('mix')}
        name={name('mix')}
        value={stage.mix ?? NONE}
        options={[[NONE, 'no mix'] as const, ...[...season.mixes, ...media].map((one) => [one.id, one.name] as const)]}
        choose={(to) => set('mix', 'mix')(orNull(to))}
      />
      {!first && stage.plants_per_site > 1 && (
        <>
          ,{' '}
          <SaidNumber
            label={label('plants to a pot')}
            name={name('plants')}
            field="methods.stages.plants_per_site"
            value={stage.plants_per_site}
            save={save('plants_per_site', 'plants to a pot')}
          />{' '}
          to a pot
        </>
      )}
      {first && <Topped stage={stage} edit={edit} />}
    </>
  );
}

/** Deep enough for a first look, millimetres. */
const FIRST_DEPTH = 4;

function Topped({ stage: { top_dressing: dressing }, edit }: Props) {
  const { us, media, label, name, save, set } = edit;
  return (
    <>
      ,{' '}
      <SaidChoice
        label={label('top dressing')}
        name={name('dressing')}
        value={dressing?.supply ?? NONE}
        options={[[NONE, 'not topped'] as const, ...media.map((one) => [one.id, `topped with ${one.name}`] as const)]}
        choose={(supply) =>
          set('top_dressing', 'top dressing')(supply === NONE ? null : { supply, depth_mm: dressing?.depth_mm ?? FIRST_DEPTH })
        }
      />
      {dressing && (
        <>
          {' '}
          <SaidNumber
            label={label('depth of the top dressing')}
            name={name('depth')}
            field="methods.stages.top_dressing.depth_mm"
            unit={us ? 'in' : 'mm'}
            per={0.001}
            value={dressing.depth_mm}
            save={(to) => save('top_dressing', 'depth')({ ...dressing, depth_mm: to })}
          />{' '}
          {us ? 'in deep' : 'mm deep'}
        </>
      )}
    </>
  );
}
