/** The steps of the work that have a screen, in working order. */
export const STEPS = [
  { path: 'list', name: 'Grow list' },
];
