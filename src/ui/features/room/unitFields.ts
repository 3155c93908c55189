import { parseRecord, type Place, type PlaceId, type UnitKind, type UnitSpec } from '../../../core/records/index.ts';
import { isWholeUnit } from '../../../core/storage/index.ts';
import { parseCount, parseLengthMm, parseMassG, type UnitSystem } from '../../../core/units/index.ts';
import { formatMass, formatSize } from '../../../core/units/index.ts';
import { wordAmountFault, wordRecordFault } from '../../text/index.ts';
import type { Result } from '../../../core/result/index.ts';

/** What stands in the form of a piece of furniture: text as it was typed. */
export interface UnitFields {
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
  load: string;
}

/** Usual measures of each kind, mm: width, height, depth, board, columns, rows, height above the floor. */
const USUAL: Record<UnitKind, readonly [number, number, number, number, number, number, number]> = {
  cubes: [720, 1080, 390, 16, 2, 3, 0],
  bookcase: [800, 1800, 300, 16, 1, 5, 0],
  drawers: [480, 760, 500, 12, 1, 4, 0],
  pegboard: [900, 600, 12, 0, 1, 1, 1100],
  spoolRack: [600, 400, 75, 0, 1, 1, 1200],
  rail: [1000, 1500, 500, 0, 1, 1, 0],
  table: [1400, 740, 650, 0, 1, 1, 0],
  floor: [500, 800, 400, 0, 1, 1, 0],
};

/** Usual fields of a kind; `findX` proposes where there is room for it. */
export function createUnitFields(
  kind: UnitKind,
  wall: string,
  units: UnitSystem,
  findX: (piece: { yMm: number; widthMm: number; heightMm: number }) => number | null,
): UnitFields {
  const [width, height, depth, board, columns, rows, y] = USUAL[kind];
  const size = (mm: number) => formatSize(mm, units);
  return {
    kind,
    name: '',
    wall,
    x: size(findX({ yMm: y, widthMm: width, heightMm: height }) ?? 0),
    y: size(y),
    width: size(width),
    height: size(height),
    depth: size(depth),
    board: size(board),
    columns: String(columns),
    rows: String(rows),
    isAnchored: false,
    load: '',
  };
}

/** The fields of a piece that stands there already. `wall` is `room-wall`. */
export function toUnitFields(place: Place, units: UnitSystem): UnitFields {
  const unit = place.unit!;
  const size = (mm: number) => formatSize(mm, units);
  return {
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
    load: unit.loadG === null ? '' : formatMass(unit.loadG, units),
  };
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
    const example = isMetric ? '35 cm' : '14 in';
    const parsed = parseLengthMm(fields[name], isMetric ? 'cm' : 'in');
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, example);
    else if (!isZeroGood && parsed.value === 0)
      faults[name] = wordAmountFault({ code: 'zero', text: fields[name] }, example);
    return parsed.ok ? parsed.value : 0;
  };
  const count = (name: 'columns' | 'rows') => {
    const parsed = parseCount(fields[name]);
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, '3');
    else if (parsed.value < 1 || parsed.value > 40) faults[name] = 'From 1 to 40.';
    return parsed.ok ? parsed.value : 1;
  };
  if (fields.name.trim() === '') faults.name = 'Give it a name, such as Tall cubes.';
  let loadG: number | null = null;
  if (fields.load.trim() !== '') {
    const parsed = parseMassG(fields.load, isMetric ? 'kg' : 'oz');
    if (!parsed.ok) faults.load = wordAmountFault(parsed.fault, isMetric ? '60 kg' : '130 lb');
    else loadG = before && before.load === fields.load ? (base?.unit?.loadG ?? null) : parsed.value;
  }
  const whole = isWholeUnit(fields.kind);
  const unit: UnitSpec = {
    kind: fields.kind,
    wallId: wall.wallId,
    xMm: size('x', 'xMm', true),
    yMm: size('y', 'yMm', true),
    widthMm: size('width', 'widthMm', false),
    heightMm: size('height', 'heightMm', false),
    depthMm: size('depth', 'depthMm', false),
    boardMm: whole ? 0 : size('board', 'boardMm', true),
    columns: whole ? 1 : count('columns'),
    rows: whole ? 1 : count('rows'),
    isAnchored: fields.isAnchored,
    loadG,
  };
  if (Object.keys(faults).length > 0) return { ok: false, fault: faults };
  const place: Place = { id: unitId, parentId: wall.roomId, level: 'unit', name: fields.name.trim(), order, unit };
  const checked = parseRecord('places', place);
  return checked.ok
    ? { ok: true, value: place }
    : { ok: false, fault: { name: checked.fault.map(wordRecordFault).join('; ') } };
}
