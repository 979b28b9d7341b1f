// @vitest-environment jsdom
import { act, createElement, useLayoutEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { beforeEach, expect, it } from 'vitest';
import { Refusal } from '../api/client';
import { useDraft, type Draft } from './useDraft';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

let draft: Draft;
let saving: { value: number; done: () => void; fail: (error: unknown) => void }[];
const save = (value: number) => new Promise<void>((done, fail) => saving.push({ value, done, fail }));
const parse = (typed: string) =>
  /^\d+$/.test(typed) ? { ok: true as const, value: Number(typed) } : { ok: false as const, why: 'No number.' };

function Field({ value }: { value: number }) {
  const now = useDraft(value, String, parse, save);
  useLayoutEffect(() => {
    draft = now;
  });
  return null;
}

let render: (value: number) => Promise<void>;
beforeEach(async () => {
  saving = [];
  const root = createRoot(document.createElement('div'));
  render = (value) => act(async () => root.render(createElement(Field, { value })));
  await render(16);
});

const enter = (text: string) =>
  act(async () => {
    draft.type(text);
    void draft.commit();
  });

it('saves a second value while the first is still on its way', async () => {
  await enter('12');
  await render(12);
  await enter('10');
  expect(saving.map(({ value }) => value)).toEqual([12, 10]);
  expect(draft.why).toBeNull();
});

it('knows its own value when that arrives while the next is typed', async () => {
  await enter('12');
  await act(async () => draft.type('10'));
  await render(12);
  await act(async () => void draft.commit());
  expect(saving.map(({ value }) => value)).toEqual([12, 10]);
});

it('says so where somebody else changed the value meanwhile, and then does as told', async () => {
  await act(async () => draft.type('12'));
  await render(9);
  await act(async () => void draft.commit());
  expect(draft.why).toContain('changed to 9');
  expect(saving).toHaveLength(0);
  await act(async () => void draft.commit());
  expect(saving.map(({ value }) => value)).toEqual([12]);
});

it('brings back what was refused with the reason, but not over what is typed since', async () => {
  const refusal = new Refusal({ type: 'about:blank', title: '', status: 422, detail: 'Too many.' });
  await enter('99');
  await act(async () => saving[0]?.fail(refusal));
  expect(draft).toMatchObject({ text: '99', why: 'Too many.' });
  await enter('98');
  await act(async () => draft.type('5'));
  await act(async () => saving[1]?.fail(refusal));
  expect(draft.text).toBe('5');
});

it('keeps what cannot be read in the field', async () => {
  await enter('many');
  expect(draft).toMatchObject({ text: 'many', why: 'No number.' });
});

it('survives a reload under the name of its field until it is saved or dropped', async () => {
  localStorage.clear();
  let named: Draft | undefined;
  const Named = ({ value }: { value: number }) => {
    const now = useDraft(value, String, parse, save, 'lamp hours');
    useLayoutEffect(() => {
      named = now;
    });
    return null;
  };
  const open = (value: number) =>
    act(async () => createRoot(document.createElement('div')).render(createElement(Named, { value })));
  await open(16);
  await act(async () => named?.type('1'));
  await act(async () => named?.type('12'));
  await open(16);
  expect(named).toMatchObject({ text: '12', changed: true });
  expect(named?.why).toContain('did not save it');
  await open(9);
  await act(async () => void named?.commit());
  expect(named?.why).toContain('changed to 9');
  await act(async () => named?.reset());
  await open(9);
  expect(named).toMatchObject({ text: '9', why: null });
  await act(async () => named?.type('8'));
  await act(async () => void named?.commit());
  await open(8);
  expect(named?.text).toBe('8');
});
