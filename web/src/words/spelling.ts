/**
 * What a garden with US units calls it; the texts are written for the others. Names that come from the catalogue are put into these terms by
 * the core (NameInUsUnits).
 */
const AMERICAN: readonly (readonly [british: string, american: string])[] = [
  ['potted on', 'potted up'],
  ['pot on', 'pot up'],
  ['potting on', 'potting up'],
  ['colour', 'color'],
  ['grey', 'gray'],
  ['mould', 'mold'],
  ['litre', 'liter'],
];

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A text in the spelling and the terms of the garden's units. */
export const spelled = (text: string, us: boolean): string =>
  us
    ? AMERICAN.reduce(
        (now, [british, american]) => now.replaceAll(british, american).replaceAll(capital(british), capital(american)),
        text,
      )
    : text;
