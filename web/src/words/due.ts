import type { Due } from '../api/types';
import { shortDay } from './dates';

/** "due Apr 21 to 23". */
export function dueWords(due: Due, us: boolean): string {
  if (due.is_late) return 'late: dig one up and look at it, or sow again';
  if (due.until === null) return `due from ${shortDay(due.from, us)}, and not at all where it stays colder than thought`;
  return due.from === due.until ? `due ${shortDay(due.on, us)}` : `due ${shortDay(due.from, us)} to ${shortDay(due.until, us)}`;
}
