import type { Spot } from '../packing/index.ts';
import type { Lot } from '../records/index.ts';
import { createPen, type Box } from './pen.ts';
import { drawPiece } from './pieces.ts';
import type { Figure, Shape } from './shapes.ts';
import type { Content } from '../whereabouts/index.ts';

/** A spot's rectangle as seen from the front. `left` and `bottom` are the place's lower left corner on the wall. */
function getFront(spot: Spot, left: number, bottom: number): Box {
  return { x: left + spot.xMm, y: bottom - spot.zMm - spot.heightMm, width: spot.widthMm, height: spot.heightMm };
}

/** The spots of each of so many things. */
function groupSpots(spots: readonly Spot[], count: number): readonly Spot[][] {
  const groups = Array.from({ length: count }, (): Spot[] => []);
  for (const spot of spots) groups[spot.index]?.push(spot);
  return groups;
}

function getOuterBox(boxes: readonly Box[]): Box {
  const x = Math.min(...boxes.map((box) => box.x));
  const y = Math.min(...boxes.map((box) => box.y));
  return {
    x,
    y,
    width: Math.max(...boxes.map((box) => box.x + box.width)) - x,
    height: Math.max(...boxes.map((box) => box.y + box.height)) - y,
  };
}

/** The stitches that tell how a thing is: one along its middle where a plan wants it elsewhere, tacks where some of it is promised. */
function stitch(lot: Lot, box: Box): Shape[] {
  const pen = createPen(box);
  const isTall = box.height >= box.width;
  const isPlanned = lot.homeId !== undefined && lot.placeId !== undefined && lot.homeId !== lot.placeId;
  const isPromised = (lot.reserved ?? []).length > 0;
  return [
    ...(isPlanned ? [pen.line(isTall ? [50, 4, 50, 96] : [4, 50, 96, 50], 'planned')] : []),
    ...(isPromised ? [pen.line(isTall ? [18, 3, 18, 97] : [3, 18, 97, 18], 'promised')] : []),
  ];
}

/** Everything that stands or hangs visibly in an open place, lot by lot, in the order given. */
export function drawContents(
  contents: readonly Content[],
  spots: readonly Spot[],
  left: number,
  bottom: number,
  isSpools: boolean,
): Figure[] {
  const bySpot = groupSpots(spots, contents.length);
  return contents.map(({ lot, item, pkg }, index): Figure => {
    const boxes = bySpot[index]!.map((spot) => getFront(spot, left, bottom));
    const box = getOuterBox(boxes);
    const pieces = boxes.flatMap((one) => drawPiece(item, isSpools ? 'spool' : pkg.form, one));
    return { kind: 'lot', id: lot.id, ...box, shapes: [...pieces, ...stitch(lot, box)] };
  });
}

/** What shows through a front: those behind first, for they are hidden by those before them. */
export function drawThrough(
  contents: readonly Content[],
  spots: readonly Spot[],
  left: number,
  bottom: number,
): Shape[] {
  return spots
    .toSorted((a, b) => b.yMm - a.yMm)
    .flatMap((spot) => {
      const { item, pkg } = contents[spot.index]!;
      return drawPiece(item, pkg.form, getFront(spot, left, bottom));
    });
}

/** The room that is kept for what belongs there and is out: a seam round where it would stand. */
export function drawKept(lots: readonly Lot[], spots: readonly Spot[], left: number, bottom: number): Figure[] {
  const bySpot = groupSpots(spots, lots.length);
  return lots.flatMap((lot, index): Figure[] => {
    const boxes = bySpot[index]!.map((spot) => getFront(spot, left, bottom));
    if (boxes.length === 0) return [];
    const box = getOuterBox(boxes);
    const ink = lot.state === 'lent' ? 'lent' : 'out';
    return [{ kind: 'lot', id: lot.id, ...box, shapes: [{ type: 'rect', ...box, ink, round: 3 }] }];
  });
}
