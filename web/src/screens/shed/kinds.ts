/** Kinds of things in a shed, with what they are called together. */
export const KINDS = [
  ['seed', 'Seed'],
  ['supply', 'Mix, feed and labels'],
  ['container', 'Pots and trays of cells'],
  ['trayware', 'Trays and covers'],
  ['light', 'Lamps'],
  ['mat', 'Mats'],
  ['appliance', 'Fans and the like'],
  ['gear', 'Shelves and tools'],
] as const;
