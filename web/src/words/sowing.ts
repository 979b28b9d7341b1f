import type { CropResult, Method } from '../api/types';

const WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

export const count = (n: number): string => WORDS[n] ?? n.toLocaleString('en');
const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const plural = (n: number, one: string, many = `${one}s`): string => (n === 1 ? one : many);

export function day(date: string | null): string {
  return date === null ? '' : new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${date}T00:00:00Z`));
}

/** A probability as certainty, never 100 %. */
export function certainty(p: number): string {
  const percent = Math.floor(p * 100);
  return percent >= 99 ? (p >= 0.999 ? 'over 99.9' : '99') : String(percent);
}

/** "Sow 24 seeds, two to a cell, in 12 cells on 8 April; expect 7 or 8 plants, at least 6 with 99 % certainty." */
export function sowingSentence(crop: CropResult, method: Method, wanted: number, site: string): string {
  if (!crop.grown || crop.seeds === null || crop.sites === null || crop.finished === null || crop.p_enough === null) {
    return crop.method === 'nursery' ? 'You buy this one.' : `It cannot be raised like this: ${failure(crop.warnings[0])}`;
  }
  const each = method.pattern === 'community' ? `scattered over ${crop.sites} ${plural(crop.sites, site)}`
    : `${count(method.seeds_per_site)} to a ${site}, in ${crop.sites.toLocaleString('en')} ${plural(crop.sites, site)}`;
  const low = Math.floor(crop.finished);
  const expected = crop.finished - low < 0.05 ? `${low}` : `${low} or ${low + 1}`;
  return upper(`sow ${crop.seeds.toLocaleString('en')} ${plural(crop.seeds, 'seed')}, ${each} on ${day(crop.sow_on)}; expect ${expected} ${plural(low, 'plant')}, `
    + `at least ${wanted.toLocaleString('en')} with ${certainty(crop.p_enough)} % certainty.`);
}

function failure(code: string | undefined): string {
  switch (code) {
    case 'too_cold': return 'it is too cold there for this seed. Give it a mat or a warmer place.';
    case 'too_hot': return 'it is too hot there for this seed. Take the mat away or find a cooler place.';
    case 'cannot_reach': return 'too few seedlings come through. Check the seed and what survives each stage.';
    default: return 'see the warnings.';
  }
}

const WARNINGS: Record<string, string> = {
  late: 'Ready later than you want to plant out.',
  no_light: 'Wants light, but this set-up has no lamp there.',
  no_mat: 'Wants a mat, but this set-up has none there.',
};

export const warningWords = (code: string): string => WARNINGS[code] ?? failure(code);
