import type { CareFlag, Kind } from '../records/index.ts';
import type { Task } from '../tasks/index.ts';

/**
 * What is usual for a type of notion, tool or other thing, so that a form asks only what matters. Sizes are
 * of one packet or piece as it is kept. Source: docs/figures of the design; weights are estimates.
 */
export interface TypeFigures {
  /** As it is written; also the group's name. */
  readonly type: string;
  readonly kind: Kind;
  /** Words that mean it, in lower case; the type itself is one. */
  readonly words: readonly string[];
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  readonly massG: number;
  /** What the size that it is called by does: a zip is as long, a button as wide. */
  readonly sizeIs?: 'length' | 'diameter' | 'tapeWidth' | 'long';
  /** One single piece, where packets of them are kept. */
  readonly unitG?: number;
  /** Thickness of one turn on its reel. */
  readonly tapeMm?: number;
  readonly care?: readonly CareFlag[];
  readonly isSoft?: boolean;
  readonly hangHoleMm?: number;
  readonly watts?: number;
  /** Months after which an opened one is past its best. */
  readonly keepsMonths?: number;
  /** Sewing hours after which a needle is blunt. */
  readonly lastsHours?: number;
}

const notion = (type: string, words: readonly string[], rest: Partial<TypeFigures>): TypeFigures => ({
  kind: 'notion',
  type,
  words: [type, ...words],
  widthMm: 80,
  depthMm: 60,
  heightMm: 25,
  massG: 60,
  ...rest,
});
const tool = (type: string, words: readonly string[], rest: Partial<TypeFigures>): TypeFigures => ({
  ...notion(type, words, rest),
  kind: 'tool',
});
const other = (type: string, words: readonly string[], rest: Partial<TypeFigures>): TypeFigures => ({
  ...notion(type, words, rest),
  kind: 'other',
});

export const TYPE_FIGURES: readonly TypeFigures[] = [
  // Each zip lies 9 mm wide and 4 mm high, 10 mm longer than it opens.
  notion('zips', ['zip', 'zipper', 'zippers'], { widthMm: 9, depthMm: 4, heightMm: 210, massG: 9, sizeIs: 'length' }),
  notion('buttons', ['button'], {
    widthMm: 60,
    depthMm: 60,
    heightMm: 30,
    massG: 40,
    unitG: 1.2,
    sizeIs: 'diameter',
    care: ['smallPart'],
  }),
  notion('snaps', ['snap', 'press studs', 'poppers'], { unitG: 0.6, massG: 40, care: ['smallPart'] }),
  notion('hooks and eyes', ['hook-and-eye', 'hooks'], { unitG: 0.4, massG: 30, care: ['smallPart'] }),
  notion('eyelets', ['eyelet', 'grommets'], { unitG: 0.7, massG: 60, care: ['smallPart'] }),
  notion('beads', ['bead', 'sequins'], { unitG: 0.05, massG: 40, care: ['smallPart'] }),
  notion('buckles', ['buckle', 'sliders', 'd-rings'], { massG: 120, care: [] }),
  notion('ribbon', ['ribbons', 'grosgrain'], { massG: 30, tapeMm: 0.35, sizeIs: 'tapeWidth', care: ['thread'] }),
  notion('elastic', [], { massG: 40, tapeMm: 1.2, sizeIs: 'tapeWidth', care: ['thread'], keepsMonths: 90 }),
  notion('bias tape', ['bias binding', 'bias'], { massG: 30, tapeMm: 0.6, sizeIs: 'tapeWidth' }),
  notion('tape', ['twill tape', 'webbing', 'tapes'], { massG: 40, tapeMm: 0.6, sizeIs: 'tapeWidth' }),
  notion('lace', ['trim', 'piping'], { massG: 30, tapeMm: 0.8, sizeIs: 'tapeWidth' }),
  notion('boning', [], { massG: 40, tapeMm: 1.5, sizeIs: 'tapeWidth' }),
  notion('cord', ['string', 'drawcord'], { massG: 50, tapeMm: 4, sizeIs: 'tapeWidth', care: ['thread'] }),
  notion('machine needles', ['machine needle', 'needles'], {
    widthMm: 50,
    depthMm: 25,
    heightMm: 8,
    massG: 6,
    unitG: 0.5,
    care: ['sharp'],
    lastsHours: 8,
  }),
  notion('hand needles', ['hand needle'], {
    widthMm: 60,
    depthMm: 30,
    heightMm: 5,
    massG: 6,
    unitG: 0.2,
    care: ['sharp'],
  }),
  notion('pins', ['pin', 'safety pins'], { widthMm: 70, depthMm: 70, massG: 60, unitG: 0.15, care: ['sharp'] }),
  notion('glue', ['fabric glue', 'seam sealer', 'adhesive', 'spray', 'liquids'], {
    widthMm: 50,
    depthMm: 50,
    heightMm: 160,
    massG: 150,
    care: ['flammable', 'liquid'],
    keepsMonths: 18,
  }),
  notion('marking pens', ['marker', 'marking pen', 'chalk'], {
    widthMm: 15,
    depthMm: 15,
    heightMm: 150,
    massG: 15,
    keepsMonths: 24,
  }),
  notion('dye', ['dyes'], { widthMm: 50, depthMm: 50, heightMm: 120, massG: 250, care: ['liquid'], keepsMonths: 24 }),
  notion('stabiliser', ['stabilizer'], {
    widthMm: 240,
    depthMm: 200,
    heightMm: 80,
    massG: 400,
    isSoft: true,
  }),
  notion('stuffing', ['filling'], {
    widthMm: 350,
    depthMm: 300,
    heightMm: 250,
    massG: 500,
    isSoft: true,
  }),
  notion('foam', [], { widthMm: 300, depthMm: 300, heightMm: 100, massG: 250, isSoft: true }),
  notion('magnetic clasps', ['magnets', 'magnetic'], { unitG: 4, massG: 50, care: ['magnetic', 'smallPart'] }),
  tool('scissors', ['shears', 'snips', 'scissor'], {
    sizeIs: 'long',
    widthMm: 90,
    depthMm: 18,
    heightMm: 230,
    massG: 200,
    hangHoleMm: 24,
    care: ['sharp'],
  }),
  tool('rotary cutter', ['cutter'], {
    widthMm: 55,
    depthMm: 25,
    heightMm: 180,
    massG: 110,
    hangHoleMm: 9,
    care: ['sharp'],
  }),
  notion('blades', ['blade', 'rotary blades', 'spare blades'], {
    widthMm: 60,
    depthMm: 60,
    heightMm: 8,
    massG: 40,
    unitG: 8,
    care: ['sharp'],
  }),
  tool('ruler', ['rulers', 'square', 'curve'], {
    widthMm: 150,
    depthMm: 4,
    heightMm: 600,
    massG: 450,
    hangHoleMm: 8,
    sizeIs: 'long',
  }),
  tool('mat', ['cutting mat', 'mats'], {
    widthMm: 450,
    depthMm: 3,
    heightMm: 600,
    massG: 1200,
    hangHoleMm: 8,
    sizeIs: 'long',
  }),
  tool('tape measure', ['measuring tape'], { widthMm: 60, depthMm: 60, massG: 40 }),
  tool('seam ripper', ['unpicker', 'awl'], { widthMm: 20, depthMm: 15, heightMm: 110, massG: 15, care: ['sharp'] }),
  tool('presser foot', ['foot', 'presser feet', 'feet'], { widthMm: 45, depthMm: 30, heightMm: 40, massG: 25 }),
  tool('iron', ['steam iron'], {
    widthMm: 130,
    depthMm: 290,
    heightMm: 160,
    massG: 1600,
    watts: 2000,
    care: ['heavy', 'hot'],
  }),
  tool('tailor ham', ['ham', 'sleeve roll'], { widthMm: 200, depthMm: 300, heightMm: 140, massG: 1100 }),
  tool('clapper', [], { widthMm: 70, depthMm: 300, heightMm: 45, massG: 620 }),
  other('machine', ['sewing machine', 'overlocker', 'serger', 'machines'], {
    widthMm: 400,
    depthMm: 190,
    heightMm: 310,
    massG: 7500,
    watts: 100,
    care: ['heavy'],
  }),
  other('ironing board', ['ironing boards', 'sleeve board'], {
    widthMm: 60,
    depthMm: 380,
    heightMm: 1250,
    massG: 5500,
  }),
  other('lamp', ['light'], { widthMm: 180, depthMm: 180, heightMm: 450, massG: 1200, watts: 12 }),
  other('book', ['books', 'magazine'], { widthMm: 200, depthMm: 20, heightMm: 270, massG: 700 }),
  other('finished piece', ['finished', 'garment'], {
    widthMm: 300,
    depthMm: 280,
    heightMm: 60,
    massG: 500,
    isSoft: true,
  }),
  other('packing', ['mailers', 'boxes', 'envelopes'], { widthMm: 300, depthMm: 230, heightMm: 60, massG: 400 }),
];

/** The row for a type as the user wrote it, or null where it is one of their own. */
export function findType(type: string, kind?: Kind): TypeFigures | null {
  const word = type.trim().toLowerCase();
  if (word === '') return null;
  return TYPE_FIGURES.find((one) => (!kind || one.kind === kind) && one.words.includes(word)) ?? null;
}

const TASKS: Readonly<Record<Task, readonly string[]>> = {
  cutting: ['scissors', 'rotary cutter', 'blades', 'ruler', 'mat', 'tape measure', 'marking pens'],
  sewing: ['machine', 'presser foot', 'machine needles', 'seam ripper', 'pins'],
  pressing: ['iron', 'tailor ham', 'clapper'],
};

/** The work that things of a type are for; null where they are for any. */
export function findTypeTask(type: string | undefined, kind: Kind): Task | null {
  const known = findType(type ?? '', kind)?.type;
  // What is being made is taken up at the machine.
  if (kind === 'thread' || kind === 'kit') return 'sewing';
  const [task] = Object.entries(TASKS).find(([, types]) => known !== undefined && types.includes(known)) ?? [];
  return (task as Task | undefined) ?? null;
}
