import type { Crop, CropPicture, CropResult } from '../../api/types';
import type { LineFacts } from '../../season/site';

export interface ShownLine {
  crop: Crop;
  reckoned: number;
  facts: LineFacts;
  result: CropResult;
  picture: CropPicture;
}

export type Order = 'listed' | 'name' | 'sowing' | 'cost' | 'saves' | 'wanted' | 'verdict';

export const ORDERS: { value: Order; label: string }[] = [
  { value: 'listed', label: 'as listed' },
  { value: 'name', label: 'by name' },
  { value: 'sowing', label: 'by sowing date' },
  { value: 'cost', label: 'dearest seedling first' },
  { value: 'saves', label: 'what saves most first' },
  { value: 'wanted', label: 'most plants first' },
  { value: 'verdict', label: 'by verdict' },
];

const VERDICTS = ['grow', 'grow_only', 'grow_along', 'buy', 'buy_only'];

/** Lines in another order; equal ones stay as they are listed. */
export function sortLines(lines: ShownLine[], order: Order): ShownLine[] {
  const by = (key: (line: ShownLine) => number) => [...lines].sort((a, b) => key(a) - key(b));
  switch (order) {
    case 'name':
      return [...lines].sort((a, b) => a.facts.lot.variety.localeCompare(b.facts.lot.variety));
    case 'sowing':
      return [...lines].sort((a, b) => (a.result.sow_on ?? '9').localeCompare(b.result.sow_on ?? '9'));
    case 'cost':
      return by(({ result }) => -(result.per_finished ?? -1));
    case 'saves':
      return by(({ result, picture: { line } }) => (result.verdict === 'buy' ? (line.saves ?? 0) : -(line.saves ?? 0)));
    case 'wanted':
      return by(({ crop }) => -crop.wanted);
    case 'verdict':
      return by(({ result }) => VERDICTS.indexOf(result.verdict ?? '') + 1 || 9);
    default:
      return lines;
  }
}
