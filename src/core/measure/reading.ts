import type { FabricSpec, Item, MeasureWay, Settings } from '../records/index.ts';
import {
  computeBoardLength,
  computeFoldedLength,
  computeLengthByMass,
  computeRollLength,
  computeWrapLayers,
  type Estimate,
} from './amount.ts';
import { getCloth } from './cloths.ts';
import { ROLL_LAYERS, TUBE_MM } from './package.ts';

/** What a reading says: the length, and the figures it was made from, for the words beside it. */
export interface Reading {
  readonly length: Estimate;
  /** Layers side by side in a wrap, or in a row of a fold; 1 by weight. */
  readonly layers: number;
  /** Thickness of one layer with its air, mm; or g/m² by weight. */
  readonly perLayer: number;
  /** Wraps on the board or tube, or rows of folds; null by weight. */
  readonly turns: number | null;
}

/** One standard deviation of a cloth's figures: its class's, or a tape's own once it was calibrated. */
const CALIBRATED_SPREAD = 0.03;

function getSpread(fabric: FabricSpec): number {
  return fabric.isCalibrated ? CALIBRATED_SPREAD : getCloth(fabric.cloth).spread;
}

/**
 * The length of a cloth from one reading: thickness over both faces of its board, height of the folded
 * stack or diameter of the roll in mm; or its weight in g. Null where the thing is no cloth.
 */
export function computeReading(item: Item, settings: Settings, way: MeasureWay, reading: number): Reading | null {
  const { fabric } = item;
  if (!fabric) return null;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const spread = getSpread(fabric);
  switch (way) {
    case 'board': {
      const layers = computeWrapLayers(fabric.widthMm, settings.boardHeightMm);
      const board = { widthMm: settings.boardWidthMm, thicknessMm: settings.boardThicknessMm };
      const turns = Math.max(0, (reading - board.thicknessMm) / (2 * layers * stackedMm));
      const length = computeBoardLength(reading, board, { layers, stackedMm }, spread);
      return { length, layers, perLayer: stackedMm, turns };
    }
    case 'folded': {
      const layers = Math.ceil(fabric.widthMm / settings.panelWidthMm - 1e-9);
      const length = computeFoldedLength(reading, layers, settings.panelDepthMm, stackedMm, spread);
      return { length, layers, perLayer: stackedMm, turns: reading / (layers * stackedMm) };
    }
    case 'roll': {
      const wrap = { layers: ROLL_LAYERS, stackedMm };
      const turns = Math.max(0, (reading - TUBE_MM) / (2 * ROLL_LAYERS * stackedMm));
      return {
        length: computeRollLength(reading, TUBE_MM, wrap, spread),
        layers: ROLL_LAYERS,
        perLayer: stackedMm,
        turns,
      };
    }
    case 'weight': {
      const length = computeLengthByMass(reading, fabric.widthMm, fabric.grammageGsm, spread);
      return { length, layers: 1, perLayer: fabric.grammageGsm, turns: null };
    }
  }
}

/**
 * The cloth's own figures from a reading of a piece whose length is known: its layer, or its g/m² by weight.
 * Exact on that piece: what is read from it afterwards is its known length. Null where the reading says nothing.
 */
export function computeCalibration(
  item: Item,
  settings: Settings,
  way: MeasureWay,
  reading: number,
  knownLengthMm: number,
): FabricSpec | null {
  const { fabric } = item;
  const told = computeReading(item, settings, way, reading);
  if (!fabric || !told || !(told.length.value > 0) || !(knownLengthMm > 0)) return null;
  // A fold's rows are known but for half of the last one; the other ways are inversely proportional to the figure.
  const factor =
    way === 'folded'
      ? (told.turns ?? 0) / (knownLengthMm / settings.panelDepthMm + 0.5)
      : told.length.value / knownLengthMm;
  return way === 'weight'
    ? { ...fabric, grammageGsm: fabric.grammageGsm * factor, isCalibrated: true }
    : { ...fabric, layerMm: fabric.layerMm * factor, isCalibrated: true };
}
