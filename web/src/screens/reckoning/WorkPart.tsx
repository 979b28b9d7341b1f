import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { Work } from '../../api/types';
import { Progress } from '../../season/Progress';
import type { OnScreen } from '../../season/SeasonContext';
import { useWork } from './useWork';

interface Props {
  shown: OnScreen;
  kind: 'advice' | 'hangs_on' | 'simulation' | 'room';
  title: string;
  /** What pressing it does. */
  ask: string;
  /** What is found while it goes on. */
  sofar?: (work: Work) => ReactNode;
  children: (work: Work, again: () => void) => ReactNode;
}

/** A part of the reckoning that takes a while: asked for, with how far it is and a way to stop it. */
export function WorkPart(props: Props) {
  // Another set-up begins anew.
  return <Part key={props.shown.setup.id} {...props} />;
}

function Part({ shown, kind, title, ask, sofar, children }: Props) {
  const { begin, asking, begun, ended, done, why } = useWork(shown.id, shown.setup.id, kind);
  return (
    <section aria-labelledby={`${kind}-title`} data-part={kind}>
      <h2 id={`${kind}-title`}>{title}</h2>
      {begun !== null ? (
        <Progress season={shown.id} begun={begun} ended={ended} sofar={sofar} />
      ) : done !== null ? (
        children(done, begin)
      ) : (
        <Button data-action={`ask-${kind}`} onClick={begin} loading={asking}>
          {ask}
        </Button>
      )}
      {why !== null && <p role="alert">{why}</p>}
    </section>
  );
}
