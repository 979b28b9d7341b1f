import { useState } from 'react';
import { answered, client, words } from '../api/client';
import type { Work } from '../api/types';
import { useStore } from './SeasonContext';
import { NOT_WORKED_OUT } from '../words/work';

type Way = { ready_made?: string; copy?: string; fit?: string; work?: number };

/** Adds a set-up beside the others and shows it; mixing and matching takes a while, and is told of meanwhile. */
export function useNewSetup() {
  const store = useStore();
  const [busy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const [work, setWork] = useState<Work | null>(null);
  const attempt = async (doing: () => Promise<void>) => {
    setBusy(true);
    setWhy(null);
    try {
      await doing();
    } catch (error) {
      setWhy(words(error));
    } finally {
      setBusy(false);
    }
  };
  const add = (body: Way) =>
    attempt(async () => {
      const request = { params: { path: { season: store.id } }, body };
      const state = await store.run('a set-up', () => answered(client.POST('/api/seasons/{season}/setups', request)));
      if (state.added) store.show(state.added);
    });
  const mix = (setup: string) =>
    attempt(async () => {
      const body = { kind: 'mix' as const, setup };
      setWork(await answered(client.POST('/api/seasons/{season}/work', { params: { path: { season: store.id } }, body })));
    });
  const ended = (done: Work) => {
    setWork(null);
    if (done.state === 'done') void add({ work: done.id });
    else if (done.state === 'failed') setWhy(NOT_WORKED_OUT);
  };
  return { add, mix, busy, why, work, ended };
}
