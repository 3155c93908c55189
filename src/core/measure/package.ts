import type { Item, Lot, Settings, StowForm } from '../records/index.ts';
import {
  computeBoardThickness,
  computeBoardWraps,
  computeClothMass,
  computeFoldLayers,
  computeRollDiameter,
  computeWrapLayers,
} from './amount.ts';
import { computeThreadMass, findHolder, getHolder } from './thread.ts';

/**
 * A lot as it is stowed in one form. `alongMm` is the side that counts along a row (a spine's
 * thickness, a spool's diameter), `acrossMm` goes into the depth, `heightMm` stands up.
 * `pieces` boxes of that size make the lot; `massG` is the whole lot's.
 */
export interface Package {
  readonly form: StowForm;
  readonly alongMm: number;
  readonly acrossMm: number;
  readonly heightMm: number;
  readonly pieces: number;
  readonly massG: number;
  /** Soft goods take any shape: only their volume counts. */
  readonly isSoft: boolean;
  /** Diameter of the hole that it hangs by, where it hangs. */
  readonly holeMm?: number;
}

/** Above this a wrapped board no longer stands as a spine. */
const MAX_BOARD_MM = 110;
/** A folded file hangs together up to this thickness. */
const MAX_FILE_MM = 140;
export const TUBE_MM = 40;
/** Folding once along the selvage before rolling halves the roll's length. */
export const ROLL_LAYERS = 2;

/** A hanger: as wide as shoulders, its bar and hook, and how far down cloth may hang from it. */
const HANGER_MM = 420;
const HANGER_BAR_MM = 8;
const HANGER_HOOK_MM = 60;
const HANGER_G = 60;
const MAX_DROP_MM = 1200;

/** Whether things kept so lie on each other in piles. */
export function isPiled(form: StowForm): boolean {
  return form === 'stack' || form === 'flat';
}

/** A cloth bag, filled to three quarters and pressed flat: sides as 2 to 3 to 1. */
function computeBag(volumeMm3: number): Pick<Package, 'alongMm' | 'acrossMm' | 'heightMm'> {
  const side = Math.cbrt(volumeMm3 / 0.75 / 6);
  return { alongMm: 2 * side, acrossMm: 3 * side, heightMm: side };
}

function computeFabricPackage(item: Item, lot: Lot, form: StowForm, settings: Settings): Package | null {
  const fabric = item.fabric;
  if (!fabric || lot.lengthMm === undefined) return null;
  // Of a heap every piece is as long as they are on the average.
  const pieces = Math.max(1, lot.count);
  const lengthMm = lot.lengthMm / pieces;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const clothG = computeClothMass(lot.lengthMm, fabric.widthMm, fabric.grammageGsm);
  const whole = { form, pieces, massG: clothG, isSoft: false };
  switch (form) {
    case 'board': {
      const layers = computeWrapLayers(fabric.widthMm, settings.boardHeightMm);
      const board = { widthMm: settings.boardWidthMm, thicknessMm: settings.boardThicknessMm };
      const wrap = { layers, stackedMm };
      // At least one full wrap, or the cloth does not cover its board.
      if (computeBoardWraps(lengthMm, board, wrap) < 1) return null;
      const alongMm = computeBoardThickness(lengthMm, board, wrap);
      if (alongMm > MAX_BOARD_MM) return null;
      return {
        ...whole,
        alongMm,
        acrossMm: settings.boardWidthMm + alongMm - settings.boardThicknessMm,
        heightMm: Math.max(settings.boardHeightMm, fabric.widthMm / layers),
        // Greyboard of 1 mm weighs about 0.7 kg a square metre.
        massG: clothG + pieces * settings.boardWidthMm * settings.boardHeightMm * settings.boardThicknessMm * 0.0007,
      };
    }
    case 'stack': {
      const { panelWidthMm, panelDepthMm } = settings;
      const fold = (mm: number) => computeFoldLayers(fabric.widthMm, mm, panelWidthMm, panelDepthMm);
      // Lengths that differ end anywhere in their last fold: half of it is empty on the average.
      const layers = pieces > 1 ? fold(panelDepthMm) * (lengthMm / panelDepthMm + 0.5) : fold(lengthMm);
      return {
        ...whole,
        alongMm: settings.panelWidthMm,
        acrossMm: settings.panelDepthMm,
        heightMm: layers * stackedMm,
      };
    }
    case 'file': {
      // Folded once more than a shelf stack, so that it stands in a drawer.
      const depth = settings.panelDepthMm / 2;
      const alongMm = computeFoldLayers(fabric.widthMm, lengthMm, settings.panelWidthMm, depth) * stackedMm;
      return alongMm > MAX_FILE_MM ? null : { ...whole, alongMm, acrossMm: settings.panelWidthMm, heightMm: depth };
    }
    case 'roll': {
      const diameter = computeRollDiameter(lengthMm, TUBE_MM, { layers: ROLL_LAYERS, stackedMm });
      return { ...whole, alongMm: diameter, acrossMm: diameter, heightMm: fabric.widthMm / ROLL_LAYERS };
    }
    case 'hanger': {
      // Folded to the hanger's width and hung over it, once more folded where it would reach too far down.
      const layers = computeWrapLayers(fabric.widthMm, HANGER_MM);
      const folds = Math.max(1, Math.ceil(lengthMm / (2 * MAX_DROP_MM) - 1e-9));
      return {
        ...whole,
        alongMm: HANGER_BAR_MM + 2 * layers * folds * stackedMm,
        acrossMm: HANGER_MM,
        heightMm: HANGER_HOOK_MM + lengthMm / (2 * folds),
        massG: clothG + pieces * HANGER_G,
      };
    }
    case 'bag':
      return { ...whole, ...computeBag(lengthMm * fabric.widthMm * stackedMm) };
    case 'loose': {
      // Laid in by hand, cloth takes about its stacked volume; the fill share leaves the air.
      const side = Math.cbrt(lengthMm * fabric.widthMm * stackedMm);
      return { ...whole, alongMm: side, acrossMm: side, heightMm: side, isSoft: true };
    }
    default:
      return null;
  }
}

/**
 * Odd bits thrown in take three times what they would pressed flat, stuffed into a bag twice: a kilo of cotton bits, some
 * eight square metres, fills a bin of eight to nine litres. Estimates; a full bin of one's own that is weighed knows better.
 */
const LOOSE_BITS = 3;
const BAGGED_BITS = 2;

/** Scraps: odd bits only have a volume; strips and squares also lie in a pile. */
function computeScrapPackage(item: Item, lot: Lot, form: StowForm, settings: Settings): Package | null {
  const { fabric, scrap } = item;
  if (!fabric || !scrap) return null;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const isOdd = scrap.cut === 'odd';
  const side = scrap.cutMm ?? 0;
  const stripMm = scrap.cut === 'strip' ? fabric.widthMm : side;
  const areaMm2 = isOdd ? (lot.areaMm2 ?? 0) : lot.count * side * stripMm;
  const whole = { form, pieces: 1, massG: (areaMm2 * fabric.grammageGsm) / 1e6 };
  if (form === 'loose') {
    const edge = Math.cbrt(areaMm2 * stackedMm * (isOdd ? LOOSE_BITS : 1));
    return { ...whole, alongMm: edge, acrossMm: edge, heightMm: edge, isSoft: true };
  }
  if (form === 'bag')
    return { ...whole, ...computeBag(areaMm2 * stackedMm * (isOdd ? BAGGED_BITS : 1)), isSoft: false };
  if (isOdd || form !== 'stack') return null;
  const folds = Math.ceil(stripMm / settings.panelDepthMm - 1e-9);
  return {
    ...whole,
    alongMm: side,
    acrossMm: Math.min(stripMm, settings.panelDepthMm),
    heightMm: Math.max(1, lot.count * folds) * stackedMm,
    isSoft: false,
  };
}

function computeBoxPackage(item: Item, lot: Lot, form: StowForm): Package | null {
  const box = item.box;
  if (!box) return null;
  const pieces = lot.count;
  const [thin, mid, long] = [box.widthMm, box.depthMm, box.heightMm].toSorted((a, b) => a - b) as [
    number,
    number,
    number,
  ];
  const hard = { form, pieces, massG: box.massG * pieces, isSoft: false };
  if (form === 'flat') return { ...hard, alongMm: long, acrossMm: mid, heightMm: thin };
  if (form === 'hanger')
    return {
      ...hard,
      alongMm: Math.max(HANGER_BAR_MM, thin),
      acrossMm: Math.max(HANGER_MM, mid),
      heightMm: HANGER_HOOK_MM + long,
      massG: (box.massG + HANGER_G) * pieces,
    };
  if (form === 'bag' && box.isSoft) return { ...hard, ...computeBag(thin * mid * long) };
  if (form === 'peg') {
    // Hung by its hole: the longest side down, the thinnest away from the board.
    if (!box.hangHoleMm) return null;
    return { ...hard, alongMm: mid, acrossMm: thin, heightMm: long, holeMm: box.hangHoleMm };
  }
  if (form !== 'box' && form !== 'loose') return null;
  if (box.tape && lot.lengthMm !== undefined && pieces > 0) {
    // A reel is as large as what is wound on it; its flanges stand 1.5 mm over on both sides.
    const across = computeRollDiameter(lot.lengthMm / pieces, box.tape.coreMm, {
      layers: 1,
      stackedMm: box.tape.layerMm,
    });
    const heightMm = box.tape.widthMm + 3;
    return { form, alongMm: across, acrossMm: across, heightMm, pieces, massG: box.massG * pieces, isSoft: false };
  }
  return {
    form,
    alongMm: box.widthMm,
    acrossMm: box.depthMm,
    heightMm: box.heightMm,
    pieces,
    massG: box.massG * pieces,
    isSoft: form === 'loose',
  };
}

/**
 * Size and mass of a lot stowed in `form`, or null where the form does not suit the thing
 * (too short for its board, too thick to stand, no hole to hang by).
 */
export function computePackage(item: Item, lot: Lot, form: StowForm, settings: Settings): Package | null {
  switch (item.kind) {
    case 'fabric':
      return computeFabricPackage(item, lot, form, settings);
    case 'scrap':
      return computeScrapPackage(item, lot, form, settings);
    case 'pattern': {
      const pattern = item.pattern;
      if (!pattern || form !== 'envelope' || pattern.format === 'digital') return null;
      const { widthMm, heightMm, thicknessMm } = pattern;
      // Printed paper: 80 g a square metre and 0.1 mm a sheet make 0.8 g a cubic centimetre; half of it air.
      const massG = ((widthMm * heightMm * thicknessMm) / 1000) * 0.4 * lot.count;
      return { form, alongMm: thicknessMm, acrossMm: widthMm, heightMm, pieces: lot.count, massG, isSoft: false };
    }
    case 'thread': {
      const thread = item.thread;
      if (!thread || (form !== 'spool' && form !== 'box')) return null;
      const { diameterMm, heightMm, massG: oneG } = lot.holder ? getHolder(lot.holder) : thread;
      // Told by length, it weighs what is wound on it and what that is wound on.
      const { tareG } = lot.holder ? getHolder(lot.holder) : findHolder(thread.diameterMm);
      const massG =
        lot.lengthMm === undefined ? oneG * lot.count : tareG * lot.count + computeThreadMass(lot.lengthMm, thread.tex);
      return { form, alongMm: diameterMm, acrossMm: diameterMm, heightMm, pieces: lot.count, massG, isSoft: false };
    }
    default:
      return computeBoxPackage(item, lot, form);
  }
}

/** Every form the item allows and the lot can take, with its size. */
export function computePackages(item: Item, lot: Lot, settings: Settings): Package[] {
  return item.forms.flatMap((form) => computePackage(item, lot, form, settings) ?? []);
}
