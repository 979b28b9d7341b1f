/** The steps of the work that have a screen, in working order. */
export const STEPS = [
  { path: 'list', name: 'Grow list' },
  { path: 'calendar', name: 'Calendar' },
  { path: 'methods', name: 'Methods' },
  { path: 'compare', name: 'Compare' },
];
