import { boundsOf } from '../../edit/bounds';
import { parseNumber } from '../../edit/numbers';
import { isDate } from '../../words/dates';

const said = (why: string | null) => (why === null ? Promise.resolve() : Promise.reject(new Error(why)));

/** A date; after another one it may be left open. */
export const datesFrom = (after: (() => string) | null) => ({
  validator: (_: unknown, value: string) => {
    if (after === null) return said(isDate(value) ? null : 'Type a date, for example 2027-05-15.');
    return said(
      value === '' || (isDate(value) && value > after()) ? null : 'Type a date after your last frost, or leave it empty.',
    );
  },
});

export const rateIsNumber = {
  validator: (_: unknown, value: string) => {
    const parsed = parseNumber(value, boundsOf('electricity.rate'));
    return said(parsed.ok ? null : parsed.why);
  },
};
