// @vitest-environment jsdom
import { act } from 'react';
import { beforeEach, expect, it, vi } from 'vitest';
import './device';
import { keys } from '../../web/src/season/queue';
import type { Entry } from '../../web/src/season/entry';
import { draw, settle } from './draw';
import { pressKey } from './hands';
import { furnishWindow, serve, told, type Sent } from './stand';

// What takes more than one press, drawn from the same answers as the screens.

const story = told('may');
let sent: Sent[];
beforeEach(() => {
  furnishWindow(story.day);
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  localStorage.clear();
  localStorage.setItem('jolly-penny-setup-1', story.setup);
  sent = serve(story);
});

const moves = () => sent.filter(({ verb, path }) => verb === 'PUT' && path.endsWith('/bar'));

it('moves a bar with Enter, and leaves it where it was with Escape', async () => {
  const { place, queries, close } = await draw('/seasons/1/calendar');
  const bar = place.querySelector('main rect[tabindex="0"]');
  if (bar === null) throw new Error('The calendar draws no bar that can be moved.');
  for (const [key, sends] of [
    ['Escape', 0],
    ['Enter', 1],
  ] as const) {
    await pressKey(bar, 'ArrowRight');
    await pressKey(bar, key);
    await settle(queries);
    expect(moves(), key).toHaveLength(sends);
  }
  expect(moves()[0]?.body).toMatchObject({ by: 1 });
  await close();
});

it('shows what the last change moved in the set-up that it moved, and in no other', async () => {
  const { place, queries, close } = await draw('/seasons/1/list');
  const isMoved = () => place.textContent?.includes('4.44');
  const lastIn = (setup: string) =>
    act(async () =>
      queries.setQueryData<Entry>(keys.season(1), (known) => {
        if (!known) throw new Error('The season is not known.');
        const moved = { per_finished: 0.11, difference: 0.22, keep: -3.33, cash_now: 4.44, kwh: 0 };
        return { ...known, last: { label: 'a lamp', setup, till: moved, crops: {} } };
      }),
    );
  await lastIn('another');
  await settle(queries, 8);
  expect(isMoved()).toBe(false);
  await lastIn(story.setup);
  await vi.waitFor(() => expect(isMoved()).toBe(true));
  await close();
});
