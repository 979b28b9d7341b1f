import type { GrownStage, Method } from '../../api/types';
import { useSupplies } from '../../season/supplies';
import { useStore, type OnScreen } from '../../season/SeasonContext';

export type Stage = Method['stages'][number];

export interface StageProps {
  shown: OnScreen;
  method: Method;
  index: number;
  stage: Stage;
  grown: GrownStage | undefined;
  /** The sites of the stage before, said where only some are moved on. */
  before: number | null;
  site: string;
  change: (stages: Stage[], label: string) => void;
}

/** What a choice has where nothing is chosen. */
export const NONE = '';
export const orNull = (chosen: string): string | null => (chosen === NONE ? null : chosen);

/** What the parts of a stage's sentence share: what stands around it, and how a key of it is written. */
export function useStageEdit({ shown: { season }, method, index, stage }: StageProps) {
  const store = useStore();
  const { media } = useSupplies(season);
  const label = (what: string) => `${what}, ${stage.name}`;
  const at = (key: keyof Stage) => ['methods', method.id, 'stages', index, key];
  const outdoors = season.places.find(({ id }) => id === stage.place)?.outdoors === true;
  return {
    season,
    media,
    label,
    /** A field's name on the page. */
    name: (key: string) => `stage-${index}-${key}`,
    us: season.units === 'us',
    first: index === 0,
    outdoors,
    inBed: outdoors && method.stages[0]?.container === null,
    container: season.containers.find(({ id }) => id === stage.container),
    /** Refusals come back to the field. */
    save: (key: keyof Stage, what: string) => (to: unknown) => store.change([{ path: at(key), to }], label(what)),
    /** Refusals are told in the till strip. */
    set: (key: keyof Stage, what: string) => (to: unknown) => store.apply([{ path: at(key), to }], label(what)),
    saveOfMethod: (key: keyof Method, what: string) => (to: unknown) =>
      store.change([{ path: ['methods', method.id, key], to }], what),
  };
}

export type StageEdit = ReturnType<typeof useStageEdit>;
