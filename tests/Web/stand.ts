import { readFileSync } from 'node:fs';
import { vi } from 'vitest';

/** The answers of one story, as they went over the wire (tests/Answers/screens). */
export interface Told {
  day: string;
  setup: string;
  answers: Record<string, unknown>;
}

/** What left for the server, in order. */
export interface Sent {
  verb: string;
  path: string;
  body: unknown;
}

export const told = (story: string): Told => JSON.parse(readFileSync(`tests/Answers/screens/${story}.json`, 'utf8')) as Told;

const json = (value: unknown, status = 200) =>
  new Response(JSON.stringify(value), { status, headers: { 'Content-Type': 'application/json' } });

/** Everything a change could have named is there and is refused, so that a screen stays as it is. */
const REFUSED = { type: 'about:blank', title: 'Refused', status: 422, detail: 'Not in this test.' };
const MISSING = {
  type: 'about:blank',
  title: 'That did not work',
  status: 404,
  detail: 'There is no such thing in your garden.',
};

/** In the place of a server: gives a story's answers, and keeps what is asked and sent. */
export function serve(story: Told): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (asked: Request | string) => {
    const request = typeof asked === 'string' ? new Request(new URL(asked, 'http://localhost')) : asked;
    const { pathname, search } = new URL(request.url);
    if (request.method !== 'GET') {
      const text = await request.text();
      sent.push({ verb: request.method, path: pathname, body: text === '' ? null : (JSON.parse(text) as unknown) });
      return json(REFUSED, 422);
    }
    const answer = story.answers[decodeURIComponent(pathname + search)];
    sent.push({ verb: 'GET', path: pathname + search, body: null });
    return answer === undefined ? json(MISSING, 404) : json(answer);
  });
  return sent;
}

/** What jsdom has not: sizes, and what watches them. */
export function furnishWindow(day: string) {
  vi.stubGlobal('__BUILD__', 'test');
  vi.stubGlobal('matchMedia', (query: string) => ({
    // Nothing slides, so that nothing depends on how far it has.
    matches: query.includes('reduced-motion'),
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
  vi.stubGlobal('scrollTo', () => undefined);
  class Watches {
    observe = () => undefined;
    unobserve = () => undefined;
    disconnect = () => undefined;
  }
  vi.stubGlobal('ResizeObserver', Watches);
  vi.stubGlobal('IntersectionObserver', Watches);
  vi.stubGlobal('CSS', { escape: (text: string) => text });
  Element.prototype.scrollIntoView = () => undefined;
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, value: 40 });
  Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, value: 1200 });
  vi.useFakeTimers({ toFake: ['Date'], now: new Date(`${day}T12:00:00`) });
}
