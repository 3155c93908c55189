import { degrees, PDFDocument, rgb, StandardFonts, type PDFFont } from 'pdf-lib';
import type { Mark, Sheet } from './sheet.ts';

const PT_PER_MM = 72 / 25.4;

function toColour(hex: string) {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}

/** The font that every reader has knows Western letters only; others become a question mark rather than a fault. */
function toKnown(font: PDFFont, text: string): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((letter) => (known.has(letter.codePointAt(0)!) ? letter : '?')).join('');
}

function drawPath(page: ReturnType<PDFDocument['addPage']>, mark: Extract<Mark, { type: 'path' }>): void {
  const d = `M${mark.points.map(([x, y]) => `${x * PT_PER_MM} ${y * PT_PER_MM}`).join('L')}${mark.isClosed ? 'Z' : ''}`;
  page.drawSvgPath(d, {
    x: 0,
    y: page.getHeight(),
    // A border without width would still be drawn as a hair.
    ...(mark.strokeMm > 0 && {
      borderColor: toColour(mark.stroke ?? '#22303c'),
      borderWidth: mark.strokeMm * PT_PER_MM,
    }),
    ...(mark.fill && { color: toColour(mark.fill) }),
    ...(mark.dashMm && { borderDashArray: [mark.dashMm * PT_PER_MM] }),
  });
}

/** Sheets as the pages of one PDF file, each to size. */
export async function toPdf(sheets: readonly Sheet[], title: string): Promise<Uint8Array> {
  const file = await PDFDocument.create();
  file.setTitle(title);
  const font = await file.embedFont(StandardFonts.Helvetica);
  for (const sheet of sheets) {
    const page = file.addPage([sheet.widthMm * PT_PER_MM, sheet.heightMm * PT_PER_MM]);
    for (const mark of sheet.marks) {
      if (mark.type === 'path') {
        drawPath(page, mark);
        continue;
      }
      const size = mark.sizeMm * PT_PER_MM;
      const text = toKnown(font, mark.text);
      const share = { start: 0, middle: 0.5, end: 1 }[mark.anchor];
      const back = share * font.widthOfTextAtSize(text, size);
      const turn = ((mark.turnDeg ?? 0) * Math.PI) / 180;
      page.drawText(text, {
        x: mark.x * PT_PER_MM - back * Math.cos(turn),
        y: page.getHeight() - mark.y * PT_PER_MM + back * Math.sin(turn),
        size,
        font,
        color: toColour('#22303c'),
        rotate: degrees(-(mark.turnDeg ?? 0)),
      });
    }
  }
  return file.save();
}
