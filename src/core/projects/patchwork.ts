import { COLOUR_FAMILIES, getColourFamily, type ColourFamily } from '../colour/index.ts';
import { getAmount, getReserved } from '../measure/index.ts';
import type { Item, Lot } from '../records/index.ts';
import { SELVAGE_MM, USUAL_SCRAP_SHARE } from './figures.ts';
import { isForQuilts } from './quilt.ts';
import type { ProjectFacts } from './standing.ts';

/** What is cut: squares of this side, and strips of this width across the cloth; mm, with their seams. */
export interface PatchSizes {
  readonly squareMm: number;
  readonly stripMm: number;
}

/** So many patches of a family of colours; a cloth gives squares or strips, not both. */
export interface Patches {
  readonly family: ColourFamily;
  readonly squares: number;
  readonly strips: number;
  /** What they are cut from, the most squares first. */
  readonly from: readonly {
    readonly item: Item;
    readonly lot: Lot;
    readonly squares: number;
    readonly strips: number;
  }[];
}

const fit = (mm: number, sideMm: number) => Math.floor(mm / sideMm + 1e-9);

/** Squares and strips of one lot: what is free of a length, or of scraps by how they are cut. */
export function countPatches(
  item: Item,
  lot: Lot,
  { squareMm, stripMm }: PatchSizes,
): { squares: number; strips: number } {
  const widthMm = Math.max(0, Math.min(lot.widthMm ?? Infinity, item.fabric?.widthMm ?? 0) - 2 * SELVAGE_MM);
  const { scrap } = item;
  if (scrap?.cut === 'square') {
    const each = fit(scrap.cutMm ?? 0, squareMm) ** 2;
    return { squares: each * lot.count, strips: 0 };
  }
  if (scrap?.cut === 'strip') {
    const [across, along] = [fit(scrap.cutMm ?? 0, squareMm), fit(widthMm, squareMm)];
    return { squares: across * along * lot.count, strips: fit(scrap.cutMm ?? 0, stripMm) * lot.count };
  }
  if (scrap) return { squares: Math.floor((USUAL_SCRAP_SHARE * (lot.areaMm2 ?? 0)) / squareMm ** 2), strips: 0 };
  const freeMm = Math.max(0, getAmount(item, lot) - getReserved(lot));
  return { squares: fit(widthMm, squareMm) * fit(freeMm, squareMm), strips: fit(freeMm, stripMm) };
}

/**
 * What the stash gives for a quilt, by colour: cottons of its weight and their scraps, without what is promised. Odd scraps by
 * half of their area.
 */
export function listPatches({ household, lotsOf }: ProjectFacts, sizes: PatchSizes): Patches[] {
  const families = new Map<ColourFamily, Patches['from'][number][]>();
  for (const [itemId, lots] of lotsOf) {
    const item = household.items.get(itemId as Item['id']);
    if (!item?.fabric || !item.colours[0] || (item.kind !== 'fabric' && item.kind !== 'scrap')) continue;
    if (!isForQuilts(item)) continue;
    const family = getColourFamily(item.colours[0]);
    if (!family) continue;
    for (const lot of lots) {
      if (lot.heap || lot.state === 'digital') continue;
      const counts = countPatches(item, lot, sizes);
      if (counts.squares + counts.strips === 0) continue;
      families.set(family, [...(families.get(family) ?? []), { item, lot, ...counts }]);
    }
  }
  return COLOUR_FAMILIES.flatMap((family): Patches[] => {
    const from = families.get(family)?.toSorted((a, b) => b.squares - a.squares);
    if (!from) return [];
    const sum = (key: 'squares' | 'strips') => from.reduce((all, one) => all + one[key], 0);
    return [{ family, squares: sum('squares'), strips: sum('strips'), from }];
  });
}
