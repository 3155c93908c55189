import type { FabricSpec } from '../records/index.ts';
import { toTable } from '../words/index.ts';
import { listGarmentWords } from './garments.ts';

/** Shrinkage in the first wash, per cent of the length and of the width. Source: docs/figures in the design, “Needs of a project”. */
interface Shrinkage {
  readonly lengthPercent: number;
  readonly widthPercent: number;
}

const of = (lengthPercent: number, widthPercent: number): Shrinkage => ({ lengthPercent, widthPercent });
const NONE = of(0, 0);

/** By class of cloth, where that tells more than the fibre. */
const BY_CLOTH = toTable<Shrinkage>({
  flannel: of(5, 4),
  denim10: of(4, 2),
  denim14: of(4, 2),
  canvas: of(4, 2),
  waxed: NONE,
  vinyl: NONE,
  interfacing: NONE,
  batting: of(4, 4),
});
const BY_FIBRE = toTable<Shrinkage>({
  cotton: of(4, 2),
  linen: of(6, 4),
  viscose: of(6, 4),
  wool: of(3, 2),
  polyester: of(1, 1),
  nylon: of(1, 1),
  coated: NONE,
});
/** Cotton knit; a cloth whose fibre is called knit is one. */
const KNIT = of(6, 4);
/** Cloth that nobody knows more of shrinks as woven cotton does. */
const USUAL = of(4, 2);
const KNITS: ReadonlySet<string> = new Set(['jersey', 'ponte', 'sweatshirting']);

export function getShrinkage(fabric: Pick<FabricSpec, 'fibre' | 'cloth'>): Shrinkage {
  if (KNITS.has(fabric.cloth) && fabric.fibre !== 'polyester') return KNIT;
  return BY_CLOTH[fabric.cloth] ?? BY_FIBRE[fabric.fibre] ?? (fabric.fibre === 'knit' ? KNIT : USUAL);
}

/** One-way prints and nap take so much more where only a table is known. Source: as above. */
export const ONE_WAY_SHARE = 0.15;
/** Cut off at each end to have it straight, mm. Source: as above. */
export const STRAIGHTEN_MM = 50;
/** Of odd scraps so much can be cut into squares and strips; the rest is in their edges. An estimate of ours. */
export const USUAL_SCRAP_SHARE = 0.5;
/** Along a selvage that is not used, mm: an estimate; most are 5 to 12 mm wide. */
export const SELVAGE_MM = 10;

/**
 * What one of a garment takes of cloth 140 cm wide, mm, in a middling size, where nothing better is known. Estimates of ours
 * from the measures of such garments; the sewist's own figure replaces them.
 */
const GARMENT_MM = toTable<number>({
  apron: 1100,
  bag: 700,
  blouse: 1700,
  blanket: 1500,
  cap: 400,
  coat: 3200,
  curtain: 2700,
  cushion: 600,
  dress: 3000,
  gown: 4500,
  hat: 500,
  hoodie: 2100,
  jacket: 2300,
  leggings: 1200,
  overalls: 3000,
  pyjamas: 3200,
  quilt: 3500,
  shirt: 2200,
  shorts: 1300,
  skirt: 1600,
  smock: 2400,
  tee: 1500,
  top: 1500,
  towel: 800,
  trousers: 2400,
  vest: 1200,
  waistcoat: 1200,
});
export const GARMENT_WIDTH_MM = 1400;
/** A guess by garment may be off by so much either way: one standard deviation, a share of it. */
export const GUESS_SIGMA = 0.2;
/** What the other cloths of a garment take, as a share of its main cloth. Estimates of ours. */
const PART_SHARE = toTable<number>({
  main: 1,
  contrast: 0.3,
  lining: 0.85,
  interfacing: 0.25,
  batting: 1,
  backing: 1.1,
});

/** What a table says of the first word of a name that it knows, one of them or several: `Four crew smocks` is a smock. */
export function findForGarment<T>(table: Readonly<Record<string, T>>, name: string): T | null {
  const word = listGarmentWords(name).find((one) => one in table);
  return word === undefined ? null : table[word]!;
}

/** A guess by garment and part, mm of cloth 140 cm wide; null where the garment is not known. */
export function guessGarment(garment: string, part: string): number | null {
  const known = findForGarment(GARMENT_MM, garment);
  return known === null ? null : known * (PART_SHARE[part.toLowerCase()] ?? 1);
}

/** What takes the same whatever size one wears. */
const UNSIZED: ReadonlySet<string> = new Set(['apron', 'bag', 'blanket', 'curtain', 'cushion', 'quilt', 'towel']);
const LETTERS = toTable<number>({ xxs: 0.88, xs: 0.92, s: 0.96, m: 1, l: 1.05, xl: 1.1, xxl: 1.16, xxxl: 1.22 });
/** A step of one in a numbered size takes so much more; the middle of the sizes that are counted from 30 on, and of those from 0 on. */
const PER_SIZE = 0.012;
const MIDDLE = { from30: 40, from0: 12 };
/** Sizes from here on are a child's height, cm; what it takes goes with that, between by its length and by its surface. */
const HEIGHT = { fromCm: 62, toCm: 188, grownCm: 170, power: 1.5 };

/**
 * How much more or less a garment takes in a size than in a middling one: by letters, by a number, or by a child's height in cm. 1
 * where the size says nothing, or does not matter. Estimates of ours.
 */
export function getSizeFactor(garment: string, size: string): number {
  const word = size.trim().toLowerCase();
  if (listGarmentWords(garment).some((one) => UNSIZED.has(one))) return 1;
  const letters = LETTERS[word.replace(/^(\d)x(?=[sl]$)/, (_, n: string) => 'x'.repeat(Math.min(3, Number(n))))];
  if (letters !== undefined) return letters;
  if (!/^\d+([.,]\d+)?$/.test(word)) return 1;
  const number = Number(word.replace(',', '.'));
  if (number >= HEIGHT.fromCm && number <= HEIGHT.toCm) return (number / HEIGHT.grownCm) ** HEIGHT.power;
  if (number > HEIGHT.toCm) return 1;
  const factor = 1 + PER_SIZE * (number - (number >= 30 ? MIDDLE.from30 : MIDDLE.from0));
  return Math.max(0.8, factor);
}
