interface Step {
  path: string;
  name: string;
}

/** The work in four parts, and the screens of each, in working order. */
export const PARTS: readonly { name: string; steps: readonly Step[] }[] = [
  {
    name: 'Plan',
    steps: [
      { path: 'list', name: 'List' },
      { path: 'raising', name: 'Methods' },
      { path: 'pots', name: 'Pots and mix' },
      { path: 'bench', name: 'Bench' },
      { path: 'calendar', name: 'Calendar' },
      { path: 'compare', name: 'Compare' },
    ],
  },
  { name: 'Buy', steps: [{ path: 'shopping', name: 'Shopping' }] },
  {
    name: 'Do',
    steps: [
      { path: 'today', name: 'Today' },
      { path: 'trays', name: 'Trays' },
      { path: 'weather', name: 'Weather' },
      { path: 'log', name: 'Log' },
    ],
  },
  {
    name: 'Learn',
    steps: [
      { path: 'reckoning', name: 'Reckoning' },
      { path: 'advice', name: 'Advice' },
      { path: 'ledger', name: 'Ledger' },
    ],
  },
];

export const STEPS: readonly Step[] = PARTS.flatMap(({ steps }) => steps);
