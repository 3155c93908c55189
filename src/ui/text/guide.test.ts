import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { loadPage } from '../features/guide/pages.ts';
import { findGuide, GUIDE } from './guide.ts';

const FOLDER = 'docs/guide';

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

describe('the guide', () => {
  it('has a page for each task, and a task for each page', () => {
    expect(readdirSync(FOLDER).toSorted()).toEqual(
      GUIDE()
        .map(({ slug }) => `${slug}.md`)
        .toSorted(),
    );
  });

  it.each(GUIDE().map((entry) => [entry.slug, entry] as const))('%s: title, picture, steps', async (slug, entry) => {
    const page = await loadPage(slug);
    expect(page).toMatchObject({ title: entry.task });
    expect(page!.html).toContain('<ol>');
    expect(page!.picture).toMatch(/\.png$/u);
    expect(page!.alt.length).toBeGreaterThan(3);
  });

  it('names buttons and screens as they are called', () => {
    const words = readInterface();
    const unknown = GUIDE().flatMap(({ slug }) => {
      const text = readFileSync(join(FOLDER, `${slug}.md`), 'utf8');
      const named = [...text.matchAll(/\*\*([^*]+)\*\*/gu)].map(([, name]) => name!);
      const isThere = (name: string) =>
        name.length === 1 || new RegExp(`[>'"\`{\\s]${name.replaceAll(/[?.]/gu, '\\$&')}(?![a-z])`, 'u').test(words);
      return named.filter((name) => !isThere(name)).map((name) => `${slug}: ${name}`);
    });
    expect(unknown).toEqual([]);
  });

  it('offers the page of the screen that one is on', () => {
    expect(findGuide('/moves').slug).toBe('moves');
    expect(findGuide('/year/moving').slug).toBe('moving');
    expect(findGuide('/year/through').slug).toBe('year');
    expect(findGuide('/nowhere').slug).toBe('set-out');
  });
});
