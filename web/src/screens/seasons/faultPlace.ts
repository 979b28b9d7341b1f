export interface FaultPlace {
  place: string;
  value: string | null;
}

type Row = { name?: unknown; variety?: unknown; id?: unknown };

const SHOWN = 80;
const human = (key: string): string => key.replaceAll('_', ' ');

/** Where a fault stands, in words, and what stands there: "crops, copper-kettle, wanted". */
export function faultPlace(text: string, path: string): FaultPlace {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { place: 'The file', value: null };
  }
  const words: string[] = [];
  for (const [, key, index] of path.matchAll(/\.([^.[\]]+)|\[(\d+)\]/g)) {
    if (index !== undefined) {
      value = Array.isArray(value) ? value[Number(index)] : undefined;
      const row = value as Row | undefined;
      words.push(String(row?.name ?? row?.variety ?? row?.id ?? `number ${Number(index) + 1}`));
    } else if (key !== undefined) {
      value = value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined;
      words.push(human(key));
    }
  }
  const shown = value === undefined || words.length === 0 ? null : JSON.stringify(value).slice(0, SHOWN);
  return { place: words.length === 0 ? 'The file' : words.join(', '), value: shown };
}
