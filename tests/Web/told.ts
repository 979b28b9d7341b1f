import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { expect } from 'vitest';

const FOLDER = 'tests/Answers/book/screens';

/** What a screen says and does is what the book says; JOLLY_ANSWERS=write (bin/answers) writes it anew. */
export function expectAsInBook(story: string, screen: string, lines: string[]) {
  const file = `${FOLDER}/${story}-${screen.replace('/', '-')}.txt`;
  const text = `${lines.join('\n')}\n`;
  if (process.env.JOLLY_ANSWERS === 'write') {
    mkdirSync(FOLDER, { recursive: true });
    writeFileSync(file, text);
  }
  const kept = readFileSync(file, 'utf8').split('\n');
  const said = text.split('\n');
  const [gone, added] = [kept.filter((line) => !said.includes(line)), said.filter((line) => !kept.includes(line))];
  const few = (sign: string, some: string[]) => some.slice(0, 20).map((line) => `${sign} ${line.slice(0, 200)}`);
  expect([...few('-', gone), ...few('+', added)], `${file}: write it anew with bin/answers if this is meant`).toEqual([]);
  expect(said.length, `${file}: the same lines, but not as often or in another order`).toBe(kept.length);
  expect(text === kept.join('\n'), `${file}: the same lines in another order`).toBe(true);
}
