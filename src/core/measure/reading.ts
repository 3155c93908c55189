import {
  takesRoom,
  type AmountUnit,
  type FabricSpec,
  type Item,
  type Lot,
  type MeasureWay,
  type Settings,
  type TapeSpec,
} from '../records/index.ts';
import {
  computeBoardLength,
  computeBoardThickness,
  computeFoldedLength,
  computeFoldLayers,
  computeRollDiameter,
  computeRollLength,
  computeWrapLayers,
  type Estimate,
} from './amount.ts';
import { getAmountUnit, withAmount } from './amountOf.ts';
import { getCloth } from './cloths.ts';
import { ROLL_LAYERS, TUBE_MM } from './package.ts';
import { computeAreaByMass, computeCountByMass } from './pieces.ts';
import { computeThreadLength, computeThreadMass, findHolder, getHolder } from './thread.ts';

/** What a reading leans on besides the thing itself; each has a usual value that the user may know better. */
export interface Gauge {
  /** Of the scale in g or of the tape in mm: one standard deviation of a reading. */
  readonly resolution: number;
  /** Weight of what is weighed with it: spool, jar, bag. For all of them together, g. */
  readonly tareG: number;
  /** Ten pieces weigh this much, g. */
  readonly tenG: number;
  /** Diameter of the bare tube or reel, mm. */
  readonly coreMm: number;
}

/** What a reading says: the amount, and the figures it was made from, for the words beside it. */
export interface Reading {
  readonly amount: Estimate;
  readonly unit: AmountUnit;
  /** Layers side by side in a wrap, or in a row of a fold; 1 where there are none. */
  readonly layers: number;
  /** Thickness of one layer with its air, mm; or g/m², tex, or g for ten. */
  readonly perLayer: number;
  /** Wraps on the board, tube or reel, or rows of folds; null by weight. */
  readonly turns: number | null;
}

/** One standard deviation of a thing's figures: its class's, or a tape's own once it was calibrated. */
const CALIBRATED_SPREAD = 0.03;
const TAPE_SPREAD = 0.15;

function getSpread(fabric: FabricSpec): number {
  return fabric.isCalibrated ? CALIBRATED_SPREAD : getCloth(fabric.cloth).spread;
}

/** The ways to measure a lot, the likeliest first; none where only counting by hand helps. */
export function getMeasureWays(item: Item, lot: Lot): MeasureWay[] {
  if (item.kind === 'fabric') {
    const first = lot.form === 'roll' ? 'roll' : lot.form === 'board' ? 'board' : 'folded';
    return [...new Set<MeasureWay>([first, 'board', 'folded', 'roll', 'weight'])];
  }
  if (item.kind === 'scrap' || item.kind === 'thread') return ['weight'];
  if (item.box?.tape) return ['reel'];
  return (item.kind === 'notion' || item.kind === 'other') && takesRoom(lot) ? ['count'] : [];
}

/** The usual gauge for measuring this lot that way. */
export function getGauge(item: Item, lot: Lot, way: MeasureWay): Gauge {
  const holder = lot.holder ? getHolder(lot.holder) : findHolder(item.thread?.diameterMm ?? 26);
  return {
    resolution: 1,
    tareG: way === 'weight' && item.thread ? holder.tareG * Math.max(1, lot.count) : 0,
    tenG: (item.box?.unitG ?? 0) * 10,
    coreMm: way === 'reel' ? (item.box?.tape?.coreMm ?? 20) : TUBE_MM,
  };
}

/** Cloth in one piece of a scrap that was cut to size, mm²; strips run across the cloth. */
export function computePieceArea(item: Item): number {
  const side = item.scrap?.cutMm ?? 0;
  return item.scrap?.cut === 'strip' ? side * (item.fabric?.widthMm ?? 0) : side * side;
}

function scale(estimate: Estimate, factor: number): Estimate {
  return { value: estimate.value * factor, sigma: estimate.sigma * factor };
}

/**
 * The amount of a lot from one reading: thickness over both faces of its board, height of the folded stack,
 * diameter of the roll or reel in mm; or its weight in g. Null where that way says nothing about the thing.
 */
export function computeReading(
  item: Item,
  lot: Lot,
  settings: Settings,
  way: MeasureWay,
  reading: number,
  gauge = getGauge(item, lot, way),
): Reading | null {
  if (!getMeasureWays(item, lot).includes(way)) return null;
  const { fabric, thread } = item;
  const tape = item.box?.tape;
  const netG = Math.max(0, reading - gauge.tareG);
  if (way === 'count') {
    if (!(gauge.tenG > 0)) return null;
    const amount = computeCountByMass(netG, gauge.tenG, gauge.resolution);
    return { amount, unit: 'count', layers: 1, perLayer: gauge.tenG, turns: null };
  }
  if (way === 'reel') {
    if (!tape) return null;
    const spread = tape.isCalibrated ? CALIBRATED_SPREAD : TAPE_SPREAD;
    const wrap = { layers: 1, stackedMm: tape.layerMm };
    const turns = Math.max(0, (reading - gauge.coreMm) / (2 * tape.layerMm));
    const amount = computeRollLength(reading, gauge.coreMm, wrap, spread, gauge.resolution);
    return { amount: scale(amount, lot.count), unit: 'length', layers: 1, perLayer: tape.layerMm, turns };
  }
  if (way === 'weight' && thread) {
    const amount = computeThreadLength(netG, thread.tex, gauge.resolution);
    return { amount, unit: 'length', layers: 1, perLayer: thread.tex, turns: null };
  }
  if (!fabric) return null;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const spread = getSpread(fabric);
  switch (way) {
    case 'board': {
      const layers = computeWrapLayers(fabric.widthMm, settings.boardHeightMm);
      const board = { widthMm: settings.boardWidthMm, thicknessMm: settings.boardThicknessMm };
      const turns = Math.max(0, (reading - board.thicknessMm) / (2 * layers * stackedMm));
      const amount = computeBoardLength(reading, board, { layers, stackedMm }, spread, gauge.resolution);
      return { amount, unit: 'length', layers, perLayer: stackedMm, turns };
    }
    case 'folded': {
      const layers = Math.ceil(fabric.widthMm / settings.panelWidthMm - 1e-9);
      const amount = computeFoldedLength(reading, layers, settings.panelDepthMm, stackedMm, spread, gauge.resolution);
      return { amount, unit: 'length', layers, perLayer: stackedMm, turns: reading / (layers * stackedMm) };
    }
    case 'roll': {
      const wrap = { layers: ROLL_LAYERS, stackedMm };
      const turns = Math.max(0, (reading - gauge.coreMm) / (2 * ROLL_LAYERS * stackedMm));
      const amount = computeRollLength(reading, gauge.coreMm, wrap, spread, gauge.resolution);
      return { amount, unit: 'length', layers: ROLL_LAYERS, perLayer: stackedMm, turns };
    }
    case 'weight': {
      const area = computeAreaByMass(netG, fabric.grammageGsm, spread, gauge.resolution);
      const unit = getAmountUnit(item, lot);
      const perUnit = unit === 'length' ? fabric.widthMm : unit === 'area' ? 1 : computePieceArea(item);
      if (!(perUnit > 0)) return null;
      return { amount: scale(area, 1 / perUnit), unit, layers: 1, perLayer: fabric.grammageGsm, turns: null };
    }
  }
}

/**
 * The other way round: what tape or scale should show for an amount. Null where that way says nothing, or a
 * cloth is too short for its board.
 */
export function computeExpectedReading(
  item: Item,
  lot: Lot,
  settings: Settings,
  way: MeasureWay,
  amount: number,
  gauge = getGauge(item, lot, way),
): number | null {
  if (!getMeasureWays(item, lot).includes(way)) return null;
  const { fabric, thread } = item;
  const tape = item.box?.tape;
  if (way === 'count') return gauge.tareG + (amount * gauge.tenG) / 10;
  if (way === 'reel')
    return tape && lot.count > 0
      ? computeRollDiameter(amount / lot.count, gauge.coreMm, { layers: 1, stackedMm: tape.layerMm })
      : null;
  if (way === 'weight' && thread) return gauge.tareG + computeThreadMass(amount, thread.tex);
  if (!fabric) return null;
  const stackedMm = fabric.layerMm * fabric.stacking;
  switch (way) {
    case 'board': {
      const layers = computeWrapLayers(fabric.widthMm, settings.boardHeightMm);
      const board = { widthMm: settings.boardWidthMm, thicknessMm: settings.boardThicknessMm };
      return computeBoardThickness(amount, board, { layers, stackedMm });
    }
    case 'folded':
      return computeFoldLayers(fabric.widthMm, amount, settings.panelWidthMm, settings.panelDepthMm) * stackedMm;
    case 'roll':
      return computeRollDiameter(amount, gauge.coreMm, { layers: ROLL_LAYERS, stackedMm });
    case 'weight': {
      const unit = getAmountUnit(item, lot);
      const perUnit = unit === 'length' ? fabric.widthMm : unit === 'area' ? 1 : computePieceArea(item);
      return gauge.tareG + (amount * perUnit * fabric.grammageGsm) / 1e6;
    }
  }
}

/** An item's own figures after calibrating: of its cloth, its tape, or one piece of it. */
export type Calibrated = { readonly fabric: FabricSpec } | { readonly tape: TapeSpec } | { readonly unitG: number };

/**
 * A thing's own figures from a reading of a piece whose amount is known: its layer, its g/m² by weight, or
 * the weight of one. Exact on that piece: what is read from it afterwards is its known amount. Null where
 * the reading says nothing.
 */
export function computeCalibration(
  item: Item,
  lot: Lot,
  settings: Settings,
  way: MeasureWay,
  reading: number,
  known: number,
  gauge = getGauge(item, lot, way),
): Calibrated | null {
  if (!(known > 0)) return null;
  if (way === 'count') {
    const netG = reading - gauge.tareG;
    return netG > 0 && item.box ? { unitG: netG / known } : null;
  }
  const told = computeReading(item, lot, settings, way, reading, gauge);
  if (!told || !(told.amount.value > 0)) return null;
  const tape = item.box?.tape;
  const { fabric } = item;
  if (way === 'reel')
    return tape ? { tape: { ...tape, layerMm: (tape.layerMm * told.amount.value) / known, isCalibrated: true } } : null;
  if (!fabric) return null;
  // A fold's rows are known but for half of the last one; the other ways are inversely proportional to the figure.
  const factor =
    way === 'folded' ? (told.turns ?? 0) / (known / settings.panelDepthMm + 0.5) : told.amount.value / known;
  return {
    fabric:
      way === 'weight'
        ? { ...fabric, grammageGsm: fabric.grammageGsm * factor, isCalibrated: true }
        : { ...fabric, layerMm: fabric.layerMm * factor, isCalibrated: true },
  };
}

/** The lot of which so much is known for certain: what was measured of it before says nothing any more. */
export function withKnownAmount(item: Item, lot: Lot, known: number, unit: AmountUnit): Lot {
  const { amountSigma: _sigma, measuredBy: _way, ...plain } = lot;
  return withAmount(item, unit === 'length' ? { ...plain, lengthMm: known } : plain, known);
}

/** The item with the figures that calibrating found. */
export function applyCalibration(item: Item, found: Calibrated): Item {
  if ('fabric' in found) return { ...item, fabric: found.fabric };
  if (!item.box) return item;
  return { ...item, box: 'tape' in found ? { ...item.box, tape: found.tape } : { ...item.box, unitG: found.unitG } };
}
