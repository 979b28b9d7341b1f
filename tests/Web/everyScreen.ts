import { describe, expect, it, vi } from 'vitest';
import './device';
import { agrees, keyAt, typeOnce, type Typed } from './fields';
import { pressAll } from './presses';
import { furnishWindow, serve, told, type Sent } from './stand';
import { textOf } from './textOf';
import { expectAsInBook } from './told';

const SCREENS =
  'list compare calendar raising pots bench shopping today trays log weather reckoning advice ledger guesses first'.split(' ');

/** Pages that are of no season. */
const PLAIN = ['seasons', 'shed', 'prices', 'begin', 'account', 'cautions', 'words', 'sign-in', 'forgotten'];

/** Rows of a list have the same fields; so many of each are typed into. */
const OF_A_KIND = 4;

/** Every screen of a story, drawn without a browser: its text, what each of its fields saves, what each press does and brings. */
export function tellEveryScreen(name: string) {
  const story = told(name);
  furnishWindow(story.day);
  // The libraries say here what jsdom has not.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const { season } = story.answers['/api/seasons/1'] as { season: { crops: { id: string }[] } };
  const of = (screen: string): [string, string] => [screen, `/seasons/1/${screen}`];
  const plain = (screen: string): [string, string] => [screen, `/${screen}`];
  // The component library remembers things of its own: always in this order.
  describe('every screen', { shuffle: false }, () => {
    for (const [screen, address] of [...SCREENS.map(of), of(`crops/${season.crops[0]?.id ?? ''}`), ...PLAIN.map(plain)])
      it(`draws ${screen}`, async () => {
        // What the window remembers of the screen before is nothing of this one.
        vi.resetModules();
        const { draw, settle } = await import('./draw');
        await (await import('idb-keyval')).clear();
        sessionStorage.clear();
        localStorage.clear();
        localStorage.setItem('jolly-penny-setup-1', story.setup);
        const sent = serve(story);
        const drawn = await draw(address);
        try {
          const lines = textOf(drawn.place).split('\n');
          expect(lines.length).toBeGreaterThan(5);
          const typed = new Set<string>();
          lines.push(...(await typeAll(sent, typed, () => settle(drawn.queries))));
          lines.push(...(await pressAll(drawn.place, sent, () => settle(drawn.queries))));
          // And into what the presses have opened.
          lines.push(...(await typeAll(sent, typed, () => settle(drawn.queries))));
          expectAsInBook(name, screen, lines);
        } finally {
          await drawn.close();
        }
      });
  });
}

/** Types into all fields whose names are not among the typed ones. */
async function typeAll(sent: Sent[], typed: Set<string>, settle: () => Promise<void>): Promise<string[]> {
  const times = new Map<string, number>();
  const fields = [...document.querySelectorAll<HTMLInputElement>('main input[name]')].filter((field) => {
    if (typed.has(field.name)) return false;
    const kind = `${field.className} ${kindOfName(field.name)}`;
    times.set(kind, (times.get(kind) ?? 0) + 1);
    return /text|date/.test(field.type) && !field.disabled && (times.get(kind) ?? 0) <= OF_A_KIND;
  });
  const lines: string[] = [];
  for (const field of fields) {
    typed.add(field.name);
    const one = await typeOnce(field, sent, settle);
    expect(isOfTheFile(one), `${one.name} saves to no key of the season file`).toBe(true);
    expect(agrees(one), `${one.name} saves another value than it shows: ${words(one)}`).toBe(true);
    lines.push(`type ${one.name}: ${words(one)}`);
  }
  return lines;
}

/** The name of a field without the row it is of. */
const kindOfName = (name: string): string => [name.split(/[.\s-]/)[0], name.split('.').slice(2).join('.')].join(' ');

const isOfTheFile = ({ change }: Typed): boolean => typeof change?.to !== 'number' || keyAt(change.path) !== null;

const words = ({ label, shown, typed, change, sent }: Typed): string =>
  `"${label}" ${shown} → ${typed}${change === null ? '' : `, before ${JSON.stringify(change.from)}`} ${sent || 'nothing is sent'}`;
