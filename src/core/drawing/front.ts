import { getColour } from '../colour/index.ts';
import { getWholeLot } from '../measure/index.ts';
import type { Spot } from '../packing/index.ts';
import type { Household, Lot, LotId, Place, PlaceId, SlotSpec, UnitSpec } from '../records/index.ts';
import { standBoxes, type PlaceTree } from '../storage/index.ts';
import {
  computeContents,
  getPlaceState,
  type groupLotsByPlace,
  type PlaceContents,
  type PlaceState,
} from '../whereabouts/index.ts';
import { covers, drawClosed, drawTab, listDyes, zigzag, type Inside } from './closed.ts';
import { drawContents, drawKept, drawThrough } from './content.ts';
import type { Box } from './pen.ts';
import type { Figure, Shape } from './shapes.ts';

/** Which truth to draw: where things are, or where the adopted plan wants them. */
export type WallView = 'is' | 'home';

/** Says what some lots are that lie in a shut place, in a few words. */
export type WordInside = (lots: readonly Lot[]) => string;

const ROD_MM = 28;
const ROD_BELOW_MM = 60;

/** What a wall is drawn from. */
export interface Sheet {
  readonly household: Household;
  readonly tree: PlaceTree;
  readonly view: WallView;
  readonly heightMm: number;
  readonly wordInside: WordInside;
  readonly byPlace: ReturnType<typeof groupLotsByPlace>;
  /** By the home that keeps their room, while they are out. */
  readonly byHome: ReturnType<typeof groupLotsByPlace>;
}

/** A part of a wall, with all that it was drawn from: from the same it need not be drawn again. */
export interface Layer {
  readonly id: PlaceId | 'names';
  readonly figures: readonly Figure[];
  /** Of the places that are drawn in it. */
  readonly places: ReadonlyMap<PlaceId, PlaceState>;
  /** What is in each of them, for who hears the wall instead of seeing it. */
  readonly words: ReadonlyMap<PlaceId, string>;
  readonly from: readonly unknown[];
}

/** A front as far as it is drawn. */
interface Drawn extends Sheet {
  readonly figures: Figure[];
  readonly places: Map<PlaceId, PlaceState>;
  readonly words: ReadonlyMap<PlaceId, string>;
}

const isShut = ({ opening }: SlotSpec) => opening === 'drawer' || opening === 'lid';

/** The front of a slot on the sheet, mm. */
interface Front {
  readonly left: number;
  readonly top: number;
  readonly bottom: number;
  readonly slot: SlotSpec;
}

/** What is in a place as it lies there, packed once; how full it is is kept for the ticket and the names. */
function readPlace(
  { household, tree, view, byPlace, places }: Drawn,
  place: Place,
): PlaceContents & { state: PlaceState } {
  const inside = computeContents(household, tree, place.id, byPlace.get(place.id) ?? [], view);
  const state = getPlaceState(tree, place, inside);
  places.set(place.id, state);
  return { ...inside, state };
}

/** What is in a shut place: in the words of the interface, and by its swatches. */
function readInside({ household, byPlace, words }: Drawn, id: PlaceId): Inside {
  const lots = byPlace.get(id) ?? [];
  return {
    words: words.get(id) ?? '',
    dyes: listDyes(lots.flatMap((lot) => household.items.get(lot.itemId) ?? [])),
  };
}

/** What shows through a bin's front, where it is clear, faces the room and its things lie in order. */
function drawShown(bin: Place, { contents, spots }: PlaceContents, box: Box): readonly Shape[] | null {
  const { isSeeThrough, wallMm, at } = bin.container!;
  if (!isSeeThrough || at?.isTurned || contents.length === 0 || !spots) return null;
  return drawThrough(contents, spots, box.x + wallMm, box.y + box.height - wallMm);
}

const listAway = (lots: readonly Lot[] = []) => lots.filter(({ state }) => state === 'out' || state === 'lent');

/** The room that a place keeps for what is out or lent, where that still goes in and moves nothing that is there. */
function drawRoomKept({ household, tree, byHome }: Drawn, place: Place, inside: PlaceContents, front: Front): Figure[] {
  const away = listAway(byHome.get(place.id));
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
function drawBins(sheet: Drawn, slotPlace: Place, bins: readonly Place[], { left, top, bottom, slot }: Front): void {
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
function drawPlace(sheet: Drawn, unit: UnitSpec, slotPlace: Place, front: Front): void {
  const { household, figures } = sheet;
  const { left, top, bottom, slot } = front;
  const [width, height] = [slot.widthMm, slot.heightMm];
  const inside = readPlace(sheet, slotPlace);
  const { contents, spots, state } = inside;
  const frame = { kind: 'place', id: slotPlace.id, x: left, y: top, width, height } as const;
  if (isShut(slot)) {
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

/** All that the front of a slot is drawn from, in the same order each time. */
function listInputs(sheet: Sheet, slotPlace: Place, bins: readonly Place[], words: Iterable<string>) {
  const { household, tree, view, heightMm, byPlace, byHome } = sheet;
  const lots = [
    ...[slotPlace, ...bins].flatMap(({ id }) => byPlace.get(id) ?? []),
    ...(bins.length > 0 ? [] : listAway(byHome.get(slotPlace.id))),
  ];
  return [
    view,
    heightMm,
    household.settings,
    tree,
    ...words,
    // What is wrapped with it makes it longer.
    ...lots.flatMap((lot) => [lot, household.items.get(lot.itemId), getWholeLot(household, lot).lengthMm]),
  ];
}

const isSame = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/** The same part of the wall as it was drawn before, or a new one where it is drawn from something else. */
export function keepLayer(before: Layer | undefined, from: readonly unknown[], draw: () => Omit<Layer, 'from'>): Layer {
  return before && isSame(before.from, from) ? before : { ...draw(), from };
}

/** What a slot of a unit shows: its bins, or what lies in it. */
export function drawFront(sheet: Sheet, unit: Place, slotPlace: Place, before?: Layer): Layer {
  const { tree, heightMm, byPlace, wordInside } = sheet;
  const [spec, slot] = [unit.unit!, slotPlace.slot!];
  const bins = tree.getChildren(slotPlace.id);
  const words = new Map(
    (bins.length > 0 ? bins : [slotPlace]).map(({ id }) => {
      const lots = byPlace.get(id) ?? [];
      return [id, lots.length === 0 ? '' : wordInside(lots)];
    }),
  );
  return keepLayer(before, listInputs(sheet, slotPlace, bins, words.values()), () => {
    const drawn: Drawn = { ...sheet, figures: [], places: new Map(), words };
    const bottom = heightMm - spec.yMm - slot.yMm;
    const front = { left: spec.xMm + slot.xMm, bottom, top: bottom - slot.heightMm, slot };
    if (bins.length > 0) drawBins(drawn, slotPlace, bins, front);
    else drawPlace(drawn, spec, slotPlace, front);
    return { id: slotPlace.id, figures: drawn.figures, places: drawn.places, words };
  });
}
