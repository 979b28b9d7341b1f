import { FIELDS, type FieldName } from '../api/fields.generated';
import { boundsOf } from './bounds';
import { EditText, type EditProps } from './EditText';
import { parseNumber, parseShare, showNumber, type Bounds } from './numbers';

type Base = Omit<EditProps<number>, 'parse' | 'show' | 'inputMode'>;

/** A number of the season edited where it stands; its bounds are the season file's. A share is shown and typed "of 100". */
export function EditNumber({ field, share = false, value, save, ...props }: Base & { field: FieldName; share?: boolean }) {
  const times = share ? 100 : 1;
  return (
    <EditBounded
      {...props}
      hint={FIELDS[field].words}
      value={value * times}
      save={(typed) => save(typed / times)}
      bounds={boundsOf(field, times)}
      share={share}
    />
  );
}

/** A number that is not the season's, within bounds of its own. */
export function EditBounded({ bounds, share = false, ...props }: Base & { bounds: Bounds; share?: boolean }) {
  const parse = share ? parseShare : parseNumber;
  return (
    <EditText<number>
      {...props}
      inputMode="decimal"
      show={(value) => showNumber(value, bounds.kind)}
      parse={(typed) => parse(typed, bounds)}
    />
  );
}
