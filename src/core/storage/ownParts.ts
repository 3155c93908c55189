import type { OwnPart, Place, PlaceId } from '../records/index.ts';

/** A piece as a part for re-use: what it is built like, without where it stands and what is in it. */
export function toOwnPart(id: string, unitPlace: Place, slots: readonly Place[]): OwnPart {
  const { stand: _stand, isFixed: _fixed, ...unit } = unitPlace.unit!;
  return {
    id,
    name: unitPlace.name,
    unit: { ...unit, xMm: 0 },
    slots: slots.map(({ name, slot }) => ({ name, slot: slot! })),
  };
}

/** The compartments of a piece made of such a part, with ids of their own. */
export function fromOwnPart({ slots }: OwnPart, unitId: PlaceId, createId: () => string): Place[] {
  return slots.map(({ name, slot }, order) => ({
    id: createId() as PlaceId,
    parentId: unitId,
    level: 'slot',
    name,
    order,
    slot,
  }));
}
