import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { getTextLimit } from '../../core/records/limits.ts';

const SOURCES = readdirSync('src/ui', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tsx'))
  .map((file) => ({ file, text: readFileSync(join('src/ui', file), 'utf8') }));
/** What takes no letters. */
const NO_TEXT = /type="(checkbox|radio|file|range|color|date|number)"/;

describe('what can be typed', () => {
  it('has a limit everywhere', () => {
    const open = SOURCES.flatMap(({ file, text }) =>
      [...text.matchAll(/<(input|textarea|Input)\s([\s\S]*?)\/>/g)]
        .map(([, , attributes = '']) => attributes)
        .filter((attributes) => !NO_TEXT.test(attributes) && !/maxLength=|\{\.\.\.limits\}/.test(attributes))
        .map((attributes) => `${file}: ${attributes.slice(0, 60).replace(/\s+/g, ' ')}`),
    );
    expect(open).toEqual([]);
  });

  it('has the limit of the class of its record', () => {
    const named = SOURCES.flatMap(({ text }) => [
      ...text.matchAll(/'((?:items|lots|places|plans|settings|events)\.[a-zA-Z.]+)'|of="([a-zA-Z.]+)"/g),
    ]);
    const paths = [...new Set(named.map(([, one, other]) => one ?? other!))];
    expect(paths.length).toBeGreaterThan(15);
    for (const path of paths) expect(getTextLimit(path)).toBeGreaterThan(10);
    expect(getTextLimit('lots.reserved.forWhat')).toBe(120);
    expect(getTextLimit('items.notes')).toBe(2000);
    expect(() => getTextLimit('lots.count')).toThrow('no limit');
  });

  it('is sent by the one form, which sends nothing twice', () => {
    const forms = SOURCES.filter(({ text }) => text.includes('<form')).map(({ file }) => file);
    expect(forms).toEqual([join('components', 'Form.tsx')]);
  });

  it('says what it changed of a record against what it began from; only what is new or goes is saved whole', () => {
    const files = readdirSync('src/ui', { recursive: true, encoding: 'utf8' }).filter((file) => /\.tsx?$/.test(file));
    const whole = files.filter((file) =>
      /\bact\(\s*\(\w+\) =>\s*(\{[^}]*return )?createSave(Places|Item)\(/.test(
        readFileSync(join('src/ui', file), 'utf8'),
      ),
    );
    expect(whole.map((file) => basename(file)).toSorted()).toEqual([
      'GotList.tsx',
      'OnePage.tsx',
      'PieceFromFile.tsx',
      'PlanAside.tsx',
      'PoolTicket.tsx',
      'QuickLine.tsx',
      'UnitForm.tsx',
      'addScrap.ts',
    ]);
  });
});
