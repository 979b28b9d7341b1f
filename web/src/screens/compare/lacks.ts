const WORDS: Record<string, string> = {
  too_cold: 'too cold',
  too_hot: 'too hot',
  frost: 'open to frost',
  no_light: 'short of lamps',
  no_mat: 'short of mats',
  dim: 'too dark',
  small: 'in too small a pot',
};

/** What a set-up is for some of its crops, by the warning's code: "too dark for 3". */
export const lackWords = (code: string, crops: number): string => `${WORDS[code] ?? code} for ${crops}`;
