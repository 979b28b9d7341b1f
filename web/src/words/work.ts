/** Why something that was worked out beside has no result. */
export const NOT_WORKED_OUT =
  'It could not be worked out: the season has changed meanwhile, or what worked at it is gone. Try again.';
