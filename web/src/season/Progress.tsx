import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, type ReactNode } from 'react';
import { answered, client } from '../api/client';
import type { Work } from '../api/types';
import { LOCALE } from '../words/region';

const LOOK_MS = 700;

interface Props {
  season: number;
  begun: Work;
  ended: (work: Work) => void;
  /** What is found already. */
  sofar?: (work: Work) => ReactNode;
}

/** How far something is that is worked out beside, and the way to stop it. */
export function Progress({ season, begun, ended, sofar }: Props) {
  const path = { params: { path: { season, work: begun.id } } };
  const { data: work = begun } = useQuery({
    queryKey: ['work', season, begun.id],
    meta: { passing: true },
    queryFn: () => answered(client.GET('/api/seasons/{season}/work/{work}', path)),
    initialData: begun,
    refetchInterval: LOOK_MS,
  });
  const tell = useRef(ended);
  useEffect(() => {
    tell.current = ended;
  });
  useEffect(() => {
    if (!['waiting', 'working'].includes(work.state)) tell.current(work);
  }, [work]);
  const stop = () => {
    void answered(client.DELETE('/api/seasons/{season}/work/{work}', path)).then(
      () => ended({ ...work, state: 'stopped' }),
      () => undefined,
    );
  };
  const count =
    work.total > 0
      ? `${work.done.toLocaleString(LOCALE)} of ${work.total.toLocaleString(LOCALE)} choices`
      : `${work.done.toLocaleString(LOCALE)} choices so far`;
  return (
    <>
      <p role="status" data-work={work.state}>
        {work.state === 'waiting' ? 'Waiting its turn…' : `Weighing ${count}…`}{' '}
        <button type="button" className="plain" onClick={stop}>
          Stop
        </button>
      </p>
      {sofar?.(work)}
    </>
  );
}
