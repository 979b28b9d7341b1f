/** The steps of the work that have a screen, in working order; a group of them begins where that is said: planning, doing, looking back. */
export const STEPS: readonly { path: string; name: string; begins?: boolean; also?: string }[] = [
  { path: 'list', name: 'List' },
  { path: 'raising', name: 'Raising' },
  { path: 'pots', name: 'Pots and mix' },
  { path: 'bench', name: 'Bench' },
  { path: 'calendar', name: 'Calendar' },
  { path: 'compare', name: 'Compare' },
  { path: 'shopping', name: 'Shopping' },
  { path: 'today', name: 'Today', begins: true, also: 'log' },
  { path: 'trays', name: 'Trays' },
  { path: 'reckoning', name: 'Reckoning', begins: true, also: 'ledger' },
];
