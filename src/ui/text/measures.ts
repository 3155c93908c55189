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
import { wordHolder } from './names.ts';
import { formatAmount, formatMeasured } from './things.ts';
import { wordMeasureWay } from './what.ts';
import { formatFixed, formatShort, t } from '../language/index.ts';
import { joinSentences } from './grammar.ts';

/** A row of a ticket: what it is, how much, and how that figure was made. */
export interface Told {
  readonly name: string;
  readonly words: string;
  readonly how: string;
}

const mm = (value: number) => `${formatShort(value, 2)} mm`;

/** How often in a month, with the two figures that count: `0.88`. */
export const formatUses = (perMonth: number): string => formatShort(Number(perMonth.toPrecision(2)));

/** How the amount of a lot is known. */
export function wordHowMuch(item: Item, lot: Lot, settings: Settings): string {
  const { units } = settings;
  if (lot.heap)
    return t(
      'A heap: worked out from how it was measured and what is usual for its kind; two times out of three the truth is within the doubt.',
    );
  if (!lot.measuredBy) return t('As it was typed; nobody measured it here.');
  const unit = getAmountUnit(item, lot);
  const doubt = lot.amountSigma ? formatMeasured(getAmount(item, lot), lot.amountSigma, unit, units).doubt : '';
  const spread = item.fabric?.isCalibrated ? t('its own figures') : t('the figures of its class');
  return t('Measured {measureWay}, with {figures}; two times out of three the truth is within {doubt} of it.', {
    measureWay: wordMeasureWay(lot.measuredBy),
    figures: item.fabric ? spread : t('its figures'),
    doubt,
  });
}

function tellCloth(item: Item, lot: Lot, settings: Settings): Told[] {
  const { fabric } = item;
  if (!fabric) return [];
  const { units, panelWidthMm, panelDepthMm, boardWidthMm, boardHeightMm, boardThicknessMm } = settings;
  const rows: Told[] = [];
  const lengthMm = lot.lengthMm ?? 0;
  const stackedMm = fabric.layerMm * fabric.stacking;
  const layer = t('{mm} a layer, {stacking} times that with its air', {
    mm: mm(fabric.layerMm),
    stacking: fabric.stacking,
  });
  const stack = computePackage(item, lot, 'stack', settings);
  const board = computePackage(item, lot, 'board', settings);
  const size = (value: number) => formatSize(value, units);
  if (stack) {
    const layers = computeFoldLayers(fabric.widthMm, lengthMm, panelWidthMm, panelDepthMm);
    const how = t('{layers, plural, one {# layer} other {# layers}} in panels of {sizes}; {layer}.', {
      layers,
      sizes: formatSizes([panelWidthMm, panelDepthMm], units),
      layer,
    });
    rows.push({ name: t('Folded'), words: t('{heightMm} thick', { heightMm: size(stack.heightMm) }), how });
  }
  const layers = computeWrapLayers(fabric.widthMm, boardHeightMm);
  const wraps = computeBoardWraps(
    lengthMm,
    { widthMm: boardWidthMm, thicknessMm: boardThicknessMm },
    { layers, stackedMm },
  );
  rows.push({
    name: t('On a board'),
    words: board ? t('{alongMm} thick', { alongMm: size(board.alongMm) }) : t('does not suit a board'),
    how: joinSentences([
      t('{wraps} wraps of {layers, plural, one {# layer} other {# layers}} round a board of {sizes}; {layer}.', {
        wraps: formatFixed(wraps, 1),
        layers,
        sizes: formatSizes([boardWidthMm, boardHeightMm], units),
        layer,
      }),
      board ? '' : t('It takes one whole wrap at least, and no more than a spine can stand.'),
    ]),
  });
  const roll = item.forms.includes('roll') ? computePackage(item, lot, 'roll', settings) : null;
  if (roll)
    rows.push({
      name: t('Rolled'),
      words: `Ø ${size(roll.alongMm)}`,
      how: t('Folded once and rolled on a tube of 4 cm; {layer}.', { layer }),
    });
  if (stack)
    rows.push({
      name: t('Weight'),
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
      name: t('Piled'),
      words: t('{size} high', { size: formatSize(stack.heightMm, units) }),
      how: t(
        '{count, plural, one {# piece} other {# pieces}}, folded where they are longer than a panel, {mm} each layer.',
        { count: lot.count, mm: mm(fabric.layerMm * fabric.stacking) },
      ),
    });
  if (loose)
    rows.push(
      {
        name: t('Loose'),
        words: formatVolume(loose.alongMm ** 3, units),
        how: t('{area} of cloth, {mm} thick with its air.', { area, mm: mm(fabric.layerMm * fabric.stacking) }),
      },
      {
        name: t('Weight'),
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
  const pieces = t('{n, plural, one {# piece} other {# pieces}}', { n: pkg.pieces });
  const weight = { name: t('Weight'), words: formatMass(pkg.massG, units) };
  if (thread)
    return [
      {
        name: t('Each'),
        words: `Ø ${size(pkg.alongMm)} × ${size(pkg.heightMm)}`,
        how: lot.holder
          ? t('As a {holder} usually is.', { holder: wordHolder(lot.holder) })
          : t('As its spool was said to be.'),
      },
      {
        ...weight,
        how: t('{pieces}, {mass} each with its thread.', {
          pieces,
          mass: formatMass(pkg.massG / Math.max(1, pkg.pieces), units),
        }),
      },
    ];
  if (pattern) {
    const sheets =
      pattern.format === 'sheets' && pattern.sheets
        ? t('{sheets} sheets of 0.1 mm in a folder', { sheets: pattern.sheets })
        : size(pkg.alongMm);
    return [
      {
        name: t('Thickness'),
        words: size(pkg.alongMm * pkg.pieces),
        how: t('{pieces, plural, one {# copy} other {# copies}}, each {sheets}.', { pieces: pkg.pieces, sheets }),
      },
      { ...weight, how: t('Paper of 80 g/m², half of the envelope air.') },
    ];
  }
  const tape = box?.tape;
  const sides = formatSizes([pkg.alongMm, pkg.acrossMm, pkg.heightMm], units);
  const wound = tape
    ? t(', wound {mm} a turn on a reel of {coreMm}', { mm: mm(tape.layerMm), coreMm: size(tape.coreMm) })
    : '';
  return [
    {
      name: t('Takes'),
      words: formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, units),
      how: t('{pieces} of {sides}{wound}.', { pieces, sides, wound }),
    },
    {
      ...weight,
      how: t('{pieces}, {mass} each.', { pieces, mass: formatMass(pkg.massG / Math.max(1, pkg.pieces), units) }),
    },
  ];
}

/** How a reading became an amount: `5 wraps of 5 layers at 0.48 mm`. */
export function wordReading(item: Item, reading: Reading, way: MeasureWay): string {
  const { layers, perLayer, turns } = reading;
  if (way === 'count') return t('Ten weigh {perLayer} g.', { perLayer: formatFixed(perLayer, 1) });
  if (turns === null) {
    if (item.thread)
      return t('At tex {perLayer}: {perLayer} g for 1000 m, without the spool.', {
        perLayer: formatFixed(perLayer, 0),
      });
    const over = { length: t('over its width'), area: t('of cloth'), count: t('for each piece’s area') }[reading.unit];
    return t('At {perLayer} g/m² {over}.', { perLayer: formatFixed(perLayer, 0), over });
  }
  const what = { board: t('wraps'), folded: t('rows'), roll: t('turns'), reel: t('turns'), weight: '' }[way];
  return t('{turns} {what} of {layers, plural, one {# layer} other {# layers}} at {perLayer} mm.', {
    turns: formatFixed(turns, 1),
    what,
    layers,
    perLayer: formatFixed(perLayer, 2),
  });
}

/** Size and weight of a lot kept one way: `30 × 28 × 6 cm, 880 g`. */
export function wordPackage(pkg: Package, units: UnitSystem): string {
  const mass = formatMass(pkg.massG, units);
  if (pkg.isSoft) return `${formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, units)}, ${mass}`;
  const times = pkg.pieces > 1 ? t('{pieces} of ', { pieces: pkg.pieces }) : '';
  const sides = [pkg.acrossMm, pkg.alongMm, pkg.heightMm];
  return `${times}${formatSizes(sides, units)}, ${mass}`;
}
