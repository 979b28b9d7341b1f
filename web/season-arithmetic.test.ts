import { ESLint } from 'eslint';
import { expect, it } from 'vitest';

/** The linter reads the types of the whole front end first, on a busy machine for minutes. */
const LATE = 300_000;

const RULE = 'jolly/season-arithmetic';

/** Lines of a made-up module in a place where screens are, that the rule finds fault with. */
async function found(code: string, file = 'web/src/screens/pots/Shelf.tsx'): Promise<number[]> {
  const linter = new ESLint({ ruleFilter: ({ ruleId }) => ruleId === RULE });
  const [result] = await linter.lintText(code, { filePath: file });
  return (result?.messages ?? []).map(({ line }) => line);
}

const CODE = `import type { Purchase } from '../../api/types';
export const each = (one: Purchase) => one.paid / one.packs;
export const twice = ({ paid: money }: Purchase, n: number) => n * money;
export const percent = (one: Purchase) => one.paid * 100;
export const own = (a: number, b: number) => a + b;
export const words = (one: Purchase) => one.name + one.shop;
export const inOrder = (all: Purchase[]) => all.sort((a, b) => a.paid - b.paid);
export const length = (all: Purchase[]) => all.length - 1;
`;

it(
  'finds sums of what the API sends, and no others',
  async () => {
    expect(await found(CODE)).toEqual([2, 3]);
  },
  LATE,
);

it(
  'lets pictures be laid out by what they show',
  async () => {
    expect(await found(CODE, 'web/src/screens/pots/Jar.tsx')).toEqual([]);
  },
  LATE,
);
