import { SaidChoice } from '../../edit/Said';
import { NONE, type Stage, type StageEdit } from './useStageEdit';

const YES = 'yes';

/** "on the mat, in the dark" */
export function WarmAndLit({ stage, edit: { first, label, name, set } }: { stage: Stage; edit: StageEdit }) {
  return (
    <>
      ,{' '}
      <SaidChoice
        label={label('mat')}
        name={name('mat')}
        value={stage.mat ? YES : NONE}
        options={[
          [NONE, 'without a mat'],
          [YES, 'on the mat'],
        ]}
        choose={(to) => set('mat', 'mat')(to === YES)}
      />
      ,{' '}
      <SaidChoice
        label={label('lamp')}
        name={name('light')}
        value={stage.light ? YES : NONE}
        options={[
          [NONE, first ? 'in the dark' : 'without a lamp'],
          [YES, 'under the lamp'],
        ]}
        choose={(to) => set('light', 'light')(to === YES)}
      />
    </>
  );
}
