import { FIELDS, type FieldName } from '../api/fields.generated';
import type { Path } from '../api/types';
import type { Bounds } from './numbers';

/** What the season file's schema allows for a value; shown larger (100 for a share as "of 100"), so are its bounds. */
export function boundsOf(field: FieldName, times = 1): Bounds {
  const { least, most, ...rest } = FIELDS[field];
  return { ...rest, least: least * times, most: most * times };
}

/** The field at a path of the season, which names a list's rows by their ids; null where no number stands there. */
export function fieldOf(path: Path): FieldName | null {
  for (const keys of [path, path.filter((_, index) => index !== 1), path.filter((_, index) => index !== 1 && index !== 3)]) {
    const name = keys.join('.');
    if (name in FIELDS) return name as FieldName;
  }
  return null;
}
