import {
  computeBoardWraps,
  computeFoldLayers,
  computePackage,
  computePackages,
  computePieceArea,
  computeWrapLayers,
  getAmount,
  getAmountUnit,
  type Package,
  type Reading,
} from '../../core/measure/index.ts';
import type { Item, Lot, MeasureWay, Settings } from '../../core/records/index.ts';
import {
  formatClothLength,
  formatMass,
  formatSize,
  formatSizes,
  formatVolume,
  type UnitSystem,
} from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import { wordHolder } from './names.ts';
import { formatAmount, formatMeasured, wordMeasureWay } from './things.ts';

/** A row of a ticket: what it is, how much, and how that figure was made. */
export interface Told {
  readonly name: string;
  readonly words: string;
  readonly how: string;
}

const mm = (value: number) => `${Number(value.toFixed(2))} mm`;

/** How the amount of a lot is known. */
export function wordHowMuch(item: Item, lot: Lot, settings: Settings): string {
  const { units } = settings;
  if (lot.heap)
    return 'A heap: worked out from how it was measured and what is usual for its kind; two times out of three the truth is within the doubt.';
  if (!lot.measuredBy) return 'As it was typed; nobody measured it here.';
  const unit = getAmountUnit(item, lot);
  const doubt = lot.amountSigma ? formatMeasured(getAmount(item, lot), lot.amountSigma, unit, units).doubt : '';
  const spread = item.fabric?.isCalibrated ? 'its own figures' : 'the figures of its class';
  return `Measured ${wordMeasureWay(lot.measuredBy)}, with ${item.fabric ? spread : 'its figures'}; two times out of three the truth is within ${doubt} of it.`;
}

function tellCloth(item: Item, lot: Lot, settings: Settings): Told[] {
  const { fabric } = item;
  if (!fabric) return [];
  const { units, panelWidthMm, panelDepthMm, boardWidthMm, boardHeightMm, boardThicknessMm } = settings;
  const rows: Told[] = [];
  const lengthMm = lot.lengthMm ?? 0;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const layer = `${mm(fabric.layerMm)} a layer, ${fabric.stacking} times that with its air`;
  const stack = computePackage(item, lot, 'stack', settings);
  const board = computePackage(item, lot, 'board', settings);
  const size = (value: number) => formatSize(value, units);
  if (stack) {
    const layers = computeFoldLayers(fabric.widthMm, lengthMm, panelWidthMm, panelDepthMm);
    const how = `${wordCount(layers, 'layer')} in panels of ${formatSizes([panelWidthMm, panelDepthMm], units)}; ${layer}.`;
    rows.push({ name: 'Folded', words: `${size(stack.heightMm)} thick`, how });
  }
  const layers = computeWrapLayers(fabric.widthMm, boardHeightMm);
  const wraps = computeBoardWraps(
    lengthMm,
    { widthMm: boardWidthMm, thicknessMm: boardThicknessMm },
    { layers, stackedMm },
  );
  rows.push({
    name: 'On a board',
    words: board ? `${size(board.alongMm)} thick` : 'does not suit a board',
    how: `${wraps.toFixed(1)} wraps of ${wordCount(layers, 'layer')} round a board of ${formatSizes([boardWidthMm, boardHeightMm], units)}; ${layer}. ${board ? '' : 'It takes one whole wrap at least, and no more than a spine can stand.'}`.trim(),
  });
  const roll = item.forms.includes('roll') ? computePackage(item, lot, 'roll', settings) : null;
  if (roll)
    rows.push({
      name: 'Rolled',
      words: `Ø ${size(roll.alongMm)}`,
      how: `Folded once and rolled on a tube of 4 cm; ${layer}.`,
    });
  if (stack)
    rows.push({
      name: 'Weight',
      words: formatMass(stack.massG, units),
      how: `${formatClothLength(lengthMm, units)} × ${size(fabric.widthMm)} × ${Math.round(fabric.grammageGsm)} g/m².`,
    });
  return rows;
}

function tellScrap(item: Item, lot: Lot, settings: Settings): Told[] {
  const { units } = settings;
  const { fabric, scrap } = item;
  if (!fabric || !scrap) return [];
  const rows: Told[] = [];
  const loose = computePackage(item, lot, 'loose', settings);
  const stack = computePackage(item, lot, 'stack', settings);
  const areaMm2 = scrap.cut === 'odd' ? (lot.areaMm2 ?? 0) : lot.count * computePieceArea(item);
  const area = formatAmount(areaMm2, 'area', units);
  if (stack)
    rows.push({
      name: 'Piled',
      words: `${formatSize(stack.heightMm, units)} high`,
      how: `${wordCount(lot.count, 'piece')}, folded where they are longer than a panel, ${mm(fabric.layerMm * fabric.stacking)} each layer.`,
    });
  if (loose)
    rows.push(
      {
        name: 'Loose',
        words: formatVolume(loose.alongMm ** 3, units),
        how: `${area} of cloth, ${mm(fabric.layerMm * fabric.stacking)} thick with its air.`,
      },
      {
        name: 'Weight',
        words: formatMass(loose.massG, units),
        how: `${area} × ${Math.round(fabric.grammageGsm)} g/m².`,
      },
    );
  return rows;
}

/** Rows of a ticket that follow from the measures: what it would take in each way of keeping it. */
export function wordMeasures(item: Item, lot: Lot, settings: Settings): Told[] {
  const { units } = settings;
  // A heap says itself how large it is.
  if (lot.state === 'digital' || lot.heap) return [];
  if (item.kind === 'fabric') return tellCloth(item, lot, settings);
  if (item.scrap) return tellScrap(item, lot, settings);
  const [pkg] = computePackages(item, lot, settings);
  if (!pkg) return [];
  const { thread, pattern, box } = item;
  const size = (value: number) => formatSize(value, units);
  const pieces = wordCount(pkg.pieces, 'piece');
  const weight = { name: 'Weight', words: formatMass(pkg.massG, units) };
  if (thread)
    return [
      {
        name: 'Each',
        words: `Ø ${size(pkg.alongMm)} × ${size(pkg.heightMm)}`,
        how: lot.holder ? `As a ${wordHolder(lot.holder)} usually is.` : 'As its spool was said to be.',
      },
      { ...weight, how: `${pieces}, ${formatMass(pkg.massG / Math.max(1, pkg.pieces), units)} each with its thread.` },
    ];
  if (pattern) {
    const sheets =
      pattern.format === 'sheets' && pattern.sheets
        ? `${pattern.sheets} sheets of 0.1 mm in a folder`
        : size(pkg.alongMm);
    return [
      {
        name: 'Thickness',
        words: size(pkg.alongMm * pkg.pieces),
        how: `${wordCount(pkg.pieces, 'copy', 'copies')}, each ${sheets}.`,
      },
      { ...weight, how: 'Paper of 80 g/m², half of the envelope air.' },
    ];
  }
  const tape = box?.tape;
  const sides = formatSizes([pkg.alongMm, pkg.acrossMm, pkg.heightMm], units);
  const wound = tape ? `, wound ${mm(tape.layerMm)} a turn on a reel of ${size(tape.coreMm)}` : '';
  return [
    {
      name: 'Takes',
      words: formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, units),
      how: `${pieces} of ${sides}${wound}.`,
    },
    { ...weight, how: `${pieces}, ${formatMass(pkg.massG / Math.max(1, pkg.pieces), units)} each.` },
  ];
}

/** How a reading became an amount: `5 wraps of 5 layers at 0.48 mm`. */
export function wordReading(item: Item, reading: Reading, way: MeasureWay): string {
  const { layers, perLayer, turns } = reading;
  if (way === 'count') return `Ten weigh ${perLayer.toFixed(1)} g.`;
  if (turns === null) {
    if (item.thread) return `At tex ${perLayer.toFixed(0)}: ${perLayer.toFixed(0)} g for 1000 m, without the spool.`;
    const over = { length: 'over its width', area: 'of cloth', count: 'for each piece’s area' }[reading.unit];
    return `At ${perLayer.toFixed(0)} g/m² ${over}.`;
  }
  const what = { board: 'wraps', folded: 'rows', roll: 'turns', reel: 'turns', weight: '' }[way];
  return `${turns.toFixed(1)} ${what} of ${wordCount(layers, 'layer')} at ${perLayer.toFixed(2)} mm.`;
}

/** Size and weight of a lot kept one way: `30 × 28 × 6 cm, 880 g`. */
export function wordPackage(pkg: Package, units: UnitSystem): string {
  const mass = formatMass(pkg.massG, units);
  if (pkg.isSoft) return `${formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, units)}, ${mass}`;
  const times = pkg.pieces > 1 ? `${pkg.pieces} of ` : '';
  const sides = [pkg.acrossMm, pkg.alongMm, pkg.heightMm];
  return `${times}${formatSizes(sides, units)}, ${mass}`;
}
