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

/** From one line to another, mm. */
interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

/** The best of a part of the region: what it is worth, and its pieces and bands when they are asked for. */
interface Best {
  readonly worth: number;
  readonly list: () => { readonly pieces: readonly Filled[]; readonly bands: ScrapPlan['bands'] };
}

const LEAST = 1e-6;
const NONE: Best = { worth: 0, list: () => ({ pieces: [], bands: [] }) };

const turnPiece = ({ size, xMm, yMm, widthMm, heightMm }: Filled): Filled => ({
  size,
  xMm: yMm,
  yMm: xMm,
  widthMm: heightMm,
  heightMm: widthMm,
});

/** How closely is looked: positions of cuts are multiples of the step, and a band is cut across into bands of its own `depth` times. */
export interface BandSearch {
  readonly sizes: readonly ScrapSize[];
  readonly stepMm: number;
  readonly depth: number;
  /** Strips run along the grain only: a print, a nap or stretch goes one way. */
  readonly isOneWay?: boolean;
}

/** Looks for bands of a region in both directions. */
class BandFinder {
  private readonly regions: Readonly<Record<Direction, Region>>;
  private readonly widths: readonly number[];
  private readonly least: number;
  private readonly fills: Readonly<Record<Direction, ReturnType<typeof createFiller>>>;

  constructor(
    region: Region,
    sizes: readonly ScrapSize[],
    private readonly stepMm: number,
    isOneWay: boolean,
  ) {
    this.regions = { along: region, across: turnRegion(region) };
    this.widths = [...new Set(sizes.map((size) => size.sideMm))];
    this.least = Math.min(...this.widths);
    // The grain runs along y; lying on its side, along x.
    const either = createFiller(sizes);
    this.fills = isOneWay
      ? { along: createFiller(sizes, 'y'), across: createFiller(sizes, 'x') }
      : { along: either, across: either };
  }

  /**
   * The best bands that run in a direction, side by side between two lines, each within two others: every one is as wide as one of the
   * sizes. Worked out from the far end on, so that what lies beyond a band is the best there is.
   */
  find(direction: Direction, side: Stretch, along: Stretch, depth: number): Best {
    const { stepMm } = this;
    const count = Math.floor((side.toMm - side.fromMm) / stepMm + LEAST);
    const best: { worth: number; next: number; band: Best | null; width: number }[] = [];
    for (let i = count; i >= 0; i -= 1) {
      let here = { worth: best[i + 1]?.worth ?? 0, next: i + 1, band: null as Best | null, width: 0 };
      const fromMm = side.fromMm + i * stepMm;
      for (const width of this.widths) {
        const toMm = fromMm + width;
        if (toMm > side.toMm + LEAST) continue;
        const band = this.findInBand(direction, { fromMm, toMm }, along, depth);
        if (band.worth <= 0) continue;
        const next = Math.ceil((width - LEAST) / stepMm) + i;
        const worth = band.worth + (best[next]?.worth ?? 0);
        if (worth > here.worth + LEAST) here = { worth, next, band, width };
      }
      best[i] = here;
    }
    const first = best[0];
    if (!first || first.worth <= 0) return NONE;
    return {
      worth: first.worth,
      list: () => {
        const pieces: Filled[] = [];
        const bands: Stretch[] = [];
        for (let i = 0; i <= count; i = best[i]!.next) {
          const { band, width } = best[i]!;
          if (!band) continue;
          const stepped = { fromMm: side.fromMm + i * stepMm, toMm: side.fromMm + i * stepMm + width };
          // One cut is enough between two bands that are only a step apart, where the second gives the same right beside the first.
          const endMm = bands.at(-1)?.toMm ?? -Infinity;
          const isNear = stepped.fromMm > endMm && stepped.fromMm - endMm < stepMm;
          const beside = { fromMm: endMm, toMm: endMm + width };
          const slid = isNear ? this.findInBand(direction, beside, along, depth) : NONE;
          const isSlid = isNear && Math.abs(slid.worth - band.worth) <= LEAST;
          bands.push(isSlid ? beside : stepped);
          pieces.push(...(isSlid ? slid : band).list().pieces);
        }
        return { pieces, bands };
      },
    };
  }

  /** What one band gives: where it lies in the region wholly, filled as rectangles; or cut across again where that gives more. */
  private findInBand(direction: Direction, band: Stretch, along: Stretch, depth: number): Best {
    const width = band.toMm - band.fromMm;
    const filled = cutBand(this.regions[direction], band.fromMm, band.toMm).flatMap(([from, to]) => {
      const [fromMm, toMm] = [Math.max(from, along.fromMm), Math.min(to, along.toMm)];
      return toMm - fromMm > LEAST ? [{ fromMm, fill: this.fills[direction](width, toMm - fromMm) }] : [];
    });
    const worth = filled.reduce((sum, one) => sum + one.fill.worth, 0);
    // A band as wide as the least size holds nothing that its whole stretches do not.
    const canCut = depth > 1 && width >= 2 * this.least - LEAST;
    const cut = canCut ? this.find(direction === 'along' ? 'across' : 'along', along, band, depth - 1) : NONE;
    if (cut.worth > worth + LEAST)
      return { worth: cut.worth, list: () => ({ pieces: cut.list().pieces.map(turnPiece), bands: [] }) };
    return {
      worth,
      list: () => ({
        pieces: filled.flatMap(({ fromMm, fill }) =>
          fill.pieces.map((piece) => ({ ...piece, xMm: piece.xMm + band.fromMm, yMm: piece.yMm + fromMm })),
        ),
        bands: [],
      }),
    };
  }
}

/** The best plan of bands, in the better of the two directions. */
export function planBands(region: Region, { sizes, stepMm, depth, isOneWay = false }: BandSearch): ScrapPlan {
  const finder = new BandFinder(region, sizes, stepMm, isOneWay);
  const { widthMm, heightMm } = measureRegion(region);
  const [wide, long] = [
    { fromMm: 0, toMm: widthMm },
    { fromMm: 0, toMm: heightMm },
  ];
  const along = finder.find('along', wide, long, depth);
  const across = finder.find('across', long, wide, depth);
  if (along.worth >= across.worth) return { worth: along.worth, direction: 'along', ...along.list() };
  const { pieces, bands } = across.list();
  return { worth: across.worth, direction: 'across', pieces: pieces.map(turnPiece), bands };
}
