/** The coin groups' names and patterns: colour is never the only sign. */
export const GROUPS = {
  bought: { name: 'Bought plants', pattern: 'ring' },
  sundries: { name: 'Shelf and sundries', pattern: 'back' },
  heat: { name: 'Heat', pattern: 'slash' },
  light: { name: 'Light', pattern: 'plain' },
  pots: { name: 'Pots', pattern: 'bar' },
  mix: { name: 'Mix and feed', pattern: 'cross' },
  seed: { name: 'Seed', pattern: 'dot' },
} as const;

export type Group = keyof typeof GROUPS;

export const HEADS: Record<string, string> = {
  seed: 'Seed', mix: 'Mix', top_dressing: 'Top dressing', feed: 'Feed', extras: 'Labels and extras', containers: 'Pots and trays',
  prep: 'Washing pots', light_power: 'Power for light', heat_power: 'Power for heat', appliance_power: 'Power for fans, hot water',
  heat_credit: 'Heat you did not buy', lights: 'Lamps, a season’s share', mats: 'Mats, a season’s share',
  appliances: 'Fans, a season’s share', gear: 'Shelf and gear, a season’s share', nursery: 'Bought plants',
};
