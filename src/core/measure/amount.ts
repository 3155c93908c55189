/** A measured or computed amount with one standard deviation, in the same unit. */
export interface Estimate {
  readonly value: number;
  readonly sigma: number;
}

/** Layers of cloth folded to panels of `panelWidthMm` × `panelDepthMm`: whole folds both ways. */
export function computeFoldLayers(
  widthMm: number,
  lengthMm: number,
  panelWidthMm: number,
  panelDepthMm: number,
): number {
  // A hair's breadth of tolerance, so that 5 × 280 mm is five folds and not six by rounding.
  return Math.ceil(widthMm / panelWidthMm - 1e-9) * Math.ceil(lengthMm / panelDepthMm - 1e-9);
}

/**
 * Length of a folded stack from its thickness: whole rows of folds of `depthMm`, each `layers` layers thick.
 * The last row may be a short one, so the middle of it is meant, and half of it is in doubt (uniform: d/√12).
 */
export function computeFoldedLength(
  thicknessMm: number,
  layers: number,
  depthMm: number,
  stackedMm: number,
  spread: number,
  tapeMm = 1,
): Estimate {
  const rowMm = layers * stackedMm;
  const rows = thicknessMm / rowMm;
  const value = Math.max(0, rows - 0.5) * depthMm;
  return { value, sigma: Math.hypot(depthMm / Math.sqrt(12), (depthMm / rowMm) * tapeMm, rows * depthMm * spread) };
}

/** Layers side by side in one wrap: folds across the width until it stands on a board of this height (a tenth over is usual). */
export function computeWrapLayers(widthMm: number, boardHeightMm: number): number {
  return Math.max(1, Math.ceil(widthMm / (boardHeightMm * 1.1) - 1e-9));
}

export interface BoardSpec {
  readonly widthMm: number;
  readonly thicknessMm: number;
}

/** Cloth as it lies on a board: `layers` side by side in a wrap, each `stackedMm` thick with its air. */
export interface WrapSpec {
  readonly layers: number;
  readonly stackedMm: number;
}

/** Wraps of a board for `lengthMm`: the positive root of L = n(2b + π·t0) + π·τ·n². */
export function computeBoardWraps(lengthMm: number, board: BoardSpec, wrap: WrapSpec): number {
  const tau = wrap.layers * wrap.stackedMm;
  const straight = 2 * board.widthMm + Math.PI * board.thicknessMm;
  const a = Math.PI * tau;
  // Written so that nothing cancels for thin cloth.
  return (2 * lengthMm) / (straight + Math.sqrt(straight * straight + 4 * a * lengthMm));
}

/** Total thickness over both faces of a wrapped board, mm: T = t0 + 2nτ. */
export function computeBoardThickness(lengthMm: number, board: BoardSpec, wrap: WrapSpec): number {
  return board.thicknessMm + 2 * computeBoardWraps(lengthMm, board, wrap) * wrap.layers * wrap.stackedMm;
}

/**
 * Length on a board from its measured total thickness. First-order propagation from the tape's
 * resolution `tapeMm` and the relative spread of the stacked layer.
 */
export function computeBoardLength(
  thicknessMm: number,
  board: BoardSpec,
  wrap: WrapSpec,
  spread: number,
  tapeMm = 1,
): Estimate {
  const tau = wrap.layers * wrap.stackedMm;
  const n = Math.max(0, (thicknessMm - board.thicknessMm) / (2 * tau));
  const straight = 2 * board.widthMm + Math.PI * board.thicknessMm;
  const value = n * straight + Math.PI * tau * n * n;
  const dLdn = straight + 2 * Math.PI * tau * n;
  const byThickness = (dLdn / (2 * tau)) * tapeMm;
  // τ enters through n = (T - t0)/(2τ) and directly: dL/dτ = -(n/τ)·dL/dn + π·n².
  const byLayer = Math.abs(-(n / tau) * dLdn + Math.PI * n * n) * tau * spread;
  return { value, sigma: Math.hypot(byThickness, byLayer) };
}

/** Outer diameter of `lengthMm` rolled on a tube, mm: the inverse of L = π(D² - d²)/(4·p·t). */
export function computeRollDiameter(lengthMm: number, tubeMm: number, wrap: WrapSpec): number {
  return Math.sqrt(tubeMm * tubeMm + (4 * wrap.layers * wrap.stackedMm * lengthMm) / Math.PI);
}

/** Length on a roll from its outer diameter. */
export function computeRollLength(
  diameterMm: number,
  tubeMm: number,
  wrap: WrapSpec,
  spread: number,
  tapeMm = 1,
): Estimate {
  const tau = wrap.layers * wrap.stackedMm;
  const value = Math.max(0, (Math.PI * (diameterMm * diameterMm - tubeMm * tubeMm)) / (4 * tau));
  return { value, sigma: Math.hypot(((Math.PI * diameterMm) / (2 * tau)) * tapeMm, value * spread) };
}

/** Mass of a length, g. */
export function computeClothMass(lengthMm: number, widthMm: number, grammageGsm: number): number {
  return (lengthMm * widthMm * grammageGsm) / 1e6;
}

/** Length from a mass, mm. `spread` is the grammage's. */
export function computeLengthByMass(
  massG: number,
  widthMm: number,
  grammageGsm: number,
  spread: number,
  scaleG = 1,
): Estimate {
  const perMm = (widthMm * grammageGsm) / 1e6;
  const value = massG / perMm;
  return { value, sigma: Math.hypot(scaleG / perMm, value * spread) };
}
