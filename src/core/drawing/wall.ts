import type { Household, LotId, Place, PlaceId } from '../records/index.ts';
import { computeBands, type Band, type BandsFor } from '../storage/bands.ts';
import { standBoxes, type PlaceTree, type WallLine } from '../storage/index.ts';
import { covers, drawClosed, drawTab, zigzag } from './closed.ts';
import { drawContents } from './content.ts';
import type { Figure, Shape } from './shapes.ts';
import { computeContents, computePlaceState, groupLotsByPlace, type PlaceState } from '../whereabouts/index.ts';

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
function drawNames(unit: Place, wallHeight: number): Figure[] {
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
    for (let row = 0; row < spec.rows; row += 1)
      shapes.push({
        type: 'text',
        x: x - 22,
        y: wallHeight - spec.yMm - ((row + 0.5) * height) / spec.rows,
        text: String(row + 1),
        ink: 'slotName',
        anchor: 'middle',
      });
  }
  return [{ kind: 'unit', id: unit.id, x, y, width, height, shapes }];
}

/** Draws a wall of a room with all that stands on it and in it. Pure: the same records give the same shapes. */
export function computeWallDrawing(
  household: Household,
  tree: PlaceTree,
  room: Place,
  wall: WallLine,
  view: WallView,
  bandsFor: BandsFor = 'standing',
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
  const backdrop: Shape[] = [
    { type: 'path', points: outline, isClosed: true, ink: 'wall' },
    {
      type: 'path',
      points: [
        [-60, up(0)],
        [widthMm + 60, up(0)],
      ],
      isClosed: false,
      ink: 'floor',
    },
  ];
  const { fillTarget } = household.settings;
  const bands = computeBands(household.settings, bandsFor, ceilingMm);

  const byPlace = groupLotsByPlace(household, view);
  const figures: Figure[] = [];
  const places = new Map<PlaceId, PlaceState>();
  const units = tree.getChildren(room.id).filter((unit) => unit.unit?.wallId === wall.id);
  for (const unit of units.toSorted((a, b) => b.unit!.depthMm - a.unit!.depthMm)) {
    const drawn = drawUnit(unit, heightMm);
    if (!drawn) continue;
    figures.push(drawn);
    for (const slotPlace of tree.getChildren(unit.id)) {
      const slot = slotPlace.slot!;
      const left = unit.unit!.xMm + slot.xMm;
      const bottom = up(unit.unit!.yMm + slot.yMm);
      const bins = tree.getChildren(slotPlace.id);
      const top = bottom - slot.heightMm;
      if (bins.length > 0) {
        figures.push({
          kind: 'unit',
          id: slotPlace.id,
          x: left,
          y: top,
          width: slot.widthMm,
          height: slot.heightMm,
          shapes: [{ type: 'rect', x: left, y: top, width: slot.widthMm, height: slot.heightMm, ink: 'inside' }],
        });
        const stood = standBoxes(bins.map((bin) => bin.container!));
        const hidden: Figure[] = [];
        // What stands behind is drawn first.
        const fromBehind = bins.map((bin, i) => ({ bin, at: stood[i]! })).toSorted((a, b) => b.at.front - a.at.front);
        const isHidden = (at: (typeof stood)[number]) =>
          stood.some((other) => other.front < at.front && covers(other, at));
        let tabs = 0;
        for (const { bin, at } of fromBehind) {
          const state = computePlaceState(household, tree, bin, byPlace.get(bin.id) ?? [], view);
          places.set(bin.id, state);
          const [x, y] = [left + at.left, bottom - at.top];
          const [width, height] = [at.right - at.left, at.top - at.bottom];
          if (isHidden(at)) {
            // What stands wholly behind looks over the one before it as a tab.
            hidden.push(drawTab(bin, left + slot.widthMm, top, tabs, state));
            tabs += 1;
            continue;
          }
          figures.push({
            kind: 'place',
            id: bin.id,
            x,
            y,
            width,
            height,
            shapes: drawClosed(bin, x, y, width, height, state, fillTarget),
          });
        }
        figures.push(...hidden);
        continue;
      }
      const lots = byPlace.get(slotPlace.id) ?? [];
      const state = computePlaceState(household, tree, slotPlace, lots, view);
      places.set(slotPlace.id, state);
      const frame = {
        kind: 'place',
        id: slotPlace.id,
        x: left,
        y: top,
        width: slot.widthMm,
        height: slot.heightMm,
      } as const;
      if (slot.opening === 'drawer' || slot.opening === 'lid') {
        figures.push({
          ...frame,
          shapes: drawClosed(slotPlace, left, top, slot.widthMm, slot.heightMm, state, fillTarget),
        });
        continue;
      }
      const isBoard = slot.mode === 'area' || slot.mode === 'pins';
      const isFree = ['table', 'floor', 'rail'].includes(unit.unit!.kind);
      const back: Shape[] =
        isBoard || isFree
          ? []
          : [
              {
                type: 'rect',
                x: left,
                y: top,
                width: slot.widthMm,
                height: slot.heightMm,
                ink: slot.light === 'dark' ? 'dim' : 'inside',
              },
            ];
      // The rod of a closet, a hand below its top.
      if (slot.mode === 'rail' && !isFree)
        back.push({ type: 'rect', x: left, y: top + ROD_BELOW_MM, width: slot.widthMm, height: ROD_MM, ink: 'wood' });
      const inside = computeContents(household, tree, slotPlace.id, lots, view);
      const mark: Shape[] = state.isOverFull ? [zigzag(left, top, slot.widthMm)] : [];
      for (const hook of slot.peg?.hooks ?? []) {
        const [x, y] = [left + (hook.column + 0.5) * slot.peg!.pitchMm, top + (hook.row + 0.5) * slot.peg!.pitchMm];
        const points: [number, number][] = [
          [x, y - 14],
          [x, y + 8],
          [x + 9, y + 8],
        ];
        back.push({ type: 'path', points, isClosed: false, ink: 'steel' });
      }
      figures.push({ ...frame, shapes: back });
      if (inside.spots)
        figures.push(...drawContents(inside.contents, inside.spots, left, bottom, slot.mode === 'pins'));
      else if (inside.contents.length > 0)
        figures.push(
          ...drawHeap(
            inside.contents.map((one) => ({ id: one.lot.id, colour: one.item.colours[0] ?? '#8a8f94' })),
            left,
            bottom,
            slot.widthMm,
            slot.heightMm,
          ),
        );
      if (mark.length > 0) figures.push({ ...frame, kind: 'unit', shapes: mark });
    }
  }
  figures.push(...units.flatMap((unit) => drawNames(unit, heightMm)));
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
