/** The terms of the screens, each said once, in plain words. A "?" beside a term opens its entry. */
export const GLOSSARY = {
  finished: [
    'Cost per finished seedling',
    'All costs of the season, divided by the plants that are ready for the garden. It counts crops that no nursery sells too.',
  ],
  same: [
    'The same plants',
    'Only crops that a nursery sells too, in pots of at least the size you asked for. Your cost and the nursery’s price are then for the same plants.',
  ],
  save: [
    'You save',
    'What buying the same plants would cost, less what growing them costs. Plants that fail are counted as bought.',
  ],
  cash: [
    'Cash now',
    'What you still have to pay this season for whole packs. Lamps and pots that you buy last for more seasons.',
  ],
  chance: [
    'Chance of enough plants',
    'How many seasons in 100 give at least the number of plants you want. Good and bad seasons and packets are counted.',
  ],
  verdict: [
    'Verdict',
    'Whether to grow a crop or to buy it: whichever costs less. “Grow with the rest” means: worth growing only because the lights are on anyway.',
  ],
  germination: [
    'Germination',
    'The share of seeds that come up. It falls as seed gets older, and depends on the soil temperature.',
  ],
  survival: ['Survival', 'The share of seedlings that live through a stage.'],
  method: ['Method', 'How a crop is grown, stage by stage: from the seed to the day it is planted out.'],
  setup: ['Set-up', 'A complete way to equip a season: places, lamps, mats, pots, and a method for each crop.'],
  tray: ['Tray', 'A tray of 10 by 20 inches (25 by 50 cm). Room, light and warmth are counted in trays.'],
  light: [
    'Enough light',
    'Light adds up over the day. The program compares what a crop gets from lamps and window with what it needs.',
  ],
  crowded: ['Crowded', 'On a crowded day more trays stand in a place than it has room, light or warmth for.'],
  guess: ['A guess', 'A number from the catalogue that nobody has checked yet. Change it to what you pay or know.'],
  share: [
    'A season’s share',
    'What a lamp or pot costs, divided by the seasons it lasts. Power and seed are paid anew each season.',
  ],
} as const satisfies Record<string, readonly [term: string, text: string]>;

export type Term = keyof typeof GLOSSARY;
