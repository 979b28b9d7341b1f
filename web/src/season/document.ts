import type { Path } from '../api/types';

type Row = { id?: string };

const indexOf = (list: unknown[], key: string | number): number =>
  list.findIndex((row, index) =>
    row !== null && typeof row === 'object' && 'id' in row ? (row as Row).id === key : index === key,
  );

/** The value at a path of the season: list rows by their id. */
export function at(root: unknown, path: Path): unknown {
  return path.reduce<unknown>((value, key) => {
    if (Array.isArray(value)) return value[indexOf(value, key)];
    return value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined;
  }, root);
}

/** The same document with another value at a path; null takes a list's row out. What is not on the path stays the same object. */
export function put<T>(root: T, path: Path, to: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return to as T;
  if (Array.isArray(root)) {
    const index = indexOf(root, key);
    if (rest.length === 0 && to === null) return root.filter((_, i) => i !== index) as T;
    if (index < 0) return [...root, put(undefined, rest, to)] as T;
    return root.map((row: unknown, i) => (i === index ? put(row, rest, to) : row)) as T;
  }
  const object = (root ?? {}) as Record<string, unknown>;
  return { ...object, [key]: put(object[key], rest, to) } as T;
}
