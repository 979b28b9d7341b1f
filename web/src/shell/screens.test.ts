// @vitest-environment jsdom
import { expect, it, vi } from 'vitest';
import { fetchAhead, screens } from './screens';

const names = Object.keys(screens) as (keyof typeof screens)[];

/** Stands in for the code of all screens: each says its name when it is fetched. */
function watched(fetched: string[], fails: string): void {
  for (const name of names)
    vi.spyOn(screens, name).mockImplementation(() => {
      fetched.push(name);
      return name === fails ? Promise.reject(new Error('gone')) : (Promise.resolve({}) as never);
    });
}

it('fetches all screens, each once, past one that does not come', async () => {
  const fetched: string[] = [];
  watched(fetched, names[2] ?? '');
  await fetchAhead(new AbortController().signal);
  expect(fetched).toEqual(names);
});

it('fetches no more once the page is left', async () => {
  const fetched: string[] = [];
  watched(fetched, '');
  const left = new AbortController();
  const done = fetchAhead(left.signal);
  await vi.waitFor(() => expect(fetched.length).toBeGreaterThan(0));
  left.abort();
  await done;
  expect(fetched.length).toBeLessThan(names.length);
});
