import {
  dropAbsent,
  parseRecord,
  type Place,
  type PlaceId,
  type RecordFault,
  type UnitKind,
  type StationId,
  type UnitSpec,
} from '../../../core/records/index.ts';
import { isWholeUnit, type Part } from '../../../core/storage/index.ts';
import {
  parseCount,
  parseLengthMm,
  parseMassG,
  type UnitSystem,
  formatMass,
  formatSize,
} from '../../../core/units/index.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import type { Result } from '../../../core/result/index.ts';
import { t } from '../../language/index.ts';

/** What stands in the form of a piece of furniture: text as it was typed. */
export interface UnitFields {
  /** Of the parts shelf, for a new piece. */
  part: string;
  kind: UnitKind;
  name: string;
  wall: string;
  x: string;
  y: string;
  width: string;
  height: string;
  depth: string;
  board: string;
  columns: string;
  rows: string;
  isAnchored: boolean;
  hasWheels: boolean;
  /** On wheels: the stations it is rolled to. */
  stationIds: string[];
  /** Reached from either side; a table is walked round. */
  isFromAround: boolean;
  /** A table under which things stand. */
  hasBelow: boolean;
  /** A stretch of floor where things lie until they are put away. */
  isHeap: boolean;
  load: string;
}

export type InnerSide = 'width' | 'height' | 'depth';

/** The outer measure of a piece whose compartments are so large inside, all of them alike; mm. */
export function toOuter({ columns, rows, boardMm }: UnitSpec, side: InnerSide, innerMm: number): number {
  if (side === 'depth') return innerMm + boardMm;
  const count = side === 'width' ? columns : rows;
  return count * innerMm + (count + 1) * boardMm;
}

/** Usual fields of a part; `findX` proposes where there is room for it. */
export function createUnitFields(
  { id, kind, unit }: Pick<Part, 'id' | 'kind' | 'unit'>,
  wall: string,
  units: UnitSystem,
  findX: (piece: { yMm: number; widthMm: number; heightMm: number }) => number | null,
): UnitFields {
  const { widthMm, heightMm, depthMm, boardMm, columns, rows, yMm } = unit;
  const size = (mm: number) => formatSize(mm, units);
  return {
    part: id,
    kind,
    name: '',
    wall,
    x: size(findX({ yMm, widthMm, heightMm }) ?? 0),
    y: size(yMm),
    width: size(widthMm),
    height: size(heightMm),
    depth: size(depthMm),
    board: size(boardMm),
    columns: String(columns),
    rows: String(rows),
    isAnchored: false,
    hasWheels: unit.hasWheels ?? false,
    stationIds: [],
    isFromAround: unit.access === 'around',
    hasBelow: kind === 'table' && rows > 1,
    isHeap: false,
    load: '',
  };
}

/** The fields of a piece that stands there already. `wall` is `room-wall`. */
export function toUnitFields(place: Place, units: UnitSystem): UnitFields {
  const unit = place.unit!;
  const size = (mm: number) => formatSize(mm, units);
  return {
    part: '',
    kind: unit.kind,
    name: place.name,
    wall: `${place.parentId}-${unit.wallId}`,
    x: size(unit.xMm),
    y: size(unit.yMm),
    width: size(unit.widthMm),
    height: size(unit.heightMm),
    depth: size(unit.depthMm),
    board: size(unit.boardMm),
    columns: String(unit.columns),
    rows: String(unit.rows),
    isAnchored: unit.isAnchored,
    hasWheels: unit.hasWheels ?? false,
    stationIds: unit.stationIds ?? [],
    isFromAround: unit.access === 'around',
    hasBelow: unit.kind === 'table' && unit.rows > 1,
    isHeap: unit.isHeap ?? false,
    load: unit.loadG === undefined ? '' : formatMass(unit.loadG, units),
  };
}

/** The fields of the form, by those of the record. */
const FIELD_OF: Readonly<Record<string, keyof UnitFields>> = {
  xMm: 'x',
  yMm: 'y',
  widthMm: 'width',
  heightMm: 'height',
  depthMm: 'depth',
  boardMm: 'board',
  columns: 'columns',
  rows: 'rows',
  loadG: 'load',
};

/** What cannot be kept, each said at its field; what has none in the form, at the name. */
function placeFaults(faults: readonly RecordFault[], units: UnitSystem): UnitFaults {
  const fieldOf = ({ path }: RecordFault) => FIELD_OF[path.replace('unit.', '')] ?? 'name';
  return Object.fromEntries(
    [...new Set(faults.map(fieldOf))].map((field) => [
      field,
      wordRecordFaults(
        faults.filter((one) => fieldOf(one) === field),
        units,
      ),
    ]),
  );
}

export type UnitFaults = Partial<Record<keyof UnitFields, string>>;

/**
 * Reads the form into a unit. A field that still says what it said for `base` keeps the base's exact measure,
 * which its rounded text would lose.
 */
export function readUnitFields(
  fields: UnitFields,
  units: UnitSystem,
  base: Place | null,
  wall: { roomId: PlaceId; wallId: string },
  unitId: PlaceId,
  order: number,
): Result<Place, UnitFaults> {
  const faults: UnitFaults = {};
  const isMetric = units === 'metric';
  const before = base ? toUnitFields(base, units) : null;
  const size = (
    name: 'x' | 'y' | 'width' | 'height' | 'depth' | 'board',
    field: keyof UnitSpec,
    isZeroGood: boolean,
  ) => {
    if (before && base?.unit && before[name] === fields[name]) return base.unit[field] as number;
    const example = isMetric ? t('35 cm') : t('14 in');
    const parsed = parseLengthMm(fields[name], isMetric ? 'cm' : 'in');
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, example);
    else if (!isZeroGood && parsed.value === 0)
      faults[name] = wordAmountFault({ code: 'zero', text: fields[name] }, example);
    return parsed.ok ? parsed.value : 0;
  };
  const count = (name: 'columns' | 'rows') => {
    const parsed = parseCount(fields[name]);
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, '3');
    else if (parsed.value < 1 || parsed.value > 40) faults[name] = t('From 1 to 40.');
    return parsed.ok ? parsed.value : 1;
  };
  if (fields.name.trim() === '') faults.name = t('Give it a name, such as Tall cubes.');
  let loadG: number | undefined;
  if (fields.load.trim() !== '') {
    const parsed = parseMassG(fields.load, isMetric ? 'kg' : 'oz');
    if (!parsed.ok) faults.load = wordAmountFault(parsed.fault, isMetric ? t('60 kg') : t('130 lb'));
    else loadG = before && before.load === fields.load ? base?.unit?.loadG : parsed.value;
  }
  const whole = isWholeUnit(fields.kind);
  const unit: UnitSpec = {
    // What the form does not ask stays: a lock, a spot in the room.
    ...base?.unit,
    kind: fields.kind,
    wallId: wall.wallId,
    xMm: size('x', 'xMm', true),
    yMm: size('y', 'yMm', true),
    widthMm: size('width', 'widthMm', false),
    heightMm: size('height', 'heightMm', false),
    depthMm: size('depth', 'depthMm', false),
    boardMm: whole ? 0 : size('board', 'boardMm', true),
    columns: whole ? 1 : count('columns'),
    rows: fields.kind === 'table' ? (fields.hasBelow ? 2 : 1) : whole ? 1 : count('rows'),
    isAnchored: fields.isAnchored,
    loadG,
  };
  delete unit.hasWheels;
  delete unit.stationIds;
  if (fields.hasWheels) {
    unit.hasWheels = true;
    if (fields.stationIds.length > 0) unit.stationIds = fields.stationIds as StationId[];
  }
  if (fields.isFromAround) unit.access = 'around';
  else delete unit.access;
  if (fields.isHeap && fields.kind === 'floor') unit.isHeap = true;
  else delete unit.isHeap;
  // Put to a wall again, it no longer stands free.
  if (base?.unit && (unit.wallId !== base.unit.wallId || unit.xMm !== base.unit.xMm)) delete unit.stand;
  if (Object.keys(faults).length > 0) return { ok: false, fault: faults };
  const place: Place = { id: unitId, parentId: wall.roomId, level: 'unit', name: fields.name.trim(), order, unit };
  const checked = parseRecord('places', dropAbsent(place));
  return checked.ok ? { ok: true, value: place } : { ok: false, fault: placeFaults(checked.fault, units) };
}
