/** A cloth's typical figures; what the sewist measured replaces them. Source: docs/figures in the design, unpressed cloth. */
export interface ClothFigures {
  readonly id: string;
  readonly grammageGsm: number;
  readonly layerMm: number;
  /** How much thicker a stack is than its layers pressed flat. */
  readonly stacking: number;
  /** Relative spread of layer × stacking between cloths of this row (one standard deviation). */
  readonly spread: number;
  /** What it is mostly made of, and how wide it mostly lies. */
  readonly fibre: string;
  readonly widthMm: number;
}

const rows: readonly [string, number, number, number, number, string, number][] = [
  ['chiffon', 70, 0.16, 1.3, 0.15, 'cotton', 1400],
  ['poplin', 132, 0.26, 1.25, 0.1, 'cotton', 1120],
  ['satin', 95, 0.16, 1.15, 0.15, 'polyester', 1400],
  ['linen', 185, 0.4, 1.2, 0.1, 'linen', 1400],
  ['flannel', 185, 0.6, 1.2, 0.1, 'cotton', 1120],
  ['jersey', 180, 0.55, 1.15, 0.12, 'knit', 1500],
  ['ponte', 320, 0.95, 1.15, 0.1, 'knit', 1500],
  ['sweatshirting', 300, 1.8, 1.15, 0.12, 'knit', 1500],
  ['denim10', 340, 0.65, 1.1, 0.08, 'cotton', 1470],
  ['denim14', 475, 0.9, 1.1, 0.08, 'cotton', 1470],
  ['canvas', 400, 0.7, 1.1, 0.08, 'cotton', 1470],
  ['corduroy', 300, 1.25, 1.15, 0.15, 'cotton', 1400],
  ['fleece', 325, 4, 0.8, 0.2, 'polyester', 1500],
  ['longPile', 750, 17, 0.6, 0.3, 'polyester', 1500],
  ['suiting', 250, 0.45, 1.15, 0.1, 'wool', 1500],
  ['coating', 550, 2.5, 1.15, 0.12, 'wool', 1500],
  ['waxed', 300, 0.75, 1.1, 0.2, 'coated', 1400],
  ['ripstop', 60, 0.1, 1.3, 0.12, 'nylon', 1500],
  ['vinyl', 650, 1, 1.05, 0.12, 'coated', 1400],
  ['batting', 140, 2.5, 0.6, 0.2, 'batting', 2400],
  // Fusible and sew-in alike: 30 to 60 g/m², an estimate; its makers name the weight on the selvage or the core.
  ['interfacing', 45, 0.25, 1.3, 0.3, 'interfacing', 900],
];

export const CLOTHS: readonly ClothFigures[] = rows.map(
  ([id, grammageGsm, layerMm, stacking, spread, fibre, widthMm]) => ({
    id,
    grammageGsm,
    layerMm,
    stacking,
    spread,
    fibre,
    widthMm,
  }),
);

const CLOTH_BY_ID = new Map(CLOTHS.map((cloth) => [cloth.id, cloth]));

/** The row with this id, or poplin's where there is none: a figure near most cloth. */
export function getCloth(id: string): ClothFigures {
  return CLOTH_BY_ID.get(id) ?? (CLOTHS[1] as ClothFigures);
}
