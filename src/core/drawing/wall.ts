import type { Household, Lot, LotId, Place, PlaceId, RoomSpec, SlotSpec, UnitSpec } from '../records/index.ts';
import { getColour } from '../colour/index.ts';
import { computeBands, type Band, type BandsFor, standBoxes, type PlaceTree, type WallLine } from '../storage/index.ts';
import { covers, drawClosed, drawTab, listDyes, zigzag, type Inside } from './closed.ts';
import { drawContents, drawKept, drawThrough } from './content.ts';
import type { Spot } from '../packing/index.ts';
import type { Box } from './pen.ts';
import type { Figure, Shape } from './shapes.ts';
import {
  computeContents,
  getPlaceState,
  groupLotsByPlace,
  type PlaceContents,
  type PlaceState,
} from '../whereabouts/index.ts';

/** A wall front on, in mm. Figures come in the order they are drawn: units, their places, the lots in them. */
export interface WallDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly backdrop: readonly Shape[];
  readonly bands: readonly Band[];
  readonly figures: readonly Figure[];
  /** By place: the share that is used, and the room left along its line, where it has one. */
  readonly places: ReadonlyMap<PlaceId, PlaceState>;
}

/** Which truth to draw: where things are, or where the adopted plan wants them. */
export type WallView = 'is' | 'home';

/** Says what some lots are that lie in a shut place, in a few words. */
export type WordInside = (lots: readonly Lot[]) => string;

const MARGIN_ABOVE_MM = 60;
const ROD_MM = 28;
const ROD_BELOW_MM = 60;

function drawUnit(unit: Place, wallHeight: number): Figure | null {
  const spec = unit.unit;
  if (!spec) return null;
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
  return { kind: 'unit', id: unit.id, x, y, width, height, shapes };
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

/** What is drawn so far, and what it is drawn from. */
interface Sheet {
  readonly household: Household;
  readonly tree: PlaceTree;
  readonly view: WallView;
  readonly heightMm: number;
  readonly wordInside: WordInside;
  readonly byPlace: ReturnType<typeof groupLotsByPlace>;
  /** By the home that keeps their room, while they are out. */
  readonly byHome: ReturnType<typeof groupLotsByPlace>;
  readonly figures: Figure[];
  readonly places: Map<PlaceId, PlaceState>;
}

/** The front of a slot on the sheet, mm. */
interface Front {
  readonly left: number;
  readonly top: number;
  readonly bottom: number;
  readonly slot: SlotSpec;
}

/** What is in a place as it lies there, packed once; how full it is is kept for the ticket and the names. */
function readPlace(
  { household, tree, view, byPlace, places }: Sheet,
  place: Place,
): PlaceContents & { state: PlaceState } {
  const inside = computeContents(household, tree, place.id, byPlace.get(place.id) ?? [], view);
  const state = getPlaceState(tree, place, inside);
  places.set(place.id, state);
  return { ...inside, state };
}

/** What is in a shut place: in the words of the interface, and by its swatches. */
function readInside({ household, byPlace, wordInside }: Sheet, id: PlaceId): Inside {
  const lots = byPlace.get(id) ?? [];
  return {
    words: lots.length === 0 ? '' : wordInside(lots),
    dyes: listDyes(lots.flatMap((lot) => household.items.get(lot.itemId) ?? [])),
  };
}

/** What shows through a bin's front, where it is clear, faces the room and its things lie in order. */
function drawShown(bin: Place, { contents, spots }: PlaceContents, box: Box): readonly Shape[] | null {
  const { isSeeThrough, wallMm, at } = bin.container!;
  if (!isSeeThrough || at?.isTurned || contents.length === 0 || !spots) return null;
  return drawThrough(contents, spots, box.x + wallMm, box.y + box.height - wallMm);
}

/** The room that a place keeps for what is out or lent, where that still goes in and moves nothing that is there. */
function drawRoomKept({ household, tree, byHome }: Sheet, place: Place, inside: PlaceContents, front: Front): Figure[] {
  const away = (byHome.get(place.id) ?? []).filter(({ state }) => state === 'out' || state === 'lent');
  if (away.length === 0 || !inside.spots) return [];
  const here = inside.contents.map(({ lot }) => lot);
  const all = computeContents(household, tree, place.id, [...here, ...away]);
  if (!all.spots || !isSameStart(inside.spots, all.spots)) return [];
  const kept = all.contents.slice(here.length).map(({ lot }) => lot);
  const spots = all.spots
    .filter(({ index }) => index >= here.length)
    .map((spot) => ({ ...spot, index: spot.index - here.length }));
  return drawKept(kept, spots, front.left, front.bottom);
}

/** Whether what was there stands where it stood. */
function isSameStart(before: readonly Spot[], after: readonly Spot[]): boolean {
  const name = ({ index, piece, xMm, yMm, zMm }: Spot) => `${index} ${piece} ${xMm} ${yMm} ${zMm}`;
  const there = new Set(after.map(name));
  return before.every((spot) => there.has(name(spot)));
}

/** The bins of a slot, those behind first; of what stands wholly behind a tab looks over the one before it. */
function drawBins(sheet: Sheet, slotPlace: Place, bins: readonly Place[], { left, top, bottom, slot }: Front): void {
  const { figures, household } = sheet;
  const [width, height] = [slot.widthMm, slot.heightMm];
  const inside: Shape = { type: 'rect', x: left, y: top, width, height, ink: 'inside' };
  figures.push({ kind: 'unit', id: slotPlace.id, x: left, y: top, width, height, shapes: [inside] });
  const stood = standBoxes(bins.map((bin) => bin.container!));
  const hidden: Figure[] = [];
  const fromBehind = bins.map((bin, i) => ({ bin, at: stood[i]! })).toSorted((a, b) => b.at.front - a.at.front);
  const isHidden = (at: (typeof stood)[number]) => stood.some((other) => other.front < at.front && covers(other, at));
  for (const { bin, at } of fromBehind) {
    const packed = readPlace(sheet, bin);
    const { state } = packed;
    if (isHidden(at)) {
      hidden.push(drawTab(bin, left + width, top, hidden.length, state));
      continue;
    }
    const box = { x: left + at.left, y: bottom - at.top, width: at.right - at.left, height: at.top - at.bottom };
    const shown = drawShown(bin, packed, box);
    const inside = { ...readInside(sheet, bin.id), ...(shown && { shown }) };
    const shapes = drawClosed(bin, box, state, household.settings.fillTarget, inside);
    figures.push({ kind: 'place', id: bin.id, ...box, shapes });
  }
  figures.push(...hidden);
}

/** What of an open place is there before anything lies in it: its inside, a closet's rod, the hooks of a board. */
function drawInside(unit: UnitSpec, { left, top, slot }: Front): Shape[] {
  const [width, height] = [slot.widthMm, slot.heightMm];
  const isBoard = slot.mode === 'area' || slot.mode === 'pins';
  const isFree = ['table', 'floor', 'rail'].includes(unit.kind);
  const shapes: Shape[] = [];
  if (!isBoard && !isFree)
    shapes.push({ type: 'rect', x: left, y: top, width, height, ink: slot.light === 'dark' ? 'dim' : 'inside' });
  // The rod of a closet, a hand below its top.
  if (slot.mode === 'rail' && !isFree)
    shapes.push({ type: 'rect', x: left, y: top + ROD_BELOW_MM, width, height: ROD_MM, ink: 'wood' });
  for (const hook of slot.peg?.hooks ?? []) {
    const [x, y] = [left + (hook.column + 0.5) * slot.peg!.pitchMm, top + (hook.row + 0.5) * slot.peg!.pitchMm];
    const points: [number, number][] = [
      [x, y - 14],
      [x, y + 8],
      [x + 9, y + 8],
    ];
    shapes.push({ type: 'path', points, isClosed: false, ink: 'steel' });
  }
  return shapes;
}

/** A place that holds things itself: shut, or open with what lies in it. */
function drawPlace(sheet: Sheet, unit: UnitSpec, slotPlace: Place, front: Front): void {
  const { household, figures } = sheet;
  const { left, top, bottom, slot } = front;
  const [width, height] = [slot.widthMm, slot.heightMm];
  const inside = readPlace(sheet, slotPlace);
  const { contents, spots, state } = inside;
  const frame = { kind: 'place', id: slotPlace.id, x: left, y: top, width, height } as const;
  if (slot.opening === 'drawer' || slot.opening === 'lid') {
    const told = readInside(sheet, slotPlace.id);
    figures.push({ ...frame, shapes: drawClosed(slotPlace, frame, state, household.settings.fillTarget, told) });
    return;
  }
  figures.push({ ...frame, shapes: drawInside(unit, front) });
  figures.push(...drawRoomKept(sheet, slotPlace, inside, front));
  if (spots) figures.push(...drawContents(contents, spots, left, bottom, slot.mode === 'pins'));
  else if (contents.length > 0) {
    const heap = contents.map((one) => ({ id: one.lot.id, colour: getColour(one.item) }));
    figures.push(...drawHeap(heap, left, bottom, width, height));
  }
  if (state.isOverFull) figures.push({ ...frame, kind: 'unit', shapes: [zigzag(left, top, width)] });
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

/** Draws a wall of a room with all that stands on it and in it. Pure: the same records give the same shapes. */
export function computeWallDrawing(
  household: Household,
  tree: PlaceTree,
  room: Place,
  wall: WallLine,
  view: WallView,
  bandsFor: BandsFor = 'standing',
  wordInside: WordInside = () => '',
): WallDrawing {
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
  const byPlace = groupLotsByPlace(household, view);
  // As it is planned, all that has a home is there.
  const byHome = view === 'is' ? groupLotsByPlace(household, 'home') : new Map<PlaceId, Lot[]>();
  const sheet: Sheet = { household, tree, view, heightMm, wordInside, byPlace, byHome, figures: [], places: new Map() };
  const { figures, places } = sheet;
  const units = tree.getChildren(room.id).filter((unit) => unit.unit?.wallId === wall.id);
  for (const unit of units.toSorted((a, b) => b.unit!.depthMm - a.unit!.depthMm)) {
    const drawn = drawUnit(unit, heightMm);
    if (!drawn) continue;
    figures.push(drawn);
    for (const slotPlace of tree.getChildren(unit.id)) {
      const slot = slotPlace.slot!;
      const bottom = up(unit.unit!.yMm + slot.yMm);
      const front = { left: unit.unit!.xMm + slot.xMm, bottom, top: bottom - slot.heightMm, slot };
      const bins = tree.getChildren(slotPlace.id);
      if (bins.length > 0) drawBins(sheet, slotPlace, bins, front);
      else drawPlace(sheet, unit.unit!, slotPlace, front);
    }
  }
  figures.push(...units.flatMap((unit) => drawNames(unit, tree.getChildren(unit.id), heightMm)));
  return { widthMm, heightMm, backdrop, bands, figures, places };
}

/** What does not pack is stuffed in: squeezed spines that fill the place to its top. */
function drawHeap(
  things: readonly { id: LotId; colour: string }[],
  left: number,
  bottom: number,
  widthMm: number,
  heightMm: number,
): Figure[] {
  const width = widthMm / things.length;
  return things.map(({ id, colour }, i): Figure => {
    const box = { x: left + i * width, y: bottom - heightMm * 0.94, width, height: heightMm * 0.94 };
    return { kind: 'lot', id, ...box, shapes: [{ type: 'rect', ...box, ink: 'cloth', colour }] };
  });
}
