import type { Fixture, PlaceId, RoomSpec, SlotSpec, UnitSpec } from '../records/index.ts';
import { computeFootprint, listCorners, type Footprint } from '../storage/index.ts';
import type { Polygon } from './polygon.ts';

/** A piece of furniture as the plan sees it. */
export interface Piece {
  readonly id: PlaceId;
  readonly name: string;
  readonly unit: UnitSpec;
  readonly slots: readonly SlotSpec[];
  /** Cloth, paper or thread lies in it, which heat and sun would harm. */
  readonly holdsCloth: boolean;
  /** How often a month something in it is fetched, by the station it is fetched for. */
  readonly fetched?: ReadonlyMap<string, number>;
}

/** What stands in the room: its ground, and from where to where it reaches up. */
export interface Body {
  readonly id: string;
  readonly name: string;
  readonly print: Footprint;
  readonly corners: Polygon;
  readonly fromMm: number;
  readonly toMm: number;
  readonly piece: Piece | null;
  readonly fixture: Fixture | null;
}

/** A table is its top: drawers, rolls and knees go below. */
const TABLE_TOP_MM = 40;

/** A piece with its ground and height. */
export function createBody(room: RoomSpec, piece: Piece): Body {
  const { unit } = piece;
  const print = computeFootprint(room, unit);
  const toMm = unit.yMm + unit.heightMm;
  return {
    id: piece.id,
    name: piece.name,
    print,
    corners: listCorners(print),
    fromMm: unit.kind === 'table' ? Math.max(unit.yMm, toMm - TABLE_TOP_MM) : unit.yMm,
    toMm,
    piece,
    fixture: null,
  };
}

/** Pillars and heaters, which nobody moves. */
export function listFixtureBodies(room: RoomSpec): Body[] {
  return room.fixtures.map((fixture) => {
    const { widthMm, depthMm, at } = fixture;
    const print = { ...at, turnDeg: 0, widthMm, depthMm };
    return {
      id: fixture.id,
      name: fixture.name,
      print,
      corners: listCorners(print),
      fromMm: 0,
      toMm: fixture.heightMm,
      piece: null,
      fixture,
    };
  });
}

/** Whether two bodies reach into the same height, by more than a hair. */
export function meetInHeight(a: Pick<Body, 'fromMm' | 'toMm'>, b: Pick<Body, 'fromMm' | 'toMm'>): boolean {
  return Math.min(a.toMm, b.toMm) - Math.max(a.fromMm, b.fromMm) > 5;
}
