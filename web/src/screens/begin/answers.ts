import type { PriceLevel } from '../../api/types';

/** What a new garden is asked. */
export interface Answers {
  last_frost: string;
  first_frost: string;
  frostless: boolean;
  rate: string;
  currency: string;
  metric: boolean;
  have: string[];
  /** Where answers stand that were left to the program. */
  guessed: string[];
  list: string;
}

/** Where inches are in everyday use. */
const INCHES = ['US', 'LR', 'MM'];

const guessed = (levels: PriceLevel[]): Answers => {
  const region = new Intl.Locale(navigator.language).maximize().region ?? 'US';
  const now = new Date();
  const year = now.getMonth() >= 6 ? now.getFullYear() + 1 : now.getFullYear();
  return {
    last_frost: `${year}-05-15`,
    first_frost: '',
    frostless: false,
    rate: '0.18',
    currency: levels.find(({ regions }) => regions.includes(region))?.currency ?? 'USD',
    metric: !INCHES.includes(region),
    have: [],
    guessed: [],
    list: '',
  };
};

const KEPT = 'jolly-penny/begin';

/** As far as they were given in this window, so that nothing is typed twice. */
export const begun = (levels: PriceLevel[]): Answers => {
  try {
    return { ...guessed(levels), ...(JSON.parse(sessionStorage.getItem(KEPT) ?? '{}') as Partial<Answers>) };
  } catch {
    return guessed(levels);
  }
};

export const keep = (answers: Partial<Answers> | null): void => {
  try {
    if (answers === null) sessionStorage.removeItem(KEPT);
    else sessionStorage.setItem(KEPT, JSON.stringify(answers));
  } catch {
    // Without a store they are gone with the page.
  }
};
