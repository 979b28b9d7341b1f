// @vitest-environment jsdom
import { act, createElement } from 'react';
import { createRoot } from 'react-dom/client';
import { expect, it } from 'vitest';
import { CountBox } from './CountBox';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

it('follows what becomes known, until somebody has given a number', async () => {
  const [place, saved] = [document.createElement('div'), [] as number[]];
  const root = createRoot(place);
  const known = (value: number, most: number) =>
    act(async () =>
      root.render(
        createElement(CountBox, {
          name: 'Plant out',
          value,
          most,
          looks: false,
          verb: 'out',
          save: (n: number) => void saved.push(n),
        }),
      ),
    );
  const press = (action: string) => act(async () => place.querySelector<HTMLElement>(`[data-action="${action}"]`)?.click());

  await known(6, 100_000);
  await known(7, 7);
  await press('count');
  expect(saved).toEqual([7]);

  await press('more');
  await known(5, 5);
  await press('count');
  expect(saved).toEqual([7]);
  expect(place.querySelector('[role="alert"]')?.textContent).toContain('There are 5');
});
