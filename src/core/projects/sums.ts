/** Round a quilt the back is so much larger on each side, mm. Source: docs/figures in the design. */
const BACK_MORE_MM = 100;
/** More than goes round, for corners and the join, mm. Source: as above. */
const BINDING_MORE_MM = 300;
/** Seam beside a cord, on each side, mm: usual. */
const PIPING_SEAM_MM = 15;

/** A quilt back of widths sewn together. */
export interface QuiltBack {
  /** Which way the widths run: along the quilt's length, or across it. */
  readonly runs: 'along' | 'across';
  readonly widths: number;
  /** Each of them, mm. */
  readonly pieceMm: number;
  /** Cloth in all, mm. */
  readonly lengthMm: number;
}

/** Both ways to make a back for a top of `wide` × `long` from cloth of `width`, the shorter first; lengths in mm, all more than nothing. */
export function computeQuiltBacks(wideMm: number, longMm: number, widthMm: number): readonly [QuiltBack, QuiltBack] {
  const [across, along] = [wideMm + 2 * BACK_MORE_MM, longMm + 2 * BACK_MORE_MM];
  const of = (runs: QuiltBack['runs'], coveredMm: number, pieceMm: number): QuiltBack => {
    const widths = Math.ceil(coveredMm / widthMm - 1e-9);
    return { runs, widths, pieceMm, lengthMm: widths * pieceMm };
  };
  const both = [of('along', across, along), of('across', along, across)] as const;
  return both[0].lengthMm <= both[1].lengthMm ? both : [both[1], both[0]];
}

/** Continuous bias from a square: its length from the side, s²/t; and the side from the length. mm. */
export const computeBiasLength = (sideMm: number, stripMm: number): number => sideMm ** 2 / stripMm;
export const computeBiasSquare = (lengthMm: number, stripMm: number): number => Math.sqrt(lengthMm * stripMm);

/** Binding round something, of strips cut across the cloth. */
export interface Binding {
  readonly lengthMm: number;
  readonly strips: number;
  readonly clothMm: number;
}

/** Binding for `wide` × `long`: all round and 30 cm more, in strips across the cloth that lose their own width at each slanting join. mm. */
export function computeBinding(wideMm: number, longMm: number, stripMm: number, widthMm: number): Binding {
  const lengthMm = 2 * (wideMm + longMm) + BINDING_MORE_MM;
  const strips = Math.max(1, Math.ceil((lengthMm - stripMm) / Math.max(1, widthMm - stripMm) - 1e-9));
  return { lengthMm, strips, clothMm: strips * stripMm };
}

/** How wide strips are cut to go round a cord: once round it, and a seam on each side; mm. */
export const computePipingStrip = (cordMm: number): number => Math.PI * cordMm + 2 * PIPING_SEAM_MM;
