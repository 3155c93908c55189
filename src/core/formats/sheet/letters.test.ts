import { readFileSync } from 'node:fs';
import { getDocument, OPS, Util } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { hasAllLetters, layRuns, type Script } from './letters.ts';
import { toPdf } from './pdf.ts';
import { toSvg } from './sheet.ts';
import { findLength, measureText } from './text.ts';

const show = (text: string) => layRuns(text).map(({ script, text: part }) => `${script}:${part}`);

const ONE_POINT = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYGD4DwABBAEAfcS1GgAAAABJRU5ErkJggg==';

const pt = (mm: number) => (mm * 72) / 25.4;

const load = async (script: Script) => {
  const family = { hebrew: 'noto-sans-hebrew', arabic: 'cairo' }[script as string] ?? 'noto-sans';
  const path = `node_modules/@fontsource/${family}/files/${family}-${script}-400-normal.woff`;
  return new Uint8Array(readFileSync(path));
};

describe('letters on paper', () => {
  it('stand in runs of one script each, in the order that they are written', () => {
    expect(show('Linen')).toEqual(['latin:Linen']);
    expect(show('Łódź')).toEqual(['latin-ext:Ł', 'latin:ód', 'latin-ext:ź']);
    expect(show('Лён 3.4 m')).toEqual(['cyrillic:Лён', 'latin: 3.4 m']);
    expect(show('αβ裁縫')).toEqual(['greek:αβ', 'latin:??']);
    expect(show('Lo\u0301dz\u0301')).toEqual(['latin:Lód', 'latin-ext:ź']);
    expect(show('a😀b')).toEqual(['latin:a?b']);
  });

  it('that are written to the left come last first, and numbers and brackets in them stay as they are read', () => {
    // A name by itself: its end is at the left. The font turns its letters.
    expect(show('שמלה 12')).toEqual(['latin:12 ', 'hebrew:שמלה']);
    expect(show('שמלה (א)')).toEqual(['latin:(', 'hebrew:א', 'latin:) ', 'hebrew:שמלה']);
    // In a sentence it stands by itself: what follows is not drawn into it.
    expect(show('in \u2068שמלה\u2069, 3')).toEqual(['latin:in ', 'hebrew:שמלה', 'latin:, 3']);
    expect(show('قماش أزرق')).toEqual(['arabic:أزرق', 'latin: ', 'arabic:قماش']);
  });

  it('are in the file, and read from it as they were written, by a reader that others wrote', async () => {
    const names = ['Zażółć gęślą', 'Лён синий', 'Λινό', 'Vải lụa', 'שמלה', 'أزرق', 'Plain', '\u202eover\u202c'];
    const marks = names.map(
      (text, i) => ({ type: 'text', x: 20, y: 20 + 10 * i, text, sizeMm: 5, anchor: 'start' }) as const,
    );
    const sheet = { name: 'x', widthMm: 100, heightMm: 100, marks };
    const bytes = await toPdf([sheet], 'Names', { load });
    const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
    const { items } = await (await file.getPage(1)).getTextContent();
    const said = items.map((item) => ('str' in item ? item.str : '')).join('');
    for (const name of names)
      expect(said.replaceAll(/[\s\p{Cc}]+/gu, '')).toContain(name.replaceAll(/[ \u202c\u202e]/gu, ''));
    await file.destroy();
  });

  it('that no file has are painted, as large as they were laid out, along the line and about its base', async () => {
    expect([hasAllLetters('Łódź'), hasAllLetters('裁縫'), hasAllLetters('a😀')]).toEqual([true, false, false]);
    // Han letters are as wide as they are high: two of 5 mm are 10 mm.
    expect(measureText('裁縫', 5)).toBeCloseTo(10);
    // A picture of one grey point; asked for 5 mm, it is 20 mm wide, 4 above its base and 1 below: half of that goes in.
    const png = Uint8Array.from(atob(ONE_POINT), (letter) => letter.codePointAt(0)!);
    const paint = async () => ({ png, widthMm: 20, aboveMm: 4, belowMm: 1 });
    const base = { type: 'text', y: 50, text: '裁縫', sizeMm: 5 } as const;
    const marks = [
      { ...base, x: 20, anchor: 'start' },
      { ...base, x: 60, anchor: 'middle' },
      { ...base, x: 80, anchor: 'end', turnDeg: 90 },
    ] as const;
    const sheet = { name: 'x', widthMm: 100, heightMm: 100, marks };
    const bytes = await toPdf([sheet], 'Names', { load, paint });
    const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
    const page = await file.getPage(1);
    const { fnArray, argsArray } = await page.getOperatorList();
    // Each picture: moved, turned, made as large, by matrices one after the other.
    const found: number[][] = [];
    let matrix = [1, 0, 0, 1, 0, 0];
    for (const [i, fn] of fnArray.entries()) {
      if (fn === OPS.save) matrix = [1, 0, 0, 1, 0, 0];
      if (fn === OPS.transform) matrix = Util.transform(matrix, argsArray[i] as number[]);
      if (fn === OPS.paintImageXObject) found.push(matrix.map((value) => (value * 25.4) / 72));
    }
    const expected = [
      // 10 mm wide, 2.5 high; its lower edge 0.5 mm below the base line, which is 50 mm from below.
      [10, 0, 0, 2.5, 20, 49.5],
      [10, 0, 0, 2.5, 55, 49.5],
      // Turned by a quarter to the right, it runs down: from 10 mm above its point, its lower edge to the left.
      [0, -10, 2.5, 0, 79.5, 60],
    ];
    for (const [i, one] of expected.entries())
      for (const [j, value] of one.entries()) expect(found[i]![j], `${i} ${j}`).toBeCloseTo(value, 3);
    const { items } = await page.getTextContent();
    expect(items).toEqual([]);
    await file.destroy();
  });

  it('take the width that was counted with, though those that a machine has are wider', async () => {
    // "Mm" is 833 + 833 thousandths of its size, by the widths that the fonts tell.
    expect(findLength('Mm', 10)).toBeCloseTo(16.66);
    expect(findLength('Żółw', 10)).toBeNull();
    const marks = ['Brick diamond drill', 'Лён синий', 'Żmm'].map(
      (text, i) => ({ type: 'text', x: 20, y: 20 + 10 * i, text, sizeMm: 5, anchor: 'start' }) as const,
    );
    const sheet = { name: 'x', widthMm: 100, heightMm: 100, marks };
    const drawn = toSvg(sheet);
    expect(drawn).toContain(`textLength="${Math.round(measureText('Brick diamond drill', 5) * 100) / 100}"`);
    expect(drawn.match(/textLength/g)).toHaveLength(1);
    const file = await getDocument({ data: await toPdf([sheet], 'Names', { load }), verbosity: 0 }).promise;
    const { items } = await (await file.getPage(1)).getTextContent();
    for (const [line, { text, sizeMm }] of marks.entries()) {
      const pieces = items.filter((item) => 'str' in item && Math.abs(item.transform[5] - pt(80 - 10 * line)) < 1);
      const widePt = pieces.reduce((sum, item) => sum + ('width' in item ? item.width : 0), 0);
      expect(widePt).toBeGreaterThan(0);
      expect(widePt).toBeLessThanOrEqual(pt(measureText(text, sizeMm)) + 0.1);
    }
    await file.destroy();
  });
});
