import { expect, it } from 'vitest';
import { at, put } from './document';

const season = {
  name: 'A',
  lights: [
    { id: 'led', hours: 16 },
    { id: 'tube', hours: 12 },
  ],
  methods: [{ id: 'm', stages: [{ days: 3 }, { days: 5 }] }],
  setups: [{ id: 's', overrides: { a: 'm' } }],
};

it('finds a value by the ids of its rows', () => {
  expect(at(season, ['lights', 'tube', 'hours'])).toBe(12);
  expect(at(season, ['methods', 'm', 'stages', 1, 'days'])).toBe(5);
  expect(at(season, ['lights', 'none', 'hours'])).toBeUndefined();
});

it('puts a value without touching what is not on its way', () => {
  const next = put(season, ['lights', 'tube', 'hours'], 10);
  expect(at(next, ['lights', 'tube', 'hours'])).toBe(10);
  expect(next.lights[0]).toBe(season.lights[0]);
  expect(next.methods).toBe(season.methods);
  expect(season.lights[1]?.hours).toBe(12);
});

it('takes rows out and puts new ones at the end', () => {
  expect(put(season, ['lights', 'led'], null).lights.map(({ id }) => id)).toEqual(['tube']);
  expect(put(season, ['lights', 'new'], { id: 'new', hours: 1 }).lights.map(({ id }) => id)).toEqual(['led', 'tube', 'new']);
  expect(at(put(season, ['setups', 's', 'overrides', 'b'], 'm'), ['setups', 's', 'overrides'])).toEqual({ a: 'm', b: 'm' });
});
