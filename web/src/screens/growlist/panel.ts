import type { Crop, CropPicture, CropResult } from '../../api/types';
import type { OnScreen } from '../../season/SeasonContext';
import type { LineFacts } from '../../season/site';

/** What the parts of an opened line are given. */
export interface PanelProps {
  shown: OnScreen;
  crop: Crop;
  facts: LineFacts;
  result: CropResult;
  picture: CropPicture;
}
