import { createContext, useContext, useEffect, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import type { CropPicture, CropResult, Season, SeasonState, Setup, SetupResult } from '../api/types';
import { SeasonStore, type Snapshot } from './SeasonStore';

export const SeasonContext = createContext<SeasonStore | null>(null);

/** The season of the page's address, for everything below. */
export function SeasonProvider({ id, children }: { id: number; children: ReactNode }) {
  const store = useMemo(() => new SeasonStore(id), [id]);
  useEffect(() => {
    store.start();
    return () => store.dispose();
  }, [store]);
  return <SeasonContext value={store}>{children}</SeasonContext>;
}

export function useStore(): SeasonStore {
  const store = useContext(SeasonContext);
  if (store === null) throw new Error('There is no season here.');
  return store;
}

export function useSnapshot(): Snapshot {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, store.get);
}

export interface OnScreen {
  state: SeasonState; season: Season; setup: Setup; result: SetupResult;
  cropResult: (crop: string) => CropResult | undefined; picture: (crop: string) => CropPicture | undefined;
}

/** The set-up on screen with its figures; null until they are here. */
export function useOnScreen(): OnScreen | null {
  const { state, season, setup: id } = useSnapshot();
  return useMemo(() => {
    const setup = season?.setups.find((row) => row.id === id);
    const result = state?.result.setups.find((row) => row.id === id);
    if (!state || !season || !setup || !result) return null;
    const results = new Map(result.crops.map((crop) => [crop.id, crop]));
    const pictures = state.pictures[setup.id]?.crops;
    return { state, season, setup, result, cropResult: (crop) => results.get(crop), picture: (crop) => pictures?.[crop] };
  }, [state, season, id]);
}
