/** "A", "A or B", "A, B or C", "A, B or one of 4 others". */
export function anyOf(names: readonly string[]): string {
  const shown = names.length > 3 ? [...names.slice(0, 2), `one of ${names.length - 2} others`] : names;
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} or ${shown[shown.length - 1] ?? ''}`;
}
