import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { parseLine } from '../../core/catalog/index.ts';
import { GERMAN } from '../../core/german/index.ts';
import { readHeap } from '../../core/heaps/index.ts';
import { loadPage } from '../features/guide/pages.ts';
import { speak } from '../language/choose.ts';
import { findGuide, GUIDE } from './guide.ts';

const FOLDER = 'docs/guide';
const SLUGS = GUIDE().map(({ slug }) => slug);

/** All that stands in the interface's own files. */
function readInterface(folder = 'src/ui'): string {
  return readdirSync(folder, { withFileTypes: true })
    .map((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return readInterface(path);
      return /\.tsx?$/u.test(entry.name) && !entry.name.includes('.test.') ? readFileSync(path, 'utf8') : '';
    })
    .join('\n');
}

/** All that German says, to look names up in. */
const readGerman = () => readFileSync('src/ui/language/de.po', 'utf8').replaceAll(/^msgid .*$/gmu, '');

/** What a single key does stands with it, by the letter; digits only ever lead to the screens. */
const SOURCE = readInterface();
const isKey = (name: string) => /^[A-Z]$/u.test(name) && new RegExp(`['"]${name.toLowerCase()}['"]`, 'u').test(SOURCE);

/** Names of a page, in bold, that stand nowhere in the interface. */
function listUnknown(text: string, words: string): string[] {
  const named = [...text.matchAll(/\*\*([^*]+)\*\*/gu)].map(([, name]) => name!);
  const isThere = (name: string) =>
    name.length === 1
      ? isKey(name)
      : new RegExp(`[>'"\`{\\s]${name.replaceAll(/[?.]/gu, '\\$&')}(?![a-z])`, 'u').test(words);
  return named.filter((name) => !isThere(name));
}

describe.each([
  ['en', FOLDER, readInterface],
  ['de', join(FOLDER, 'de'), readGerman],
] as const)('the guide, %s', (language, folder, readWords) => {
  beforeAll(async () => speak(language));
  afterAll(async () => speak('en'));

  it('has a page for each task, and a task for each page', () => {
    expect(
      readdirSync(folder)
        .filter((one) => one.endsWith('.md'))
        .toSorted(),
    ).toEqual(
      GUIDE()
        .map(({ slug }) => `${slug}.md`)
        .toSorted(),
    );
  });

  it.each(SLUGS)('%s: title, picture, steps', async (slug) => {
    const page = await loadPage(slug);
    expect(page).toMatchObject({ title: GUIDE().find((one) => one.slug === slug)!.task });
    expect(page!.html).toContain('<ol>');
    // Its screens speak as the page does.
    expect(page!.picture).toContain(language === 'en' ? '/docs/screenshots/' : `${folder}/pictures/`);
    expect(page!.alt.length).toBeGreaterThan(3);
  });

  it('types lines as they are read', () => {
    const readExample = (slug: string) => /`([^`]+)`/u.exec(readFileSync(join(folder, `${slug}.md`), 'utf8'))![1]!;
    const spelling = language === 'en' ? undefined : GERMAN.line;
    expect(
      parseLine(readExample('one-line'), { kind: 'fabric', units: 'metric', ...(spelling && { spelling }) }).sketch,
    ).toMatchObject({
      kind: 'fabric',
      lengthMm: 3400,
      widthMm: 1400,
      grammageGsm: 185,
    });
    expect(readHeap(readExample('heaps'), 'metric', language === 'en' ? undefined : GERMAN.heap)).toMatchObject({
      by: 'pile',
      value: 620,
      pieces: 40,
    });
  });

  it('names buttons and screens as they are called', () => {
    const words = readWords();
    const unknown = SLUGS.flatMap((slug) =>
      listUnknown(readFileSync(join(folder, `${slug}.md`), 'utf8'), words).map((name) => `${slug}: ${name}`),
    );
    expect(unknown).toEqual([]);
  });
});

it('the guide offers the page of the screen that one is on', () => {
  expect(findGuide('/moves').slug).toBe('moves');
  expect(findGuide('/year/moving').slug).toBe('moving');
  expect(findGuide('/year/through').slug).toBe('year');
  expect(findGuide('/nowhere').slug).toBe('set-out');
});
