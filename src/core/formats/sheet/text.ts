/** Advance widths of Helvetica, thousandths of the size, after its published metrics; what is not here is as wide as most. */
const WIDTHS: readonly [string, number][] = [
  ["ijl'|", 222],
  [' .,:;!/tfI[]\\·', 278],
  ['r()-`"*', 340],
  ['cksvxyzJ', 500],
  ['FTZ+=<>~', 611],
  ['ABEKPSVXY&', 667],
  ['CDHNRUw', 722],
  ['GOQ', 778],
  ['mM', 833],
  ['W—…%@', 1000],
];
const USUAL = 556;
/** Han, kana, hangul and pictures are as wide as they are high (East Asian Width: W and F). */
const SQUARE =
  /[\u1100-\u115f\u2e80-\u9fff\uac00-\ud7a3\uf900-\ufaff\uff01-\uff60\u{1f300}-\u{1faff}\u{20000}-\u{3fffd}]/u;
const widthOf = new Map(WIDTHS.flatMap(([letters, width]) => [...letters].map((letter) => [letter, width] as const)));

/** How wide a line of text is, mm, for a letter size in mm. */
export function measureText(text: string, sizeMm: number): number {
  let sum = 0;
  for (const letter of text) sum += widthOf.get(letter) ?? (SQUARE.test(letter) ? 1000 : USUAL);
  return (sum / 1000) * sizeMm;
}

/** Letters whose widths are known, or nearly. */
const WESTERN = /^[\u0020-\u00ff–—…‘’“”•€™]+$/u;

/** How a text is written so that it is as wide as it was laid out for, whatever letters a machine has. */
export const FONTS = "Helvetica, Arial, 'Liberation Sans', sans-serif";

/** How wide a line of text is to be drawn, mm; null where it is as wide as its letters are. */
export function findLength(text: string, sizeMm: number): number | null {
  return WESTERN.test(text) ? measureText(text, sizeMm) : null;
}

/** As much of a text as goes into a width, with an ellipsis where something had to go. */
export function shorten(text: string, widthMm: number, sizeMm: number): string {
  if (measureText(text, sizeMm) <= widthMm) return text;
  const letters = [...text];
  while (letters.length > 0 && measureText(`${letters.join('').trimEnd()}…`, sizeMm) > widthMm) letters.pop();
  return letters.length === 0 ? '' : `${letters.join('').trimEnd()}…`;
}

/** Lines of whole words within a width; null where a word is too wide, or where it takes more lines. */
export function wrap(text: string, widthMm: number, sizeMm: number, most: number): string[] | null {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && measureText(`${last} ${word}`, sizeMm) <= widthMm)
      lines[lines.length - 1] = `${last} ${word}`;
    else if (measureText(word, sizeMm) > widthMm) return null;
    else lines.push(word);
  }
  return lines.length > most ? null : lines;
}

export interface SetText {
  readonly lines: readonly string[];
  readonly sizeMm: number;
}

/** Of a line's height, what lies between base lines. */
export const LEADING = 1.18;

/**
 * The largest letters in which a text goes into a box, over as many lines as that takes; in the smallest it is shortened.
 * No lines where not even one of the smallest goes in.
 */
export function fitText(
  text: string,
  box: { readonly widthMm: number; readonly heightMm: number },
  sizes: { readonly leastMm: number; readonly mostMm: number },
): SetText {
  for (let sizeMm = Math.min(sizes.mostMm, box.heightMm / LEADING); sizeMm >= sizes.leastMm; sizeMm -= 0.2) {
    const lines = wrap(text, box.widthMm, sizeMm, Math.floor(box.heightMm / (sizeMm * LEADING) + 1e-6));
    if (lines) return { lines, sizeMm };
  }
  const sizeMm = sizes.leastMm;
  const most = Math.floor(box.heightMm / (sizeMm * LEADING) + 1e-6);
  if (most < 1) return { lines: [], sizeMm };
  return { lines: [shorten(text, box.widthMm, sizeMm)].filter(Boolean), sizeMm };
}
