import { FIELDS, type FieldName } from '../api/fields.generated';
import { inches } from '../words/measures';
import { fromUnit, inUnit, type Unit } from '../words/units';
import { boundsOf } from './bounds';
import { EditText, type EditProps } from './EditText';
import { parseNumber, showNumber, type Bounds } from './numbers';
import type { Parsed } from './useDraft';

interface Props extends Omit<EditProps<number | null>, 'parse' | 'show' | 'inputMode' | 'after' | 'value' | 'save'> {
  field: FieldName;
  /** The core's own where nothing is said. */
  unit?: Unit;
  /** What stands behind the number; the unit where nothing is said. */
  after?: string;
  places?: number;
  value: number | null;
  /** Empty is allowed, and says that it is not known. */
  maybe?: boolean;
  save: (value: number | null) => Promise<unknown>;
}

/** A quantity edited in the unit people think in, kept in the core's. */
export function EditInUnit({ field, unit, after = unit, places = 3, maybe = false, value, save, ...props }: Props) {
  const bounds = boundsOf(field);
  const out = (core: number) => (unit ? inUnit(core, unit) : core);
  const back = (shown: number) => (unit ? fromUnit(shown, unit) : shown);
  const shown: Bounds = { ...bounds, least: out(bounds.least), most: out(bounds.most), unit };
  const parse = (typed: string): Parsed<number | null> =>
    maybe && typed.trim() === '' ? { ok: true, value: null } : parseNumber(typed, shown);
  return (
    <EditText<number | null>
      {...props}
      after={after}
      inputMode="decimal"
      hint={FIELDS[field].words}
      value={value === null ? null : Number(out(value).toFixed(places))}
      show={(one) => (one === null ? '' : unit === 'in' ? inches(one) : showNumber(one, bounds.kind))}
      parse={parse}
      save={(one) => save(one === null ? null : back(one))}
    />
  );
}
