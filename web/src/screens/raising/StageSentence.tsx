import type { GrownStage } from '../../api/types';
import { Said, SaidChoice, SaidNumber } from '../../edit/Said';
import { parseText } from '../../edit/text';
import { plural } from '../../words/sowing';
import { HowLong } from './HowLong';
import { InWhat } from './InWhat';
import { OfWhatMix } from './OfWhatMix';
import { StageWork } from './StageWork';
import { useStageEdit, type StageProps } from './useStageEdit';
import { WarmAndLit } from './WarmAndLit';
import s from './raising.module.css';

/** One stage as a sentence; whatever is dotted is changed where it stands. */
export function StageSentence(props: StageProps) {
  const { index, stage, grown } = props;
  const edit = useStageEdit(props);
  const { season, label, name, save, set } = edit;
  return (
    <li className={s.stage}>
      <h2>
        <Said<string>
          label={label('name of the stage')}
          name={name('name')}
          value={stage.name}
          show={String}
          parse={parseText}
          save={save('name', 'name')}
        />
      </h2>
      <p data-sentence={index}>
        <SaidChoice
          label={label('where')}
          name={name('place')}
          value={stage.place}
          options={season.places.map((place) => [place.id, place.name] as const)}
          choose={set('place', 'place')}
        />
        {': '}
        <InWhat {...props} edit={edit} />
        {edit.container && <OfWhatMix stage={stage} edit={edit} />}
        {!edit.outdoors && <WarmAndLit stage={stage} edit={edit} />}, <HowLong {...props} edit={edit} />
        <SaidNumber
          label={label('survival, %')}
          name={name('survival')}
          field="methods.stages.survival"
          share
          value={stage.survival}
          save={save('survival', 'survival')}
        />{' '}
        % survive.
      </p>
      {grown?.stay && <Stay stay={grown.stay} />}
      <StageWork {...props} edit={edit} />
    </li>
  );
}

/** How long it stands in what was filled, and how long it may. */
function Stay({ stay: { days, most, too_long: tooLong } }: { stay: NonNullable<GrownStage['stay']> }) {
  return (
    <p className={tooLong ? 'trouble' : 'quiet'} data-part="stay">
      {tooLong ? '▲ ' : ''}It stands {days} {plural(days, 'day')} in there, and about {most} are good for it.
    </p>
  );
}
