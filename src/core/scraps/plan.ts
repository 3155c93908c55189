import { createFiller, type Filled } from './fill.ts';
import { cutBand, measureRegion, turnRegion, type Direction, type Region } from './region.ts';
import type { ScrapSize } from './sizes.ts';

/** A plan for cutting a scrap, in the coordinates of its region. */
export interface ScrapPlan {
  readonly worth: number;
  readonly direction: Direction;
  readonly pieces: readonly Filled[];
  /** The first cuts, edge to edge, in their order: bands between two lines, from the first on. */
  readonly bands: readonly { readonly fromMm: number; readonly toMm: number }[];
}

/** Within the bounds of a cell nothing is seen beyond it. */
interface Cell {
  readonly fromMm: number;
  readonly toMm: number;
}

const LEAST = 1e-6;

/**
 * The best bands of a region that runs along y, within a cell across them: each is as wide as one of the sizes, cut from edge to
 * edge, and its stretches are filled as rectangles; or it is itself cut across into bands, `depth` times. Positions are multiples
 * of the step. Returns what it is worth; the pieces are made when they are asked for.
 */
interface Best {
  readonly worth: number;
  readonly list: () => { readonly pieces: readonly Filled[]; readonly bands: ScrapPlan['bands'] };
}

const NONE: Best = { worth: 0, list: () => ({ pieces: [], bands: [] }) };

const turnPiece = ({ size, xMm, yMm, widthMm, heightMm }: Filled): Filled => ({
  size,
  xMm: yMm,
  yMm: xMm,
  widthMm: heightMm,
  heightMm: widthMm,
});

export interface BandSearch {
  readonly sizes: readonly ScrapSize[];
  readonly stepMm: number;
  readonly depth: number;
}

/** Looks for the best bands of a region; `region` along y, `turned` the same lying on its side. */
function findBands(
  region: Region,
  turned: Region,
  across: Cell,
  along: Cell,
  search: BandSearch,
  fill: ReturnType<typeof createFiller>,
): Best {
  const { sizes, stepMm, depth } = search;
  const widths = [...new Set(sizes.map((size) => size.sideMm))];
  const count = Math.floor((across.toMm - across.fromMm) / stepMm + LEAST);
  // From the far end on: the best of what lies beyond each position.
  const best: { worth: number; next: number; band: Best | null; width: number }[] = [];
  for (let i = count; i >= 0; i -= 1) {
    let here = { worth: best[i + 1]?.worth ?? 0, next: i + 1, band: null as Best | null, width: 0 };
    const fromMm = across.fromMm + i * stepMm;
    for (const width of widths) {
      const toMm = fromMm + width;
      if (toMm > across.toMm + LEAST) continue;
      const band = findInBand(region, turned, { fromMm, toMm }, along, search, fill);
      if (band.worth <= 0) continue;
      const next = Math.ceil((width - LEAST) / stepMm) + i;
      const worth = band.worth + (best[next]?.worth ?? 0);
      if (worth > here.worth + LEAST) here = { worth, next, band, width };
    }
    best[i] = here;
  }
  if (depth < 0 || (best[0]?.worth ?? 0) <= 0) return NONE;
  return {
    worth: best[0]!.worth,
    list: () => {
      const pieces: Filled[] = [];
      const bands: { fromMm: number; toMm: number }[] = [];
      for (let i = 0; i <= count; i = best[i]!.next) {
        const { band, width } = best[i]!;
        if (!band) continue;
        const fromMm = across.fromMm + i * stepMm;
        bands.push({ fromMm, toMm: fromMm + width });
        pieces.push(...band.list().pieces);
      }
      return { pieces, bands };
    },
  };
}

/** What one band gives: its whole stretches filled, or cut across into bands of its own where that gives more. */
function findInBand(
  region: Region,
  turned: Region,
  band: Cell,
  along: Cell,
  search: BandSearch,
  fill: ReturnType<typeof createFiller>,
): Best {
  const width = band.toMm - band.fromMm;
  const stretches = cutBand(region, band.fromMm, band.toMm)
    .map(([from, to]) => [Math.max(from, along.fromMm), Math.min(to, along.toMm)] as const)
    .filter(([from, to]) => to - from > LEAST);
  const filled = stretches.map(([from, to]) => ({ from, fill: fill(width, to - from) }));
  const worth = filled.reduce((sum, one) => sum + one.fill.worth, 0);
  const whole: Best = {
    worth,
    list: () => ({
      pieces: filled.flatMap((one) =>
        one.fill.pieces.map((piece) => ({ ...piece, xMm: piece.xMm + band.fromMm, yMm: piece.yMm + one.from })),
      ),
      bands: [],
    }),
  };
  const least = Math.min(...search.sizes.map((size) => size.sideMm));
  // A band as wide as the least size holds nothing that its whole stretches do not.
  if (search.depth <= 1 || width < 2 * least - LEAST) return whole;
  const cut = findBands(turned, region, along, band, { ...search, depth: search.depth - 1 }, fill);
  if (cut.worth <= worth + LEAST) return whole;
  return { worth: cut.worth, list: () => ({ pieces: cut.list().pieces.map(turnPiece), bands: [] }) };
}

/** The best plan of bands, in the better of the two directions. */
export function planBands(region: Region, search: BandSearch): ScrapPlan {
  const turned = turnRegion(region);
  const { widthMm, heightMm } = measureRegion(region);
  const fill = createFiller(search.sizes);
  const [wide, long] = [
    { fromMm: 0, toMm: widthMm },
    { fromMm: 0, toMm: heightMm },
  ];
  const along = findBands(region, turned, wide, long, search, fill);
  const across = findBands(turned, region, long, wide, search, fill);
  if (along.worth >= across.worth) return { worth: along.worth, direction: 'along', ...along.list() };
  const { pieces, bands } = across.list();
  return { worth: across.worth, direction: 'across', pieces: pieces.map(turnPiece), bands };
}
