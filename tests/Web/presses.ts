import { choose, nameOf, press, pressKey } from './hands';
import type { Sent } from './stand';
import { textOf } from './textOf';

/** Controls of a kind are pressed so often at most: rows of a list are alike. */
const OF_A_KIND = 2;
const MOST = 45;
/** Of what a press brings, lines. */
const CAME = 12;
/** A long label is cut. */
const LETTERS = 90;

/** Made on the device, anew each time. */
const DRAWN = /[0-9a-f]{8}-[0-9a-f-]{27}|[0-9a-f]{32}/g;

/** What was asked or sent, as a line; what is drawn anew each time left out. */
export function sentWords({ verb, path, body }: Sent): string {
  const shown = JSON.stringify(body, (key, value: unknown) => (key === 'at' || key === 'id' ? '#' : value));
  return `${verb} ${path.replace('/api/seasons/1', '')}${body === null ? '' : ` ${shown}`}`.replace(DRAWN, '#');
}

/** Rows differ by their crop or thing; what is left names the kind of control. */
const kindOf = (control: Element): string =>
  [
    control.tagName,
    control.className,
    control.getAttribute('data-action') ?? '',
    control.getAttribute('name')?.split('.').at(-1) ?? '',
  ].join(' ');

const controlsIn = (root: Element) =>
  [
    ...root.querySelectorAll<HTMLElement>('main button, main select, main input[type="checkbox"], main input[type="radio"]'),
    // What plays by itself stands where the clock has brought it.
  ].filter((control) => !control.hasAttribute('disabled') && !/Play the season|^Stop$/.test(nameOf(control)));

/** Presses what can be pressed, each kind once or twice, also what a press has brought; says what left for the server and what came to stand there. */
export async function pressAll(root: HTMLElement, sent: Sent[], settle: () => Promise<void>): Promise<string[]> {
  const lines: string[] = [];
  const times = new Map<string, number>();
  const pressed = new Set<Element>();
  const next = () =>
    controlsIn(document.body).find((control) => (times.get(kindOf(control)) ?? 0) < OF_A_KIND && !pressed.has(control));
  for (let control = next(); control !== undefined && pressed.size < MOST; control = next()) {
    pressed.add(control);
    times.set(kindOf(control), (times.get(kindOf(control)) ?? 0) + 1);
    const before = textOf(document.body).split('\n');
    const name = nameOf(control).slice(0, LETTERS);
    sent.length = 0;
    if (control instanceof HTMLSelectElement)
      await choose(control, (control.selectedIndex + 1) % Math.max(1, control.options.length));
    else await press(control);
    await settle();
    const after = textOf(document.body).split('\n');
    const came = after.filter((line) => !before.includes(line));
    lines.push(`press ${name}`, ...sent.map((one) => `  ${sentWords(one)}`));
    lines.push(...came.slice(0, CAME).map((line) => `  + ${line}`));
    if (!root.querySelector('main')) break;
    await pressKey(document.activeElement ?? document.body, 'Escape');
    await settle();
  }
  return lines;
}
