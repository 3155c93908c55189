import { getCloth } from '../../../core/measure/index.ts';
import {
  createLooseLot,
  parseRecord,
  type CareFlag,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
  type Print,
  type StationId,
  type StowForm,
} from '../../../core/records/index.ts';
import {
  formatClothLength,
  formatMass,
  formatSize,
  parseCount,
  parseGrammage,
  parseLengthMm,
  parseMassG,
  type AmountFault,
  type UnitSystem,
} from '../../../core/units/index.ts';
import type { Result } from '../../../core/result/index.ts';
import { wordAmountFault, wordRecordFault } from '../../text/index.ts';

/** What stands in the form's fields: text as it was typed. */
export interface ItemFields {
  kind: Kind;
  name: string;
  colour: string;
  usesPerMonth: string;
  stationId: string;
  care: CareFlag[];
  notes: string;
  count: string;
  fibre: string;
  cloth: string;
  print: Print;
  length: string;
  width: string;
  grammage: string;
  number: string;
  garment: string;
  envelope: string;
  thickness: string;
  isMade: boolean;
  use: string;
  tex: string;
  spool: string;
  type: string;
  boxWidth: string;
  boxDepth: string;
  boxHeight: string;
  mass: string;
  hole: string;
  isSoft: boolean;
}

/** Usual envelopes and folders, width × height in mm. */
export const ENVELOPES: Record<string, readonly [number, number]> = {
  small: [155, 215],
  large: [190, 265],
  a5: [148, 210],
  a4: [210, 297],
  folder: [230, 330],
};

/** Usual spools: diameter × height in mm, and grams with thread. */
export const SPOOLS: Record<string, readonly [number, number, number]> = {
  small: [26, 52, 14],
  large: [45, 75, 60],
  cone: [70, 140, 130],
};

const FORMS: Record<Kind, (fields: ItemFields) => StowForm[]> = {
  // Knits and plush stretch and crush on a board; coated cloth cracks at a fold.
  fabric: ({ cloth }) =>
    ['jersey', 'ponte', 'sweatshirting', 'fleece', 'longPile'].includes(cloth)
      ? ['loose', 'stack']
      : ['waxed', 'vinyl', 'batting'].includes(cloth)
        ? ['roll', 'stack', 'loose']
        : ['board', 'stack', 'file'],
  pattern: () => ['envelope'],
  thread: ({ spool }) => (spool === 'cone' ? ['box'] : ['spool', 'box']),
  notion: ({ isSoft }) => (isSoft ? ['loose', 'box'] : ['box']),
  tool: ({ hole, isSoft }) => (isSoft ? ['loose', 'box'] : hole.trim() === '' ? ['box'] : ['peg', 'box']),
};

export function createFields(kind: Kind, stationId: string): ItemFields {
  return {
    kind,
    name: '',
    colour: '#8a8f94',
    usesPerMonth: '1',
    stationId,
    care: [],
    notes: '',
    count: '1',
    fibre: kind === 'thread' ? 'polyester' : 'cotton',
    cloth: 'poplin',
    print: 'solid',
    length: '',
    width: '',
    grammage: '',
    number: '',
    garment: '',
    envelope: 'small',
    thickness: '5 mm',
    isMade: false,
    use: 'general',
    tex: '27',
    spool: 'small',
    type: '',
    boxWidth: '',
    boxDepth: '',
    boxHeight: '',
    mass: '',
    hole: '',
    isSoft: false,
  };
}

/** The fields of an item that is there already, in the user's units. */
export function toFields(item: Item, lot: Lot, units: UnitSystem): ItemFields {
  const fields = createFields(item.kind, item.stationId);
  Object.assign(fields, {
    name: item.name,
    colour: item.colours[0] ?? '#8a8f94',
    usesPerMonth: String(item.usesPerMonth),
    care: item.care,
    notes: item.notes,
    count: String(lot.count),
  });
  const { fabric, pattern, thread, box } = item;
  if (fabric)
    Object.assign(fields, {
      fibre: fabric.fibre,
      cloth: fabric.cloth,
      print: fabric.print,
      length: formatClothLength(lot.lengthMm ?? 0, units),
      width: formatSize(fabric.widthMm, units),
      grammage: `${fabric.grammageGsm} gsm`,
    });
  if (pattern) {
    const envelope =
      Object.entries(ENVELOPES).find(([, [w, h]]) => w === pattern.widthMm && h === pattern.heightMm)?.[0] ?? 'small';
    Object.assign(fields, {
      number: String(pattern.number),
      garment: pattern.garment,
      envelope,
      thickness: formatSize(pattern.thicknessMm, units),
      isMade: pattern.isMade,
    });
  }
  if (thread) {
    const spool = thread.diameterMm >= 60 ? 'cone' : thread.diameterMm >= 40 ? 'large' : 'small';
    Object.assign(fields, { fibre: thread.fibre, use: thread.use, tex: String(thread.tex), spool });
  }
  if (box)
    Object.assign(fields, {
      type: box.type,
      boxWidth: formatSize(box.widthMm, units),
      boxDepth: formatSize(box.depthMm, units),
      boxHeight: formatSize(box.heightMm, units),
      mass: formatMass(box.massG, units),
      hole: box.hangHoleMm ? formatSize(box.hangHoleMm, units) : '',
      isSoft: box.isSoft,
    });
  return fields;
}

type FieldFaults = Partial<Record<keyof ItemFields, string>>;

/**
 * Reads the form into records, or every fault by field, in words. `base` is the item being changed: what the
 * form does not ask keeps its value, and so does a field that still says what it said, whose rounded text
 * would lose the exact figure. Figures left empty come from the cloth's class.
 */
export function readFields(
  fields: ItemFields,
  units: UnitSystem,
  base: { item: Item; lot: Lot } | null,
  create: () => { itemId: ItemId; lotId: LotId; nowMs: number },
): Result<{ item: Item; lot: Lot }, FieldFaults> {
  const faults: FieldFaults = {};
  const before = base ? toFields(base.item, base.lot, units) : null;
  const isSame = (name: keyof ItemFields) => before !== null && before[name] === fields[name];
  const read = (
    name: keyof ItemFields,
    parsed: Result<number, AmountFault>,
    example: string,
    exact: number | null | undefined,
  ): number => {
    if (isSame(name) && typeof exact === 'number') return exact;
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, example);
    else if (parsed.value <= 0) faults[name] = wordAmountFault({ code: 'zero', text: String(fields[name]) }, example);
    return parsed.ok ? parsed.value : 0;
  };
  const isMetric = units === 'metric';
  const small = isMetric ? 'cm' : 'in';
  const { kind } = fields;
  if (fields.name.trim() === '') faults.name = 'Give it a name that you will look for.';
  const uses = Number(fields.usesPerMonth.replace(',', '.'));
  if (fields.usesPerMonth.trim() === '' || !(uses >= 0 && uses <= 1000))
    faults.usesPerMonth = 'A number such as 2, or 0.5 for every other month.';

  const made = create();
  const forms = FORMS[kind](fields);
  const item: Item = {
    ...(base?.item ?? { id: made.itemId }),
    kind,
    name: fields.name.trim(),
    colours: base && isSame('colour') ? base.item.colours : [fields.colour, ...(base?.item.colours.slice(1) ?? [])],
    notes: fields.notes,
    usesPerMonth: uses,
    stationId: fields.stationId as StationId,
    care: fields.care,
    // Another class of cloth or a new hang hole opens other ways of keeping it.
    forms: base && before && String(FORMS[kind](before)) === String(forms) ? base.item.forms : forms,
  };
  let lengthMm: number | null = null;
  let count = 1;
  if (kind === 'fabric') {
    const cloth = getCloth(fields.cloth);
    const old = base?.item.fabric;
    lengthMm = read(
      'length',
      parseLengthMm(fields.length, isMetric ? 'm' : 'yd'),
      isMetric ? '3.4 m' : '2 1/2 yd',
      base?.lot.lengthMm,
    );
    const widthMm = read('width', parseLengthMm(fields.width, small), isMetric ? '140 cm' : '54 in', old?.widthMm);
    const grammageGsm =
      fields.grammage.trim() === ''
        ? cloth.grammageGsm
        : read('grammage', parseGrammage(fields.grammage, 'gsm'), '185 gsm', old?.grammageGsm);
    if (fields.fibre.trim() === '') faults.fibre = 'Such as cotton, linen or wool.';
    const isSameCloth = old?.cloth === fields.cloth;
    item.fabric = {
      fibre: fields.fibre.trim().toLowerCase(),
      cloth: fields.cloth,
      widthMm,
      grammageGsm,
      // A heavier cloth of the same class is thicker in proportion.
      layerMm:
        isSameCloth && old.grammageGsm === grammageGsm
          ? old.layerMm
          : Math.max(0.02, (cloth.layerMm * grammageGsm) / cloth.grammageGsm),
      stacking: isSameCloth ? old.stacking : cloth.stacking,
      print: fields.print,
      ...(isSameCloth && old.grammageGsm === grammageGsm && old.isCalibrated && { isCalibrated: true }),
    };
  } else {
    count = read('count', parseCount(fields.count), '3', base?.lot.count);
  }
  if (kind === 'pattern') {
    const old = base?.item.pattern;
    const [widthMm, heightMm] =
      old && isSame('envelope') ? [old.widthMm, old.heightMm] : (ENVELOPES[fields.envelope] ?? ENVELOPES['small']!);
    const number = read('number', parseCount(fields.number), '214', old?.number);
    const thicknessMm = read(
      'thickness',
      parseLengthMm(fields.thickness, isMetric ? 'mm' : 'in'),
      isMetric ? '5 mm' : '1/4 in',
      old?.thicknessMm,
    );
    item.pattern = {
      number,
      garment: fields.garment.trim().toLowerCase(),
      widthMm,
      heightMm,
      thicknessMm,
      isMade: fields.isMade,
    };
  }
  if (kind === 'thread') {
    const old = base?.item.thread;
    const [diameterMm, heightMm, massG] =
      old && isSame('spool') ? [old.diameterMm, old.heightMm, old.massG] : (SPOOLS[fields.spool] ?? SPOOLS['small']!);
    const tex = read('tex', parseCount(fields.tex), '27', old?.tex);
    if (fields.use.trim() === '') faults.use = 'Such as general or topstitching.';
    if (fields.fibre.trim() === '') faults.fibre = 'Such as polyester or cotton.';
    item.thread = {
      fibre: fields.fibre.trim().toLowerCase(),
      use: fields.use.trim().toLowerCase(),
      tex,
      diameterMm,
      heightMm,
      massG,
    };
  }
  if (kind === 'notion' || kind === 'tool') {
    const old = base?.item.box;
    const example = isMetric ? '12 cm' : '4 3/4 in';
    if (fields.type.trim() === '')
      faults.type = kind === 'tool' ? 'Such as cutting or measuring.' : 'Such as zips or buttons.';
    item.box = {
      type: fields.type.trim().toLowerCase(),
      widthMm: read('boxWidth', parseLengthMm(fields.boxWidth, small), example, old?.widthMm),
      depthMm: read('boxDepth', parseLengthMm(fields.boxDepth, small), example, old?.depthMm),
      heightMm: read('boxHeight', parseLengthMm(fields.boxHeight, small), example, old?.heightMm),
      massG: read('mass', parseMassG(fields.mass, isMetric ? 'g' : 'oz'), isMetric ? '120 g' : '4 oz', old?.massG),
      isSoft: fields.isSoft,
      hangHoleMm:
        fields.hole.trim() === ''
          ? null
          : read(
              'hole',
              parseLengthMm(fields.hole, isMetric ? 'mm' : 'in'),
              isMetric ? '8 mm' : '3/8 in',
              old?.hangHoleMm,
            ),
    };
  }
  if (Object.keys(faults).length > 0) return { ok: false, fault: faults };
  const lot: Lot = base
    ? { ...base.lot, lengthMm, count, sinceMs: made.nowMs }
    : createLooseLot(made.lotId, item, count, lengthMm, made.nowMs);
  if (base && lot.lengthMm === base.lot.lengthMm && lot.count === base.lot.count) lot.sinceMs = base.lot.sinceMs;
  else if (base && base.lot.measuredBy) Object.assign(lot, { lengthSigmaMm: null, measuredBy: null });
  for (const parsed of [parseRecord('items', item), parseRecord('lots', lot)])
    if (!parsed.ok) return { ok: false, fault: { name: parsed.fault.map(wordRecordFault).join('; ') } };
  return { ok: true, value: { item, lot } };
}
