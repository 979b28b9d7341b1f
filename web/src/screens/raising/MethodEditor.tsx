import { useState } from 'react';
import { Link } from 'react-router';
import type { Method } from '../../api/types';
import { FieldsOf } from '../../edit/typed';
import { siteName } from '../../season/site';
import { useStore, type OnScreen } from '../../season/SeasonContext';
import { Ground } from './Ground';
import { useGrowth } from './growth';
import { MethodNeeds } from './MethodNeeds';
import { MethodTools } from './MethodTools';
import { MethodUsers } from './MethodUsers';
import { StageSentence } from './StageSentence';
import type { Stage } from './useStageEdit';
import s from './raising.module.css';

interface Props {
  shown: OnScreen;
  method: Method;
  /** A copy of the method that only one crop follows. */
  only: (crop: string) => void;
}

/** A method as a line of ground, its stages as sentences under it, and what concerns all of it. */
export function MethodEditor({ shown, method, only }: Props) {
  const { season, setup, id, revision } = shown;
  const store = useStore();
  const [wish, setWish] = useState<string | null>(null);
  const { data } = useGrowth(id, setup.id, method.id, wish, revision);
  const stages = (next: Stage[], label: string) =>
    store.apply([{ path: ['methods', method.id, 'stages'], to: next }], `${label}, ${method.name}`);
  const site = siteName(method, new Map(season.containers.map((row) => [row.id, row])));
  return (
    <>
      <MethodUsers season={season} growth={data} drawFor={setWish} only={only} />
      {data && (
        <div className={s.groundScroll} tabIndex={0} role="region" aria-label="The stages, drawn">
          <Ground season={season} method={method} growth={data} us={season.units === 'us'} />
        </div>
      )}
      <ol className={s.stages}>
        {method.stages.map((stage, index) => (
          <FieldsOf key={index} value={`${method.id} ${index}`}>
            <StageSentence
              shown={shown}
              method={method}
              index={index}
              stage={stage}
              grown={data?.stages[index]}
              before={data?.stages[index - 1]?.sites ?? null}
              site={site}
              change={stages}
            />
          </FieldsOf>
        ))}
      </ol>
      <MethodTools
        shown={shown}
        method={method}
        site={site}
        unused={data?.crops.length === 0 && data.used_by.length === 0}
        stages={stages}
      />
      <MethodNeeds season={season} method={method} />
      <p className={`quiet ${s.mind}`}>
        <b>Take care:</b> pour hot water on the mix in small amounts. Take film or dome off as soon as seedlings are up, or they
        cook. Keep the mat’s lead above the water. <Link to="/cautions">All cautions</Link>
      </p>
    </>
  );
}
