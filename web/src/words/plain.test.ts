import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import ts from 'typescript';
import { expect, it } from 'vitest';
import avoided from './avoided.json';

// Every text a person reads on a screen, taken from the code, and held to plain words.

const ROOT = 'web/src';
/** Words in a sentence. */
const LONGEST = 24;
/** Years of school a paragraph may ask for (Kincaid and others, 1975, as the package computes it), from so many words on. */
const GRADE = 8;
const PARAGRAPH = 25;

interface Text {
  file: string;
  text: string;
}

const files = (folder: string, kind = /\.tsx?$/): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return files(path, kind);
    return kind.test(name) && !/test|generated/.test(name) ? [path] : [];
  });

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();
/** Blocks whose text is read as one. */
const BLOCKS = new Set([
  'p',
  'li',
  'h1',
  'h2',
  'h3',
  'label',
  'summary',
  'dt',
  'dd',
  'td',
  'th',
  'button',
  'small',
  'figcaption',
  'caption',
]);

/** Attributes that are read. */
const SHOWN = new Set(['label', 'after', 'before', 'title', 'placeholder', 'aria-label', 'verb']);

/** What a block says, with a value in place of each expression. */
function said(node: ts.Node): string {
  if (ts.isJsxText(node)) return node.text;
  if (ts.isJsxExpression(node)) {
    const inner = node.expression;
    if (inner && ts.isStringLiteral(inner)) return inner.text;
    return inner === undefined ? '' : ' 7 ';
  }
  return ts.isJsxElement(node) || ts.isJsxFragment(node) ? node.children.map(said).join('') : '';
}

/** Texts of a file: whole blocks, and strings that are sentences or attributes. */
function textsOf(file: string): Text[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: Text[] = [];
  const add = (text: string) => /[a-z]{2} [a-z]/i.test(text) && found.push({ file, text: tidy(text) });
  const visit = (node: ts.Node, inBlock: boolean): void => {
    if (ts.isImportDeclaration(node)) return;
    const isBlock = ts.isJsxElement(node) && BLOCKS.has(node.openingElement.tagName.getText());
    if (isBlock && !inBlock) add(said(node));
    if (ts.isJsxText(node) && !inBlock) add(node.text);
    // A unit or a label may be one word.
    if (ts.isJsxAttribute(node) && SHOWN.has(node.name.getText()) && node.initializer && ts.isStringLiteral(node.initializer))
      found.push({ file, text: node.initializer.text });
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node.text);
    if (ts.isTemplateExpression(node)) add(node.head.text + node.templateSpans.map(({ literal }) => `7${literal.text}`).join(''));
    ts.forEachChild(node, (child) => visit(child, inBlock || isBlock));
  };
  visit(source, false);
  return found;
}

/** Sentences the server says: strings of PHP that begin as one, without what is for programmers only. */
function phpTexts(file: string): Text[] {
  const code = readFileSync(file, 'utf8')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/^\s*\/\/.*$/gm, '')
    .replace(/(summary|description|'description' =>):? ?'(?:[^'\\]|\\.)*'/g, '');
  return [...code.matchAll(/'((?:[^'\\\n]|\\.)*)'|"((?:[^"\\\n]|\\.)*)"/g)].flatMap(([, single, double]) => {
    const text = tidy((single ?? double ?? '').replace(/\{?\$[\w>()[\]'-]+\}?|%[\d.]*[sdf]/g, '7').replace(/\\'/g, '’'));
    return /^[A-Z][a-z]*,? [a-z]+ [a-z]/.test(text) && !/[{}=|\\^]/.test(text) ? [{ file, text }] : [];
  });
}
const SERVER = ['core', 'app'].flatMap((folder) => files(folder, /\.php$/)).filter((file) => !file.startsWith('app/Docs'));

const texts = [...files(ROOT).flatMap(textsOf), ...SERVER.flatMap(phpTexts)];
const sentences = (text: string): string[] => text.split(/(?<=[.!?:;])\s+|▲|\n/).filter((one) => /[a-z]/i.test(one));
const wordsOf = (text: string): string[] => text.split(/\s+/).filter((word) => /[\p{L}\d]/u.test(word));
const exceptions = avoided.exceptions as { text: string; why: string }[];
const excepted = new Set(exceptions.map(({ text }) => text));
const told = (found: Text[]): string[] =>
  found.filter(({ text }) => !excepted.has(text)).map(({ file, text }) => `${file}: ${text}`);

it('finds the texts of the screens', () => {
  expect(texts.length).toBeGreaterThan(1200);
  expect(texts.some(({ text }) => text.includes('Cost per finished seedling'))).toBe(true);
});

it('says one thing in a sentence', () => {
  expect(told(texts.filter(({ text }) => sentences(text).some((one) => wordsOf(one).length > LONGEST)))).toEqual([]);
});

it('uses the gardener’s words', () => {
  const phrases = avoided.phrases.map((phrase) => new RegExp(phrase, 'i'));
  expect(told(texts.filter(({ text }) => phrases.some((phrase) => phrase.test(text))))).toEqual([]);
});

const grade = (text: string): number =>
  fleschKincaid({ sentence: sentences(text).length, word: wordsOf(text).length, syllable: syllable(text) });

it('can be read by somebody with eight years of school', () => {
  expect(grade('The considerable variability of germination necessitates additional precautionary sowings.')).toBeGreaterThan(
    GRADE,
  );
  const paragraphs = texts.filter(({ text }) => wordsOf(text).length >= PARAGRAPH);
  expect(paragraphs.length).toBeGreaterThan(15);
  expect(told(paragraphs.filter(({ text }) => grade(text) > GRADE))).toEqual([]);
});

it('keeps few exceptions, each with its reason, and none that is not needed', () => {
  expect(exceptions.length).toBeLessThanOrEqual(20);
  for (const { text, why } of exceptions) {
    expect(why.length).toBeGreaterThan(10);
    expect(
      texts.some((one) => one.text === text),
      text,
    ).toBe(true);
  }
});
