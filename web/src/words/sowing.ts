import type { CropLine, CropPicture, CropResult, Method } from '../api/types';
import { day, shortDay } from './dates';
import { money } from './money';
import { inUnit } from './units';
import { LOCALE } from './region';

const WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

export const count = (n: number): string => WORDS[n] ?? n.toLocaleString(LOCALE);
export const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const plural = (n: number, one: string, many = `${one}s`): string => (n === 1 ? one : many);

/** A probability as certainty, never 100 %. */
export function certainty(p: number): string {
  const percent = Math.floor(p * 100 + 1e-9);
  return percent >= 99 ? (p >= 0.999 ? 'over 99.9' : '99') : String(percent);
}

/** "97 in 100", where nothing is ever certain. */
export const odds = (p: number): string => `${certainty(p)} in 100`;

/** The same in a table or field: "93 %". */
export const percent = (p: number): string => `${certainty(p)} %`;

/** "Sow 24 seeds, two to a cell, in 12 cells on 8 April; expect 7 or 8 plants, at least 6 with 99 % certainty." */
export function sowingSentence(crop: CropResult, method: Method, wanted: number, site: string, us = false): string {
  if (!crop.grown || crop.seeds === null || crop.sites === null || crop.finished === null || crop.p_enough === null) {
    return crop.method === 'nursery' ? 'You buy this one.' : `It cannot be raised like this: ${failure(crop.warnings[0])}`;
  }
  const each =
    method.pattern === 'community'
      ? `scattered over ${crop.sites} ${plural(crop.sites, site)}`
      : `${count(method.seeds_per_site)} to a ${site}, in ${crop.sites.toLocaleString(LOCALE)} ${plural(crop.sites, site)}`;
  const low = Math.floor(crop.finished);
  const expected = Number(crop.finished.toFixed(1)) === low ? `${low}` : `${low} or ${low + 1}`;
  return upper(
    `sow ${crop.seeds.toLocaleString(LOCALE)} ${plural(crop.seeds, 'seed')}, ${each} on ${day(crop.sow_on, us)}; expect ${expected} ${plural(expected === '1' ? 1 : 2, 'plant')}, ` +
      `at least ${wanted.toLocaleString(LOCALE)} with ${certainty(crop.p_enough)} % certainty.`,
  );
}

/** "12 cells for 6, 2 seeds each, Apr 8": the same in a line of the list. */
export function sowingLine(crop: CropResult, method: Method, wanted: number, site: string, us: boolean): string {
  if (crop.sites === null || crop.seeds === null) return '';
  const seeds =
    method.pattern === 'community'
      ? `${crop.seeds.toLocaleString(LOCALE)} seeds in ${crop.sites} ${plural(crop.sites, site)} for ${wanted}`
      : `${crop.sites.toLocaleString(LOCALE)} ${plural(crop.sites, site)} for ${wanted.toLocaleString(LOCALE)}${method.seeds_per_site > 1 ? `, ${method.seeds_per_site} seeds each` : ''}`;
  return `${seeds}, ${shortDay(crop.sow_on, us)}`;
}

export function failure(code: string | undefined): string {
  switch (code) {
    case 'too_cold':
      return 'it is too cold there for this seed. Give it a mat or a warmer place.';
    case 'too_hot':
      return 'it is too hot there for this seed. Take the mat away or find a cooler place.';
    case 'frost':
      return 'it would be up before the last frost, which kills it. Sow it later, or raise it indoors.';
    case 'cannot_reach':
      return 'too few seedlings come through. Check the seed and what survives each stage.';
    case 'no_offer':
      return 'not sold as a plant. Give it a method, or an offer.';
    default:
      return 'see the warnings.';
  }
}

const WARNINGS: Record<string, string> = {
  frost: 'It is planted out where frost may still come, which kills it. Keep a cover ready, or plant it later.',
  dim: 'Gets too little light, lamps and window together: it grows leggy.',
  late: 'Ready later than you want to plant out.',
  no_light: 'It needs light, but this set-up has no lamp there.',
  no_mat: 'It needs a heat mat, but this set-up has none there.',
  small: 'Its last pot is smaller than the plant you want. Pot it up once more, or ask for a smaller one.',
  no_offer: 'It is not sold as a plant, and this set-up does not grow it.',
};

export const warningWords = (code: string): string => WARNINGS[code] ?? upper(failure(code));

/** Pots of so unlike a size are not the same plant. */
const UNLIKE = 1.6;

/** "soil per plant: nursery 0.45 L, yours 0.04 L"; null where the sizes are alike, or one is not known. */
export function potWords({ own, bought }: { own: number | null; bought: number | null }, us: boolean): string | null {
  if (own === null || bought === null || Math.max(own / bought, bought / own) < UNLIKE) return null;
  const unit = us ? 'cups' : 'L';
  const size = (litres: number) => Number(us ? inUnit(litres, 'cup').toFixed(1) : litres.toFixed(2));
  return `soil per plant: nursery ${size(bought)} ${unit}, yours ${size(own)} ${unit}`;
}

/** Why the odds are below those asked for, and what helps. */
export function belowWords(below: NonNullable<CropPicture['below_asked']>, us: boolean): string {
  const why =
    below.mishap > 0
      ? `a mishap takes a batch whole, ${Number((below.mishap * 100).toFixed(1))} in 100, and no number of seeds helps against that`
      : 'you chose how much to sow';
  const helps = [
    `sow again until ${day(below.again_until, us)}`,
    'keep seed in reserve',
    below.can_buy ? 'buy what is missing' : '',
  ].filter(Boolean);
  return `You asked for ${below.asked} %: ${why}. To help: ${helps.join('; ')}.`;
}

export interface VerdictWords {
  word: string;
  reason: string;
  tone: 'grow' | 'along' | 'buy' | 'none';
}

/** The verdict in a word or two, and its reason. */
export function verdictWords(crop: CropResult, line: CropLine, currency: string, substitute: boolean): VerdictWords {
  const saved = money(line.saves === null ? null : Math.abs(line.saves), currency);
  switch (crop.verdict) {
    case 'grow':
      return { word: 'Grow it', reason: `saves ${saved}`, tone: 'grow' };
    case 'grow_along':
      return { word: 'Grow with the rest', reason: 'worth it only because the lights are on anyway', tone: 'along' };
    case 'buy':
      return { word: 'Buy it', reason: `buying saves ${saved}${substitute ? ', but not this variety' : ''}`, tone: 'buy' };
    case 'grow_only':
      return { word: 'Grow it', reason: 'not sold as a plant', tone: 'grow' };
    case 'buy_only':
      return { word: 'Only bought', reason: failure(crop.warnings[0]).split('.')[0] ?? '', tone: 'buy' };
    default:
      return crop.cost === null
        ? { word: 'Missing', reason: 'not raised, and not sold as a plant', tone: 'none' }
        : {
            word: 'Bought',
            reason: substitute ? 'but not this variety' : `${money(crop.cost, currency)} with the trip`,
            tone: 'none',
          };
  }
}
