/** Self-hosted: one humanist sans with tabular figures for text, one mono for receipts. */
export const FONTS = { text: "'Atkinson Hyperlegible Next', sans-serif", mono: "'Spline Sans Mono', monospace" } as const;

export type Scheme = 'light' | 'dark';

/** Our colours by meaning; copper is money and only money. CSS reads the same values as variables. */
export const palette = {
  light: {
    ground: '#f4f7f5',
    paper: '#ffffff',
    receipt: '#fffdf7',
    ink: '#10251d',
    quiet: '#4a5d55',
    rule: '#d3dcd7',
    soil: '#4b3a2c',
    copper: '#9c4718',
    plant: '#1f6b3d',
    trouble: '#b3261e',
    seed: '#c98a00',
    mix: '#7a4f2b',
    pots: '#64748b',
    light: '#f2b705',
    heat: '#cc4125',
    sundries: '#3f6fa3',
    bought: '#8fa39a',
    focus: '#1f6b3d',
    along: '#61610c',
    water: '#1f5f99',
    bark: '#7a4a22',
  },
  dark: {
    ground: '#101a16',
    paper: '#17231e',
    receipt: '#1d2420',
    ink: '#e8f0ec',
    quiet: '#a9bab2',
    rule: '#32443c',
    soil: '#6b5442',
    copper: '#f0a06a',
    plant: '#7fcf9b',
    trouble: '#ff8f85',
    seed: '#d9a01f',
    mix: '#a8744a',
    pots: '#8b9bb0',
    light: '#f2c230',
    heat: '#e2644a',
    sundries: '#6d9ccf',
    bought: '#a9bcb3',
    focus: '#7fcf9b',
    along: '#c9c860',
    water: '#7db7ea',
    bark: '#d9a878',
  },
} as const;

const variables = (values: Record<string, string>, after = ''): string =>
  Object.entries(values)
    .map(([name, value]) => `--${name}${after}:${value};`)
    .join('');

/** The same as a style sheet, by what the device asks for: for what a page says before its code is there. */
export const paletteStyles = (): string =>
  `:root{${variables(FONTS, '-font')}${variables(palette.light)}}@media (prefers-color-scheme:dark){:root{${variables(palette.dark)}}}`;
