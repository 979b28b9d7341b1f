import { readFileSync, readdirSync } from 'node:fs';
import { Linter } from 'eslint';
import tseslint from 'typescript-eslint';
import { expect, it } from 'vitest';
import { queryKeys } from './query-keys.js';

const linter = new Linter();
const config = [
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parser: tseslint.parser as Linter.Parser, parserOptions: { ecmaFeatures: { jsx: true } } },
    plugins: { jolly: { rules: { 'query-keys': queryKeys } } },
    rules: { 'jolly/query-keys': 'error' },
  },
] as Linter.Config[];
const found = (code: string, file = 'one.tsx') =>
  linter.verify(code, config, { filename: file, allowInlineConfig: false }).map(({ message }) => message);

const question = (key: string, how: string) =>
  `export const useOne = (season: number, setup: string) => useQuery({ queryKey: ${key}, queryFn: ${how} });`;

it('wants all that a request depends on in its key', () => {
  expect(found(question("['one', season, setup]", '() => ask(season, setup)'))).toEqual([]);
  expect(found(question("['one', season]", '() => ask(season, setup)'))).toHaveLength(1);
  expect(
    found('export const askOne = (season: number, crop: string) => asking(["one", season], () => ask(season, crop));'),
  ).toHaveLength(1);
  expect(
    found('export const useOne = (season: number, crop: string) => useOfRevision(["one", crop], 1, () => ask(season));'),
  ).toHaveLength(1);
});

it('looks behind a value for what it is made of', () => {
  const made = (key: string) =>
    `export function useOne(season: number, work: { id: number }) { const path = { season, work: work.id }; return asking(${key}, () => ask(path)); }`;
  expect(found(made("['one', season, work.id]"))).toEqual([]);
  expect(found(made("['one', season]"))).toHaveLength(1);
});

it('finds nothing amiss in the front end', () => {
  for (const name of readdirSync('web/src', { recursive: true, encoding: 'utf8' }))
    if (/(?<!\.test|\.d)\.tsx?$/.test(name)) expect(found(readFileSync(`web/src/${name}`, 'utf8'), name), name).toEqual([]);
});
