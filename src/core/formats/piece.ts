import { parseRecord, type Place, type PlaceId, type RecordFault } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import type { PlaceTree } from '../storage/index.ts';

/** A piece of furniture with its compartments and bins, as a file to share: `yardmist-piece`, version 1. */
interface PieceFile {
  readonly format: 'yardmist-piece';
  readonly version: 1;
  readonly name: string;
  readonly unit: unknown;
  readonly slots: readonly {
    name: string;
    slot: unknown;
    containers: readonly { name: string; container: unknown }[];
  }[];
}

const MOST_SLOTS = 1600;
const MOST_BINS = 200;

/** One piece as JSON text; where it stands and what is in it is left out. */
export function toPieceFile(tree: PlaceTree, unitPlace: Place): string {
  const { stand: _stand, isFixed: _fixed, ...unit } = unitPlace.unit!;
  const file: PieceFile = {
    format: 'yardmist-piece',
    version: 1,
    name: unitPlace.name,
    unit: { ...unit, wallId: 'wall', xMm: 0 },
    slots: tree.getChildren(unitPlace.id).map((slot) => ({
      name: slot.name,
      slot: slot.slot,
      containers: tree.getChildren(slot.id).map((bin) => ({ name: bin.name, container: bin.container })),
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Where a piece that is read is to stand. */
export interface PieceSpot {
  readonly roomId: PlaceId;
  readonly wallId: string;
  readonly xMm: number;
  readonly order: number;
}

/** Reads a shared piece: its places with new ids, every record checked, or all that is wrong with it. */
export function fromPieceFile(text: string, spot: PieceSpot, createId: () => string): Result<Place[], RecordFault[]> {
  const wrong = (message: string, rule = 'format') => fail([{ path: 'file', rule, message }]);
  let raw: PieceFile;
  try {
    raw = JSON.parse(text) as PieceFile;
  } catch {
    return wrong('is not JSON');
  }
  if (typeof raw !== 'object' || raw === null || raw.format !== 'yardmist-piece')
    return wrong('is no piece of furniture');
  if (raw.version !== 1) return wrong('was made by a newer Yardmist', 'newer');
  const isList = Array.isArray(raw.slots) && raw.slots.length <= MOST_SLOTS;
  if (!isList || raw.slots.some((one) => typeof one !== 'object' || one === null)) return wrong('has no compartments');
  const unitId = createId() as PlaceId;
  const base = typeof raw.unit === 'object' && raw.unit !== null ? raw.unit : {};
  const { wallId, xMm } = spot;
  const places: unknown[] = [
    {
      id: unitId,
      parentId: spot.roomId,
      level: 'unit',
      name: raw.name,
      order: spot.order,
      unit: { ...base, wallId, xMm },
    },
  ];
  for (const [order, { name, slot, containers }] of raw.slots.entries()) {
    const slotId = createId() as PlaceId;
    places.push({ id: slotId, parentId: unitId, level: 'slot', name, order, slot });
    if (!Array.isArray(containers) || containers.length > MOST_BINS) return wrong('has faulty bins');
    for (const [nth, bin] of containers.entries())
      places.push({
        id: createId(),
        parentId: slotId,
        level: 'container',
        name: bin?.name,
        order: nth,
        container: bin?.container,
      });
  }
  const faults: RecordFault[] = [];
  const read: Place[] = [];
  for (const [i, place] of places.entries()) {
    const parsed = parseRecord('places', place, `piece.${i}`);
    if (parsed.ok) read.push(parsed.value);
    else faults.push(...parsed.fault);
  }
  return faults.length > 0 ? fail(faults) : ok(read);
}
