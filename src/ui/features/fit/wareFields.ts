import type { OwnPart, UnitSpec, Ware } from '../../../core/records/index.ts';
import { fail, ok, type Result } from '../../../core/result/index.ts';
import { computeSlots, PARTS, USUAL_BIN } from '../../../core/storage/index.ts';
import { formatSize, parseCount, parseLengthMm, type UnitSystem, parseMoney } from '../../../core/units/index.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordPart } from '../../text/room.ts';
import { t } from '../../language/index.ts';

/** What stands in the form of something that could be got: text as it was typed. */
export interface WareFields {
  /** `bin`, or a part of the shelf or of one's own. */
  what: string;
  name: string;
  width: string;
  depth: string;
  height: string;
  cost: string;
  most: string;
  hasLid: boolean;
  isSeeThrough: boolean;
}

/** Usual measures of a bin, and of each part. */
export function createWareFields(what: string, own: readonly OwnPart[], units: UnitSystem): WareFields {
  const part = PARTS.find((one) => one.id === what) ?? own.find((one) => one.id === what);
  const { widthMm, depthMm, heightMm } = part?.unit ?? { widthMm: 300, depthMm: 350, heightMm: 200 };
  const mine = own.find((one) => one.id === what);
  const name = what === 'bin' ? t('Bin') : (mine?.name ?? wordPart(what));
  return {
    what,
    name,
    width: formatSize(widthMm, units),
    depth: formatSize(depthMm, units),
    height: formatSize(heightMm, units),
    cost: '',
    most: '4',
    hasLid: false,
    isSeeThrough: false,
  };
}

export type WareFaults = Partial<Record<keyof WareFields, string>>;

/** Reads the form. One of one's own parts is taken as it is built. */
export function readWareFields(
  fields: WareFields,
  id: string,
  own: readonly OwnPart[],
  units: UnitSystem,
): Result<Ware, WareFaults> {
  const faults: WareFaults = {};
  const read = (field: 'width' | 'depth' | 'height') => {
    const parsed = parseLengthMm(fields[field], units === 'metric' ? 'cm' : 'in');
    if (!parsed.ok) faults[field] = wordAmountFault(parsed.fault, units === 'metric' ? t('30 cm') : t('12 in'));
    else if (parsed.value < 5) faults[field] = t('At least 5 mm.');
    return parsed.ok ? parsed.value : 10;
  };
  const [widthMm, depthMm, heightMm] = [read('width'), read('depth'), read('height')];
  const most = parseCount(fields.most);
  if (!most.ok) faults.most = wordAmountFault(most.fault, '4');
  else if (most.value < 1 || most.value > 50) faults.most = t('From 1 to 50.');
  const cost = fields.cost.trim() === '' ? 0 : (parseMoney(fields.cost) ?? Infinity);
  if (cost > 1e6) faults.cost = t('A sum of money, such as 12.50.');
  if (fields.name.trim() === '') faults.name = t('Give it a name, such as Tall bin.');
  const base = { id, name: fields.name.trim().slice(0, 60), cost, most: most.ok ? most.value : 1 };
  const mine = own.find((one) => one.id === fields.what);
  if (mine) return Object.keys(faults).length > 0 ? fail(faults) : ok({ ...base, piece: mine });
  const part = PARTS.find((one) => one.id === fields.what);
  if (!part) {
    const outer = { outerWidthMm: widthMm, outerDepthMm: depthMm, outerHeightMm: heightMm };
    const container = { ...USUAL_BIN, ...outer, hasLid: fields.hasLid, isSeeThrough: fields.isSeeThrough };
    return Object.keys(faults).length > 0 ? fail(faults) : ok({ ...base, container });
  }
  const unit: UnitSpec = {
    ...part.unit,
    kind: part.kind,
    wallId: 'wall',
    xMm: 0,
    widthMm,
    depthMm,
    heightMm,
    isAnchored: false,
  };
  const layout = computeSlots(unit);
  if (!layout.ok) faults.width ??= t('Its compartments would have no room.');
  if (Object.keys(faults).length > 0 || !layout.ok) return fail(faults);
  const slots = layout.slots.map(({ name, slot }) => ({ name, slot: { ...slot, ...part.slots } }));
  return ok({ ...base, piece: { id, name: base.name, unit, slots } });
}
