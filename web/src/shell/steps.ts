/** The steps of the work that have a screen, in working order. */
export const STEPS = [
  { path: 'list', name: 'List' },
  { path: 'raising', name: 'Raising' },
  { path: 'pots', name: 'Pots and mix' },
  { path: 'bench', name: 'Bench' },
  { path: 'calendar', name: 'Calendar' },
  { path: 'compare', name: 'Compare' },
  { path: 'shopping', name: 'Shopping' },
];
