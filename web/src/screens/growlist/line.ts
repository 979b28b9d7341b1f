import type { Crop, CropPicture, CropResult } from '../../api/types';
import type { SeasonActions } from '../../season/SeasonContext';
import type { LineFacts } from '../../season/site';
import { shortDay } from '../../words/dates';

/** A crop as its line in the list shows it. */
export interface LineOfCrop {
  store: SeasonActions;
  crop: Crop;
  facts: LineFacts;
  result: CropResult;
  picture: CropPicture;
  currency: string;
  us: boolean;
  /** Another line of the list is the same variety. */
  isRound: boolean;
}

/** Two rounds of the same are told apart by their day. */
export const namedLine = ({ facts: { lot }, result, us, isRound }: LineOfCrop): string =>
  isRound && result.sow_on !== null ? `${lot.variety}, sown ${shortDay(result.sow_on, us)}` : lot.variety;

/** Writes one value; what was done is told by the crop's variety. */
export const saveOf =
  ({ store, facts }: LineOfCrop) =>
  (path: (string | number)[], label: string) =>
  (to: unknown) =>
    store.change([{ path, to }], `${label}, ${facts.lot.variety}`);

/** What a crop goes without, said beside its price. */
export const LACKING: Record<string, string> = { dim: 'too dark', no_light: 'no lamp', no_mat: 'no mat', frost: 'frost' };
