import { finish, type Slices } from '../slices/index.ts';
import type { Household, Lot, Place, PlaceId, RoomSpec } from '../records/index.ts';
import { computeBands, type Band, type BandsFor, type PlaceTree, type WallLine } from '../storage/index.ts';
import { groupLotsByPlace, type PlaceState } from '../whereabouts/index.ts';
import { drawFront, keepLayer, type Layer, type Sheet, type WallView, type WordInside } from './front.ts';
import type { Figure, Shape } from './shapes.ts';

/** A wall front on, in mm. Figures come in the order they are drawn: units, their places, the lots in them. */
export interface WallDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly backdrop: readonly Shape[];
  readonly bands: readonly Band[];
  /** The units and, after each, its slots; the names over all of them. */
  readonly layers: readonly Layer[];
  readonly figures: readonly Figure[];
  /** By place: the share that is used, and the room left along its line, where it has one. */
  readonly places: ReadonlyMap<PlaceId, PlaceState>;
}

const MARGIN_ABOVE_MM = 60;

function drawUnit(unit: Place, wallHeight: number): Figure[] {
  const spec = unit.unit;
  if (!spec) return [];
  const y = wallHeight - spec.yMm - spec.heightMm;
  const { xMm: x, widthMm: width, heightMm: height } = spec;
  const shapes: Shape[] = [];
  if (spec.kind === 'table') {
    shapes.push({ type: 'rect', x, y, width, height: 36, ink: 'wood' });
    for (const leg of [x + 30, x + width - 70])
      shapes.push({ type: 'rect', x: leg, y: y + 36, width: 40, height: height - 36, ink: 'wood' });
  } else if (spec.kind === 'floor') {
    shapes.push({
      type: 'path',
      points: [
        [x, y + height - 40],
        [x, y + height],
        [x + width, y + height],
        [x + width, y + height - 40],
      ],
      isClosed: false,
      ink: 'dim',
    });
  } else if (spec.kind === 'rail') {
    for (const post of [x, x + width - 24]) shapes.push({ type: 'rect', x: post, y, width: 24, height, ink: 'wood' });
    shapes.push({ type: 'rect', x, y, width, height: 24, ink: 'wood', round: 3 });
  } else shapes.push({ type: 'rect', x, y, width, height, ink: 'wood', round: 3 });
  if (spec.kind === 'pegboard')
    for (let hx = 38; hx < width; hx += 76.2)
      for (let hy = 38; hy < height; hy += 76.2)
        shapes.push({ type: 'circle', x: x + hx, y: y + hy, radius: 4, ink: 'tick' });
  return [{ kind: 'unit', id: unit.id, x, y, width, height, shapes }];
}

/** A unit's name, and the letters and numbers of its cubes; drawn over everything, so that it can be read. */
function drawNames(unit: Place, slots: readonly Place[], wallHeight: number): Figure[] {
  const spec = unit.unit;
  if (!spec) return [];
  const y = wallHeight - spec.yMm - spec.heightMm;
  const { xMm: x, widthMm: width, heightMm: height } = spec;
  const shapes: Shape[] = [];
  const nameY = spec.kind === 'cubes' ? y - 104 : y - 42;
  shapes.push({
    type: 'text',
    // Things on a table stand from its left; its name keeps to the right.
    x: spec.kind === 'table' ? x + width : x + width / 2,
    y: nameY,
    text: unit.name,
    ink: 'unitName',
    anchor: spec.kind === 'table' ? 'end' : 'middle',
  });
  if (spec.kind === 'cubes') {
    for (let column = 0; column < spec.columns; column += 1)
      shapes.push({
        type: 'text',
        x: x + ((column + 0.5) * width) / spec.columns,
        y: y - 40,
        text: String.fromCharCode(65 + column),
        ink: 'slotName',
        anchor: 'middle',
      });
    for (let row = 0; row < spec.rows; row += 1) {
      const midMm = ((row + 0.5) * height) / spec.rows;
      // As its cubes are called: they may have names from before.
      const called = slots
        .filter(({ slot }) => slot && slot.yMm <= midMm && midMm <= slot.yMm + slot.heightMm)
        .flatMap(({ name }) => /^[A-Z](\d+)/u.exec(name)?.[1] ?? []);
      shapes.push({
        type: 'text',
        x: x - 22,
        y: wallHeight - spec.yMm - midMm,
        text: called[0] ?? String(spec.rows - row),
        ink: 'slotName',
        anchor: 'middle',
      });
    }
  }
  return [{ kind: 'unit', id: unit.id, x, y, width, height, shapes }];
}

/** A frame's bars and a door's handle are so thick and so high, mm. */
const BAR_MM = 12;
const HANDLE_MM = 1050;
const HANDLE_IN_MM = 70;

/** Doors and windows of a wall, so that nothing is hung over the glass; those in a slope are not in it. */
function drawOpenings(room: RoomSpec, wall: WallLine, up: (zMm: number) => number): Shape[] {
  const windows = room.windows.filter(({ wallId, isInSlope }) => wallId === wall.id && !isInSlope);
  const doors = room.doors.filter(({ wallId }) => wallId === wall.id);
  return [
    ...windows.flatMap(({ xMm, sillMm, widthMm, heightMm }): Shape[] => {
      const [y, middle] = [up(sillMm + heightMm), xMm + widthMm / 2];
      return [
        { type: 'rect', x: xMm, y, width: widthMm, height: heightMm, ink: 'glass' },
        { type: 'rect', x: middle - BAR_MM / 2, y, width: BAR_MM, height: heightMm, ink: 'wood' },
        { type: 'rect', x: xMm - 40, y: up(sillMm), width: widthMm + 80, height: BAR_MM, ink: 'wood' },
      ];
    }),
    ...doors.flatMap(({ xMm, widthMm, heightMm, hinge, swing }): Shape[] => {
      const leaf: Shape = { type: 'rect', x: xMm, y: up(heightMm), width: widthMm, height: heightMm, ink: 'doorway' };
      const handle = hinge === 'left' ? xMm + widthMm - HANDLE_IN_MM : xMm + HANDLE_IN_MM;
      if (swing === 'none') return [leaf];
      return [leaf, { type: 'circle', x: handle, y: up(HANDLE_MM), radius: 22, ink: 'knob' }];
    }),
  ];
}

export interface WallHow {
  readonly view?: WallView;
  readonly bandsFor?: BandsFor;
  readonly wordInside?: WordInside;
  /** The same wall as it was drawn before: what is as it was then is taken over, the very same. */
  readonly before?: WallDrawing | undefined;
}

/** Draws a wall of a room with all that stands on it and in it. Pure: the same records give the same shapes. */
export const computeWallDrawing = (
  household: Household,
  tree: PlaceTree,
  room: Place,
  wall: WallLine,
  how: WallHow = {},
): WallDrawing => finish(drawWallInSlices(household, tree, room, wall, how));

/** `computeWallDrawing`, pausing in between. */
export function* drawWallInSlices(
  household: Household,
  tree: PlaceTree,
  room: Place,
  wall: WallLine,
  { view = 'is', bandsFor = 'standing', wordInside = () => '', before }: WallHow = {},
): Slices<WallDrawing> {
  const widthMm = wall.lengthMm;
  const ceilingMm = Math.max(...wall.ceiling.map((point) => point.yMm));
  const heightMm = ceilingMm + MARGIN_ABOVE_MM;
  const up = (zMm: number) => heightMm - zMm;
  const outline: [number, number][] = [
    [0, up(0)],
    ...wall.ceiling.map(({ xMm, yMm }): [number, number] => [xMm, up(yMm)]),
    [widthMm, up(0)],
  ];
  const floor: [number, number][] = [
    [-60, up(0)],
    [widthMm + 60, up(0)],
  ];
  const backdrop: Shape[] = [
    { type: 'path', points: outline, isClosed: true, ink: 'wall' },
    ...drawOpenings(room.room!, wall, up),
    { type: 'path', points: floor, isClosed: false, ink: 'floor' },
  ];
  const bands = computeBands(household.settings, bandsFor, ceilingMm);
  const units = tree.getChildren(room.id).filter((unit) => unit.unit?.wallId === wall.id);
  const slots = units.flatMap(({ id }) => tree.getChildren(id));
  const here = new Set([...slots, ...slots.flatMap(({ id }) => tree.getChildren(id))].map(({ id }) => id));
  // Each goes through the whole household.
  yield;
  const byPlace = groupLotsByPlace(household, view, here);
  yield;
  // As it is planned, all that has a home is there.
  const byHome = view === 'is' ? groupLotsByPlace(household, 'home', here) : new Map<PlaceId, Lot[]>();
  yield;
  const sheet: Sheet = { household, tree, view, heightMm, wordInside, byPlace, byHome };
  const known = new Map(before?.layers.map((layer) => [layer.id, layer]));
  const layers: Layer[] = [];
  const bare = { places: new Map<PlaceId, PlaceState>(), words: new Map<PlaceId, string>() };
  for (const unit of units.toSorted((a, b) => b.unit!.depthMm - a.unit!.depthMm)) {
    const front = () => ({ ...bare, id: unit.id, figures: drawUnit(unit, heightMm) });
    layers.push(keepLayer(known.get(unit.id), [unit, heightMm], front));
    for (const slotPlace of tree.getChildren(unit.id)) {
      layers.push(drawFront(sheet, unit, slotPlace, known.get(slotPlace.id)));
      yield;
    }
  }
  const named = units.map((unit) => [unit, ...tree.getChildren(unit.id)] as const);
  layers.push(
    keepLayer(known.get('names'), [heightMm, ...named.flat()], () => ({
      ...bare,
      id: 'names',
      figures: named.flatMap(([unit, ...slots]) => drawNames(unit, slots, heightMm)),
    })),
  );
  return {
    widthMm,
    heightMm,
    backdrop,
    bands,
    layers,
    figures: layers.flatMap(({ figures }) => figures),
    places: new Map(layers.flatMap(({ places }) => [...places])),
  };
}
