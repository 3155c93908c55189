import type { BinMove, ContainerSpec, Household, Place, PlaceId } from '../core/records/index.ts';

/** A container that cannot stand where a plan has it. */
interface BinFault {
  readonly placeId: PlaceId;
  readonly note: string;
}

const HAIR_MM = 0.5;

type Side = readonly [from: number, to: number];
type Body = readonly [x: Side, y: Side, z: Side];

const meets = (a: Side, b: Side) => Math.min(a[1], b[1]) - Math.max(a[0], b[0]) > HAIR_MM;

/** Where containers stand in their compartment: where it is said or, where nothing is said, side by side from the left. */
function listBodies(boxes: readonly ContainerSpec[]): Body[] {
  let left = 0;
  return boxes.map(({ at, outerWidthMm, outerDepthMm, outerHeightMm }) => {
    const [wide, deep] = at?.isTurned ? [outerDepthMm, outerWidthMm] : [outerWidthMm, outerDepthMm];
    const x = at ? at.xMm : left;
    if (!at) left += wide;
    const [y, z] = [at?.yMm ?? 0, at?.zMm ?? 0];
    return [
      [x, x + wide],
      [y, y + deep],
      [z, z + outerHeightMm],
    ];
  });
}

/**
 * Carries the containers of a plan by the raw records, and looks whether each then stands: one that there is and that is
 * still good, in a compartment that takes containers, within it, in no other, on its floor or on lids.
 */
export function standPlanned(
  household: Household,
  bins: readonly BinMove[],
): { readonly household: Household; readonly faults: readonly BinFault[]; readonly tests: number } {
  const faults: BinFault[] = [];
  let tests = 0;
  const test = (isGood: boolean, placeId: PlaceId, note: string) => {
    tests += 1;
    if (!isGood) faults.push({ placeId, note });
  };
  const places = new Map(household.places);
  const seen = new Set<PlaceId>();
  const touched = new Set<PlaceId>();
  for (const [i, { placeId, slotId, at }] of bins.entries()) {
    const place = household.places.get(placeId);
    test(place?.level === 'container' && place.container?.isRetired !== true, placeId, 'no container to carry');
    test(!seen.has(placeId), placeId, 'carried to two spots');
    seen.add(placeId);
    if (!place?.container) continue;
    const slot = slotId && household.places.get(slotId)?.slot;
    test(slotId === undefined || (slot && ['line', 'volume'].includes(slot.mode)) === true, placeId, 'no compartment');
    const { at: _at, ...container } = place.container;
    const { parentId, ...rest } = place;
    if (parentId) touched.add(parentId);
    if (slotId) touched.add(slotId);
    const next: Place = { ...rest, order: 100_000 - bins.length + i, container: { ...container, ...(at && { at }) } };
    places.set(placeId, slotId ? { ...next, parentId: slotId } : next);
  }
  for (const slotId of touched) {
    const slot = places.get(slotId)?.slot;
    if (!slot) continue;
    const boxes = [...places.values()]
      .filter((place) => place.parentId === slotId)
      .toSorted((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
    const bodies = listBodies(boxes.map((one) => one.container!));
    for (const [i, body] of bodies.entries()) {
      const { id } = boxes[i]!;
      const limits = [slot.widthMm, slot.depthMm, slot.heightMm];
      const isIn = body.every(([from, to], axis) => from >= -HAIR_MM && to <= limits[axis]! + HAIR_MM);
      test(isIn, id, 'sticks out of its compartment');
      const onFloor = bodies.flatMap((other, k) =>
        k !== i && meets(body[0], other[0]) && meets(body[1], other[1]) ? [k] : [],
      );
      test(!onFloor.some((k) => meets(body[2], bodies[k]![2])), id, 'stands in another');
      const below = onFloor.filter((k) => Math.abs(bodies[k]![2][1] - body[2][0]) <= HAIR_MM);
      const isHeld = body[2][0] <= HAIR_MM || (below.length > 0 && below.every((k) => boxes[k]!.container!.hasLid));
      test(isHeld, id, 'stands on nothing');
    }
  }
  return { household: { ...household, places }, faults, tests };
}
