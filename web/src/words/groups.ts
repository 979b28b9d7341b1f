import { GROUPS as NAMES, HEADS } from '../api/core.generated';

export type Group = keyof typeof NAMES;

/** The coins' patterns: colour is never the only sign. */
const PATTERNS: Record<Group, string> = {
  bought: 'ring',
  sundries: 'back',
  heat: 'slash',
  light: 'plain',
  pots: 'bar',
  mix: 'cross',
  seed: 'dot',
};

export const GROUPS = Object.fromEntries(
  (Object.keys(NAMES) as Group[]).map((group) => [group, { name: NAMES[group], pattern: PATTERNS[group] }]),
) as Record<Group, { name: string; pattern: string }>;

export const headWords = (head: string): string => (HEADS as Record<string, string>)[head] ?? head;
