import { expect, it, vi } from 'vitest';
import { lastStep } from './lastStep';

const step = (label: string) => ({ season: 1, label, undo: vi.fn() });

it('takes back what was bought before an older edit, and once only', () => {
  const bought = step('bought Copper Kettle');
  lastStep.did(bought);
  expect(lastStep.get()?.label).toBe('bought Copper Kettle');
  lastStep.undo();
  expect(bought.undo).toHaveBeenCalledOnce();
  // The next undo goes to the edits of the season.
  expect(lastStep.get()).toBeNull();
  lastStep.undo();
  expect(bought.undo).toHaveBeenCalledOnce();
});

it('leaves to undo what was edited after it, and tells whoever shows it', () => {
  const shown = vi.fn();
  const stop = lastStep.subscribe(shown);
  const bought = step('bought Ink Pot');
  lastStep.did(bought);
  lastStep.edited();
  expect(lastStep.get()).toBeNull();
  lastStep.undo();
  expect(bought.undo).not.toHaveBeenCalled();
  expect(shown).toHaveBeenCalledTimes(3);
  stop();
  lastStep.did(bought);
  expect(shown).toHaveBeenCalledTimes(3);
});
