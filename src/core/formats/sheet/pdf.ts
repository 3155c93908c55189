import { degrees, PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { hasAllLetters, layRuns, UNSEEN, type Script } from './letters.ts';
import { INK, type Mark, type Sheet } from './sheet.ts';
import { measureText } from './text.ts';

const PT_PER_MM = 72 / 25.4;

function toColour(hex: string) {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}

/** Reads a file of the font that has the letters of a script. */
export type LoadLetters = (script: Script) => Promise<Uint8Array>;

/** A line as a picture, and how it lies about its base line: mm, for the size that was asked for. */
export interface PaintedLine {
  readonly png: Uint8Array;
  readonly widthMm: number;
  readonly aboveMm: number;
  readonly belowMm: number;
}

/** Paints a line with letters that no file of the font has, by those of the machine; null where it cannot. */
export type PaintLine = (text: string, sizeMm: number) => Promise<PaintedLine | null>;

/** Where letters come from: their files, and what paints those that no file has. */
export interface LetterSource {
  readonly load: LoadLetters;
  readonly paint?: PaintLine;
}

/** Text in pieces that one font draws, from left to right. */
type Pieces = readonly { readonly font: PDFFont; readonly text: string }[];

/**
 * Says which font draws a text: the one that every reader has, which knows Western letters only and makes the file no larger;
 * or, where it does not know one of them, a font that comes along, with just the letters that are there.
 */
function createLetters(file: PDFDocument, plain: PDFFont, load: LoadLetters | null): (text: string) => Promise<Pieces> {
  const known = new Set(plain.getCharacterSet());
  const fonts = new Map<Script, Promise<PDFFont>>();
  const embed = async (script: Script, read: LoadLetters) => {
    const { default: fontkit } = await import('@pdf-lib/fontkit');
    file.registerFontkit(fontkit);
    return file.embedFont(await read(script), { subset: true });
  };
  return async (text) => {
    const letters = [...text].filter((letter) => !UNSEEN.test(letter));
    const asKnown = letters.map((letter) => (known.has(letter.codePointAt(0)!) ? letter : '?')).join('');
    if (!load || asKnown === letters.join('')) return [{ font: plain, text: asKnown }];
    return Promise.all(
      layRuns(text).map(async ({ script, text: part }) => {
        const font = fonts.get(script) ?? embed(script, load);
        fonts.set(script, font);
        return { font: await font, text: part };
      }),
    );
  };
}

function drawPath(page: PDFPage, mark: Extract<Mark, { type: 'path' }>): void {
  const d = `M${mark.points.map(([x, y]) => `${x * PT_PER_MM} ${y * PT_PER_MM}`).join('L')}${mark.isClosed ? 'Z' : ''}`;
  page.drawSvgPath(d, {
    x: 0,
    y: page.getHeight(),
    // A border without width would still be drawn as a hair.
    ...(mark.strokeMm > 0 && {
      borderColor: toColour(mark.stroke ?? INK),
      borderWidth: mark.strokeMm * PT_PER_MM,
    }),
    ...(mark.fill && { color: toColour(mark.fill) }),
    ...(mark.dashMm && { borderDashArray: [mark.dashMm * PT_PER_MM] }),
  });
}

type TextMark = Extract<Mark, { type: 'text' }>;

/** A point of a line that is turned about its start: so far along it, so far above its base. */
function findSpot(page: PDFPage, mark: TextMark, along: number, above: number) {
  const turn = (-(mark.turnDeg ?? 0) * Math.PI) / 180;
  return {
    x: mark.x * PT_PER_MM + along * Math.cos(turn) - above * Math.sin(turn),
    y: page.getHeight() - mark.y * PT_PER_MM + along * Math.sin(turn) + above * Math.cos(turn),
    rotate: degrees(-(mark.turnDeg ?? 0)),
  };
}

const SHARES = { start: 0, middle: 0.5, end: 1 } as const;

function drawPieces(page: PDFPage, mark: TextMark, pieces: Pieces): void {
  const measure = (size: number) => pieces.map(({ font, text }) => font.widthOfTextAtSize(text, size));
  const usual = mark.sizeMm * PT_PER_MM;
  // Letters that come along may be wider than those that it was laid out for.
  const wide = measure(usual).reduce((sum, width) => sum + width, 0);
  const size = usual * Math.min(1, (measureText(mark.text, mark.sizeMm) * PT_PER_MM) / (wide || 1));
  const widths = measure(size);
  let along = -SHARES[mark.anchor] * widths.reduce((sum, width) => sum + width, 0);
  for (const [i, { font, text }] of pieces.entries()) {
    page.drawText(text, { ...findSpot(page, mark, along, 0), size, font, color: toColour(INK) });
    along += widths[i]!;
  }
}

async function drawPainted(file: PDFDocument, page: PDFPage, mark: TextMark, line: PaintedLine): Promise<void> {
  const laidMm = measureText(mark.text, mark.sizeMm);
  const scale = PT_PER_MM * Math.min(1, laidMm / (line.widthMm || 1));
  const width = line.widthMm * scale;
  page.drawImage(await file.embedPng(line.png), {
    ...findSpot(page, mark, -SHARES[mark.anchor] * width, -line.belowMm * scale),
    width,
    height: (line.aboveMm + line.belowMm) * scale,
  });
}

/**
 * Sheets as the pages of one PDF file, each to size. Letters that no file has are painted where there is something to paint
 * them; without `letters`, those that are not Western become question marks.
 */
export async function toPdf(
  sheets: readonly Sheet[],
  title: string,
  letters: LetterSource | null = null,
): Promise<Uint8Array> {
  const file = await PDFDocument.create();
  file.setTitle(title);
  const findLetters = createLetters(file, await file.embedFont(StandardFonts.Helvetica), letters?.load ?? null);
  for (const sheet of sheets) {
    const page = file.addPage([sheet.widthMm * PT_PER_MM, sheet.heightMm * PT_PER_MM]);
    for (const mark of sheet.marks) {
      if (mark.type === 'path') {
        drawPath(page, mark);
        continue;
      }
      const painted = hasAllLetters(mark.text) ? null : await letters?.paint?.(mark.text, mark.sizeMm);
      if (painted) await drawPainted(file, page, mark, painted);
      else drawPieces(page, mark, await findLetters(mark.text));
    }
  }
  return file.save();
}
