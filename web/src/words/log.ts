import type { LogEntry } from '../api/types';
import { spelled } from './spelling';
import { inUnit, type Unit } from './units';

/** What a plant is lost of, as people say it. */
export const CAUSES: readonly (readonly [NonNullable<LogEntry['cause']>, string])[] = [
  ['damping_off', 'damping off'],
  ['dried_out', 'dried out'],
  ['leggy', 'leggy and fell over'],
  ['scorched', 'scorched'],
  ['frozen', 'frozen'],
  ['gnats', 'gnats'],
  ['eaten', 'eaten'],
  ['forgotten', 'forgotten'],
  ['root_bound', 'root-bound'],
  ['mixed_up', 'spilled, mixed up, label lost'],
  ['animals', 'animals or children'],
  ['not_up', 'did not come up'],
  ['other', 'something else'],
];

const WORDS: Record<LogEntry['kind'], string> = {
  sown: 'sown',
  bought: 'bought',
  up: 'up',
  thinned: 'left after thinning',
  pricked_out: 'pricked out',
  potted_on: 'potted on',
  hardened: 'hardening off',
  planted: 'planted out',
  given: 'given away',
  sold: 'sold',
  composted: 'composted',
  lost: 'lost',
  done: 'done',
  put_off: 'put off',
  reading: 'reading',
  note: 'note',
  undo: 'taken back',
};

export const kindWords = (kind: LogEntry['kind'], us: boolean): string => spelled(WORDS[kind], us);

/** Units as entries have them: how they read, and what they are in a US garden. */
const UNITS: Record<string, { metric: string; us: string; unit?: Unit }> = {
  air_c: { metric: '°C in the air', us: '°F in the air', unit: '°F' },
  soil_c: { metric: '°C in the soil', us: '°F in the soil', unit: '°F' },
  L: { metric: 'L', us: 'qt', unit: 'qt' },
  kg: { metric: 'kg', us: 'lb', unit: 'lb' },
};

function amountWords({ amount, unit }: Partial<LogEntry>, us: boolean): string {
  if (amount == null) return '';
  const known = UNITS[unit ?? ''];
  if (known === undefined) return `${amount} ${unit ?? ''}`.trim();
  const shown = us && known.unit ? inUnit(amount, known.unit) : amount;
  return `${Number(shown.toFixed(shown < 10 ? 2 : 1))} ${us ? known.us : known.metric}`;
}

const JOBS: readonly (readonly [string, string])[] = [
  ['soak', 'mix wetted'],
  ['fill', 'filled'],
  ['wash', 'pots washed'],
  ['drain', 'water poured off'],
  ['cover_off', 'cover off'],
  ['mat_off', 'mat off'],
  ['feed', 'fed'],
  ['chill', 'put into the cold'],
  ['stage', 'moved'],
  ['buy', 'bought'],
];

/** What was done, by the job it was. */
const jobWords = (job: string | null | undefined): string =>
  JOBS.find(([kind]) => new RegExp(`(^|-)${kind}(-|$)`).test(job ?? ''))?.[1] ?? WORDS.done;

/** "11 up", "2 lost: gnats", "1.6 L", "to 24 April". */
export function entryWords(entry: Partial<LogEntry> & { kind: LogEntry['kind'] }, us = false): string {
  const cause = CAUSES.find(([key]) => key === entry.cause)?.[1];
  const amount = amountWords(entry, us);
  const counted =
    entry.kind === 'done'
      ? jobWords(entry.job)
      : entry.count == null
        ? kindWords(entry.kind, us)
        : `${entry.count} ${kindWords(entry.kind, us)}`;
  return [
    entry.kind === 'reading' && amount !== '' ? amount : entry.kind === 'note' ? '' : counted + (cause ? `: ${cause}` : ''),
    entry.kind !== 'reading' ? amount : '',
    entry.kind === 'put_off' && entry.until ? `to ${entry.until}` : '',
    entry.note ?? '',
  ]
    .filter(Boolean)
    .join(', ');
}
