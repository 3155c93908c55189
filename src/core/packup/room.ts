import { getNaming } from '../naming/index.ts';
import { createBareRoom } from '../room/index.ts';
import type { BoxSize, Place, PlaceId } from '../records/index.ts';

/** What things are packed apart from: liquids leak, blades cut, and neither lies in with cloth. */
export type BoxClass = 'liquid' | 'sharp' | 'other';

/** A moving box as it is to stand among the others. */
export interface BoxToStand {
  readonly id: PlaceId;
  readonly name: string;
  readonly size: BoxSize;
}

/** Cardboard, mm and g for each m² of it. */
const WALL_MM = 4;
const G_PER_M2 = 600;
/** So much of the floor stands beside a row of boxes. */
const SPARE_MM = 20;
/** A row of boxes is no longer than this. */
const MOST_ROW_MM = 19_000;

const outer = ({ widthMm, depthMm, heightMm }: BoxSize) => ({
  outerWidthMm: widthMm + 2 * WALL_MM,
  outerDepthMm: depthMm + 2 * WALL_MM,
  outerHeightMm: heightMm + WALL_MM,
});

function toContainer(size: BoxSize, liftG: number): NonNullable<Place['container']> {
  const sides = outer(size);
  const area =
    2 * (sides.outerWidthMm + sides.outerDepthMm) * sides.outerHeightMm + 4 * sides.outerWidthMm * sides.outerDepthMm;
  return {
    kind: 'box',
    ...sides,
    wallMm: WALL_MM,
    mode: 'volume',
    tareG: Math.round((area / 1e6) * G_PER_M2),
    loadG: liftG,
    isSeeThrough: false,
    hasLid: true,
  };
}

/**
 * Boxes standing in rows in a room of their own, which stands for the hall, the van and wherever they are meanwhile. Boxes are places
 * like all others: things are carried into them, found in them, and labelled by them.
 */
export function createBoxRoom(
  boxes: readonly BoxToStand[],
  liftG: number,
  order: number,
  createId: () => string,
): Place[] {
  const room = createBareRoom(createId() as PlaceId, getNaming().onTheMove, order, [], createId);
  const rows: BoxToStand[][] = [];
  let left = 0;
  for (const box of boxes) {
    const wide = outer(box.size).outerWidthMm;
    if (rows.length === 0 || wide > left) {
      rows.push([]);
      left = MOST_ROW_MM;
    }
    rows.at(-1)!.push(box);
    left -= wide;
  }
  const places: Place[] = [room];
  for (const [n, row] of rows.entries()) {
    const most = (of: (sides: ReturnType<typeof outer>) => number) =>
      Math.max(...row.map(({ size }) => of(outer(size))));
    const widthMm = row.reduce((sum, { size }) => sum + outer(size).outerWidthMm, 0) + SPARE_MM;
    const [depthMm, heightMm] = [most((s) => s.outerDepthMm) + SPARE_MM, most((s) => s.outerHeightMm) + SPARE_MM];
    const unit: Place = {
      id: createId() as PlaceId,
      parentId: room.id,
      level: 'unit',
      name: rows.length === 1 ? getNaming().heapOfBoxes : `${getNaming().heapOfBoxes} ${n + 1}`,
      order: n,
      unit: {
        kind: 'floor',
        wallId: 'north',
        xMm: 0,
        yMm: 0,
        widthMm,
        heightMm,
        depthMm,
        boardMm: 0,
        columns: 1,
        rows: 1,
        isAnchored: false,
        isHeap: true,
      },
    };
    const slot: Place = {
      id: createId() as PlaceId,
      parentId: unit.id,
      level: 'slot',
      name: getNaming().row,
      order: 0,
      slot: {
        xMm: 0,
        yMm: 0,
        widthMm,
        heightMm,
        depthMm,
        mode: 'volume',
        loadG: 1e6,
        opening: 'open',
        isSeeThrough: false,
        light: 'day',
        isDustProof: false,
        isPetProof: false,
        isChildSafe: false,
        isNearHeat: false,
      },
    };
    places.push(unit, slot);
    for (const [k, { id, name, size }] of row.entries())
      places.push({ id, parentId: slot.id, level: 'container', name, order: k, container: toContainer(size, liftG) });
  }
  return places;
}
