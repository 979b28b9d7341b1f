import { words } from '../../api/client';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { AdvicePart } from './AdvicePart';
import { HangsOnPart } from './HangsOnPart';
import { RoomPart } from './RoomPart';
import { SurePart } from './SurePart';
import { WordsPart } from './WordsPart';
import { WorthPart } from './WorthPart';
import s from './reckoning.module.css';
import { useReckoning } from './useReckoning';

/** Ways to save more, what the answer depends on, and how sure it is: while planning as well as afterwards. */
export function AdviceScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Advice shown={shown} />}</PlanningPage>;
}

function Advice({ shown }: { shown: OnScreen }) {
  return (
    <>
      <h1>Advice</h1>
      <div className="list-tools">
        <SetupPicker />
      </div>
      <div className={s.columns}>
        <div>
          <AdvicePart shown={shown} />
          <RoomPart shown={shown} />
          <Worth shown={shown} />
        </div>
        <div>
          <HangsOnPart shown={shown} />
          <SurePart shown={shown} />
          <WordsPart shown={shown} />
        </div>
      </div>
    </>
  );
}

/** What each crop earns for the room it takes under the lights. */
function Worth({ shown: { id, season, setup, revision } }: { shown: OnScreen }) {
  const { data, error } = useReckoning(id, setup.id, revision);
  if (error) return <p role="alert">{words(error)}</p>;
  return data === undefined ? null : <WorthPart season={season} worth={data.worth} />;
}
