import { computePackage, computePackages, getWholeLot, isPiled, type Package } from '../measure/index.ts';
import { packPlace, type Spot } from '../packing/index.ts';
import { takesRoom, type Household, type Item, type Lot, type PlaceId } from '../records/index.ts';
import { computeSpace, type PlaceTree, type Space } from '../storage/index.ts';

/** A lot in a place with the size it has there. */
export interface Content {
  readonly lot: Lot;
  readonly item: Item;
  readonly pkg: Package;
}

/** What is in a place as it stands, in order, and where each piece lies; no spots where it is over full. */
export interface PlaceContents {
  readonly contents: readonly Content[];
  readonly spots: readonly Spot[] | null;
}

/** Lots by the place they are in (`is`) or belong to (`home`), each in their order there; of some places only, where asked so. */
export function groupLotsByPlace(
  household: Household,
  which: 'is' | 'home',
  among?: ReadonlySet<PlaceId>,
): Map<PlaceId, Lot[]> {
  const byPlace = new Map<PlaceId, Lot[]>();
  for (const lot of household.lots.values()) {
    const id = which === 'is' ? lot.placeId : lot.homeId;
    if (id === undefined || (among && !among.has(id)) || !takesRoom(lot)) continue;
    const lots = byPlace.get(id);
    if (lots) lots.push(lot);
    else byPlace.set(id, [lot]);
  }
  const turn = which === 'is' ? 'order' : 'homeOrder';
  for (const lots of byPlace.values()) lots.sort((a, b) => a[turn] - b[turn] || (a.id < b.id ? -1 : 1));
  return byPlace;
}

/** A lot's size in the form it has, or in the first form that suits it when that one no longer does. */
export function computePresentPackage(household: Household, lot: Lot, form = lot.form): Package | null {
  const item = household.items.get(lot.itemId);
  if (!item) return null;
  const whole = getWholeLot(household, lot);
  return (
    computePackage(item, whole, form, household.settings) ?? computePackages(item, whole, household.settings)[0] ?? null
  );
}

/** Packs what is in a place, for drawing and for saying where in it a thing stands. */
export function computeContents(
  household: Household,
  tree: PlaceTree,
  placeId: PlaceId,
  lots: readonly Lot[],
  which: 'is' | 'home' = 'is',
): PlaceContents {
  const place = tree.places.get(placeId);
  const contents = lots.flatMap((lot): Content[] => {
    const item = household.items.get(lot.itemId);
    const pkg = computePresentPackage(household, lot, which === 'is' ? lot.form : lot.homeForm);
    return item && pkg ? [{ lot, item, pkg }] : [];
  });
  if (!place) return { contents, spots: null };
  const packed = packPlace(
    contents.map((one) => one.pkg),
    computeSpace(tree, place),
  );
  return { contents, spots: packed.status === 'packed' ? packed.spots : null };
}

/** Where in its place a lot stands, as one would say it. */
export type Standing =
  | {
      readonly kind: 'row';
      readonly nth: number;
      readonly of: number;
      readonly from: 'left' | 'front';
      readonly row: number;
      readonly rows: number;
    }
  | { readonly kind: 'pile'; readonly nth: number; readonly of: number; readonly pile: number; readonly piles: number }
  /** On a hook with others, the first nearest to the hand. */
  | { readonly kind: 'hook'; readonly nth: number; readonly of: number }
  /** In a divided bin: which cell, from the left and from the front. */
  | {
      readonly kind: 'cell';
      readonly column: number;
      readonly columns: number;
      readonly row: number;
      readonly rows: number;
    }
  | { readonly kind: 'among'; readonly of: number };

function isPiledAt(inside: PlaceContents, index: number): boolean {
  const form = inside.contents[index]?.pkg.form;
  return form !== undefined && isPiled(form);
}

/** From the packed positions, so that the words are what the eye will see. */
export function computeStanding(inside: PlaceContents, lot: Lot, space: Space): Standing {
  const { mode, rowsRun, dividers } = space;
  const of = inside.contents.length;
  const index = inside.contents.findIndex((one) => one.lot.id === lot.id);
  const first = inside.spots?.find((spot) => spot.index === index && spot.piece === 0);
  if (first && inside.spots && mode === 'area') {
    // Those whose hang holes are on the same spot of the field.
    const hole = (spot: Spot) => `${Math.round(spot.xMm + spot.widthMm / 2)} ${Math.round(spot.zMm + spot.heightMm)}`;
    const here = inside.spots.filter((spot) => hole(spot) === hole(first)).toSorted((a, b) => a.yMm - b.yMm);
    if (here.length > 1) return { kind: 'hook', nth: here.indexOf(first) + 1, of: here.length };
  }
  if (first && dividers) {
    const { columns, rows } = dividers;
    const column = Math.floor((first.xMm + 1e-6) / (space.widthMm / columns)) + 1;
    const row = Math.floor((first.yMm + 1e-6) / (space.depthMm / rows)) + 1;
    return { kind: 'cell', column: Math.min(columns, column), columns, row: Math.min(rows, row), rows };
  }
  if (!first || !inside.spots || mode === 'volume' || mode === 'area') return { kind: 'among', of };
  const firsts = inside.spots.filter((spot) => spot.piece === 0);
  if (isPiledAt(inside, index)) {
    const starts = [
      ...new Set(firsts.filter((spot) => isPiledAt(inside, spot.index)).map((spot) => spot.xMm)),
    ].toSorted((a, b) => a - b);
    const pile = firsts.filter((spot) => spot.xMm === first.xMm).toSorted((a, b) => b.zMm - a.zMm);
    return {
      kind: 'pile',
      nth: pile.indexOf(first) + 1,
      of: pile.length,
      pile: starts.indexOf(first.xMm) + 1,
      piles: starts.length,
    };
  }
  if (mode === 'pins') {
    const rowsAt = [...new Set(firsts.map((spot) => Math.round(spot.zMm + spot.heightMm / 2)))].toSorted(
      (a, b) => b - a,
    );
    const rowOf = (spot: Spot) => rowsAt.indexOf(Math.round(spot.zMm + spot.heightMm / 2));
    const row = firsts.filter((spot) => rowOf(spot) === rowOf(first)).toSorted((a, b) => a.xMm - b.xMm);
    return {
      kind: 'row',
      nth: row.indexOf(first) + 1,
      of: row.length,
      from: 'left',
      row: rowOf(first) + 1,
      rows: rowsAt.length,
    };
  }
  const along = (spot: Spot) => (rowsRun === 'x' ? spot.xMm : spot.yMm);
  const across = (spot: Spot) => (rowsRun === 'x' ? spot.yMm : spot.xMm);
  const starts = [...new Set(firsts.map(across))].toSorted((a, b) => a - b);
  // A pile in a row of spines counts once.
  const rowSpots = firsts.filter((spot) => across(spot) === across(first));
  const columns = [...new Set(rowSpots.map(along))].toSorted((a, b) => a - b);
  return {
    kind: 'row',
    nth: columns.indexOf(along(first)) + 1,
    of: columns.length,
    from: rowsRun === 'x' ? 'left' : 'front',
    row: starts.indexOf(across(first)) + 1,
    rows: starts.length,
  };
}
