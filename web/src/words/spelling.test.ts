import { expect, test } from 'vitest';
import { spelled } from './spelling';

// Common practice, no source: American growers pot up, British ones pot on.
test('words and spelling follow the units of the garden', () => {
  expect(spelled('Potted on; the colour of mould', true)).toBe('Potted up; the color of mold');
  expect(spelled('Potted on; the colour of mould', false)).toBe('Potted on; the colour of mould');
});
