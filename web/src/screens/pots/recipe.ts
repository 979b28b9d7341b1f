import type { Season } from '../../api/types';

export type Mix = Season['mixes'][number];

/** What the parts of the editor are given. */
export interface RecipeProps {
  season: Season;
  recipe: Mix;
  save: (key: keyof Mix, label: string) => (to: unknown) => Promise<void>;
  set: (key: keyof Mix, label: string) => (to: unknown) => void;
}
