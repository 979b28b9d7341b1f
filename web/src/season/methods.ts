import type { Season } from '../api/types';

/** What a method is called in a list; methods of one name are told apart by the set-ups that use them. */
export function methodName(season: Season, id: string): string {
  const name = season.methods.find((one) => one.id === id)?.name;
  if (name === undefined) return id;
  if (season.methods.filter((one) => one.name === name).length < 2) return name;
  const users = season.setups.filter(({ method, overrides }) => method === id || Object.values(overrides).includes(id));
  return `${name} (${users.map((one) => one.name).join(', ') || 'not used'})`;
}

/** Every method, as a choice among them. */
export const methodOptions = (season: Season): { value: string; label: string }[] =>
  season.methods.map(({ id }) => ({ value: id, label: methodName(season, id) }));
