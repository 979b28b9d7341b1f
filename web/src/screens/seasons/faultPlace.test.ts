import { expect, it } from 'vitest';
import { faultPlace } from './faultPlace';

const text = JSON.stringify({ crops: [{ id: 'lantern', wanted: 0 }], lights: [{ id: 'l', name: 'Lamp', place: 'rom' }] });

it('says in words where a fault stands, and what stands there', () => {
  expect(faultPlace(text, '$.crops[0].wanted')).toEqual({ place: 'crops, lantern, wanted', value: '0' });
  expect(faultPlace(text, '$.lights[0].place')).toEqual({ place: 'lights, Lamp, place', value: '"rom"' });
  expect(faultPlace(text, '$.crops[0].lot')).toEqual({ place: 'crops, lantern, lot', value: null });
  expect(faultPlace('{"no', '$')).toEqual({ place: 'The file', value: null });
});
