import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Work } from '../../api/types';
import { NOT_WORKED_OUT } from '../../words/work';

type Kind = 'advice' | 'hangs_on' | 'simulation' | 'room';

/** Something that is worked out beside: begun when asked for, with its result or why there is none; what comes after it is begun then. */
export function useWork(season: number, setup: string, kind: Kind, then?: () => void) {
  const [begun, setBegun] = useState<Work | null>(null);
  const [done, setDone] = useState<Work | null>(null);
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const is = (work: Work) => {
    setDone(work);
    then?.();
  };
  const begin = () => {
    setWhy(null);
    setDone(null);
    setAsking(true);
    answered(client.POST('/api/seasons/{season}/work', { params: { path: { season } }, body: { kind, setup } }))
      .then((work) => (work.state === 'done' ? is(work) : setBegun(work)))
      .catch((error: unknown) => setWhy(words(error)))
      .finally(() => setAsking(false));
  };
  const ended = (work: Work) => {
    setBegun(null);
    if (work.state === 'done') is(work);
    if (work.state === 'failed') setWhy(NOT_WORKED_OUT);
  };
  return { begin, asking, begun, ended, done, why };
}
