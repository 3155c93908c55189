import { XMLParser, XMLValidator } from 'fast-xml-parser';
import ical from 'node-ical';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { computePlaceContents } from '../labels/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { layLabels, STOCKS, type LabelFace } from './label/index.ts';
import { toCalendar } from './projects/index.ts';
import { toPdf } from './sheet/pdf.ts';
import { toSvg } from './sheet/index.ts';

/** What is written is read by parsers that others wrote, not by our own. */
describe('parsers of others', () => {
  const { household } = createSampleHousehold(1, 120);
  const tree = createPlaceTree(household.places);
  const contents = computePlaceContents(household, tree);
  const faces = tree.leaves.slice(0, 12).map(({ id, name }, i): LabelFace => ({
    shape: 'shelf',
    title: `${name} & <more>`,
    lines: ['Bänder “schmal”', 'Regał 裁縫'],
    swatches: contents.get(id)!.swatches,
    code: `GV4 AAA ${String(i).padStart(3, '0')}`,
    foot: 'Where it is',
  }));
  const stock = STOCKS.find(({ id }) => id === 'a4-8')!;
  const sheets = layLabels(faces, stock);

  it('read the PDF: a page for each sheet, of its size, with its words', async () => {
    const file = await getDocument({ data: await toPdf(sheets, 'Labels'), useSystemFonts: true, verbosity: 0 }).promise;
    expect(file.numPages).toBe(sheets.length);
    for (let n = 1; n <= file.numPages; n += 1) {
      const page = await file.getPage(n);
      const [, , width, height] = page.view as [number, number, number, number];
      // A point is a 72nd of an inch.
      expect((width * 25.4) / 72).toBeCloseTo(sheets[n - 1]!.widthMm, 1);
      expect((height * 25.4) / 72).toBeCloseTo(sheets[n - 1]!.heightMm, 1);
      const { items } = await page.getTextContent();
      const words = items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replaceAll(/\s+/gu, ' ');
      expect(words).toContain(`${tree.leaves[(n - 1) * 8]!.name} & <more>`);
    }
    await file.destroy();
  });

  it('read the SVG: well-formed, in mm, as large as the sheet', () => {
    for (const sheet of sheets) {
      const text = toSvg(sheet);
      expect(XMLValidator.validate(text)).toBe(true);
      const { svg } = new XMLParser({ ignoreAttributes: false }).parse(text) as { svg: Record<string, string> };
      expect(svg['@_width']).toBe(`${sheet.widthMm}mm`);
      expect(svg['@_height']).toBe(`${sheet.heightMm}mm`);
      expect(svg['@_viewBox']).toBe(`0 0 ${sheet.widthMm} ${sheet.heightMm}`);
    }
  });

  it('read the calendar: each project with its day and its words', () => {
    const projects = [...createSampleHousehold(1).household.projects.values()].filter(({ due }) => due !== undefined);
    const made = toCalendar(projects, ({ forWhom }) => `for ${forWhom ?? 'nobody'}; by then, really`);
    if (!made.ok) throw new Error(made.fault);
    const events = Object.values(ical.sync.parseICS(made.value)).flatMap((one) => (one.type === 'VEVENT' ? [one] : []));
    expect(events).toHaveLength(projects.length);
    for (const project of projects) {
      const event = events.find(({ uid }) => uid === `${project.id}@yardmist`)!;
      expect(event.summary).toContain(project.name);
      expect(event.description).toBe(`for ${project.forWhom ?? 'nobody'}; by then, really`);
      const [year, month, day] = project.due!.split('-').map(Number);
      expect([event.start.getFullYear(), event.start.getMonth() + 1, event.start.getDate()]).toEqual([
        year,
        month,
        day,
      ]);
    }
  });
});
