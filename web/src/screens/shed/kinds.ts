import { KINDS as ALL } from '../../api/core.generated';

/** Kinds of things in a shed, with what they are called together. */
export const KINDS = Object.entries(ALL)
  .filter(([, kind]) => kind.kept)
  .map(([id, kind]) => [id, kind.words] as const);
