import { getColour, UNDYED } from '../../../core/colour/index.ts';
import { ENVELOPES, findType, getUsualForms, type TypeFigures } from '../../../core/catalog/index.ts';
import { findHolder, getAmountUnit, type ThreadNumber } from '../../../core/measure/index.ts';
import {
  type CareFlag,
  type ClothNeed,
  type Holder,
  type Item,
  type Kind,
  type Lot,
  type PatternFormat,
  type Print,
  type ScrapCut,
  type StowForm,
} from '../../../core/records/index.ts';
import {
  formatClothLength,
  formatMass,
  formatSize,
  parseLengthMm,
  type UnitSystem,
} from '../../../core/units/index.ts';
import { formatAmount } from '../../text/index.ts';
import { formatShort, t, wordTerm, readTerm } from '../../language/index.ts';

/** What stands in the form's fields: text as it was typed. */
export interface ItemFields {
  kind: Kind;
  name: string;
  colour: string;
  usesPerMonth: string;
  stationId: string;
  otherStationIds: string[];
  belongsToId: string;
  care: CareFlag[];
  notes: string;
  tags: string;
  source: string;
  cost: string;
  restock: string;
  forms: StowForm[];
  form: StowForm | '';
  washed: '' | 'yes' | 'no';
  expiresOn: string;
  count: string;
  fibre: string;
  cloth: string;
  weave: string;
  print: Print;
  length: string;
  width: string;
  grammage: string;
  hasNap: boolean;
  stretch: string;
  cut: ScrapCut;
  cutSize: string;
  area: string;
  number: string;
  garment: string;
  publisher: string;
  era: string;
  sizes: string;
  format: PatternFormat;
  envelope: string;
  thickness: string;
  sheets: string;
  needs: string;
  isMade: boolean;
  use: string;
  threadNumber: string;
  threadSystem: ThreadNumber;
  spool: Holder;
  type: string;
  size: string;
  units: string;
  unitMass: string;
  boxWidth: string;
  boxDepth: string;
  boxHeight: string;
  mass: string;
  hole: string;
  watts: string;
  tapeWidth: string;
  tapeThickness: string;
  usedHours: string;
  isSoft: boolean;
}

export function createFields(kind: Kind, stationId: string): ItemFields {
  return {
    kind,
    name: '',
    colour: UNDYED,
    usesPerMonth: '1',
    stationId,
    otherStationIds: [],
    belongsToId: '',
    care: [],
    notes: '',
    tags: '',
    source: '',
    cost: '',
    restock: '',
    forms: [],
    form: '',
    washed: '',
    expiresOn: '',
    count: '1',
    fibre: '',
    cloth: 'poplin',
    weave: '',
    print: 'solid',
    length: '',
    width: '',
    grammage: '',
    hasNap: false,
    stretch: '',
    cut: 'odd',
    cutSize: '',
    area: '',
    number: '',
    garment: '',
    publisher: '',
    era: '',
    sizes: '',
    format: 'envelope',
    envelope: 'usual',
    thickness: '',
    sheets: '',
    needs: '',
    isMade: false,
    use: 'general',
    threadNumber: '27',
    threadSystem: 'tex',
    spool: 'small',
    type: kind === 'kit' ? 'kit' : '',
    size: '',
    units: '',
    unitMass: '',
    boxWidth: '',
    boxDepth: '',
    boxHeight: '',
    mass: '',
    hole: '',
    watts: '',
    tapeWidth: '',
    tapeThickness: '',
    usedHours: '',
    isSoft: kind === 'kit',
  };
}

/** `M, lining: 1.2 m x 140 cm`, one a line. */
function formatNeeds(needs: readonly ClothNeed[], units: UnitSystem): string {
  return needs
    .map(({ size, part, lengthMm, widthMm }) => {
      const of = [size, wordTerm(part)].filter(Boolean).join(', ');
      return `${of === '' ? '' : `${of}: `}${formatClothLength(lengthMm, units)} x ${formatSize(widthMm, units)}`;
    })
    .join('\n');
}

/** Reads them again; where a line does not read, what to type instead. */
export function parseNeeds(text: string, units: UnitSystem): ClothNeed[] | string {
  const needs: ClothNeed[] = [];
  for (const line of text.split('\n')) {
    if (line.trim() === '') continue;
    const [, of = '', long = '', wide = ''] = /^(?:([^:]*):)?\s*(.+?)\s*[x×]\s*(.+)$/.exec(line.trim()) ?? [];
    const length = parseLengthMm(long, units === 'metric' ? 'm' : 'yd');
    const width = parseLengthMm(wide, units === 'metric' ? 'cm' : 'in');
    if (!length.ok || !width.ok || length.value <= 0 || width.value <= 0)
      return t('“{line}” does not read. Try {example}.', {
        line: line.trim(),
        example: units === 'metric' ? t('M, lining: 1.2 m x 140 cm') : t('M, lining: 1 3/8 yd x 54 in'),
      });
    const [size = '', ...part] = of.split(',').map((one) => one.trim());
    needs.push({ size, part: readTerm(part.join(', ')), lengthMm: length.value, widthMm: width.value });
  }
  return needs;
}

const orEmpty = (value: number | null | undefined, format: (value: number) => string) =>
  typeof value === 'number' ? format(value) : '';

/** The fields of an item that is there already, in the user's units. */
export function toFields(item: Item, lot: Lot, units: UnitSystem): ItemFields {
  const size = (mm: number) => formatSize(mm, units);
  const fields = createFields(item.kind, item.stationId);
  Object.assign(fields, {
    name: item.name,
    colour: getColour(item),
    usesPerMonth: formatShort(item.usesPerMonth),
    otherStationIds: item.otherStationIds ?? [],
    belongsToId: item.belongsToId ?? '',
    care: item.care,
    notes: item.notes,
    tags: (item.tags ?? []).join(', '),
    source: item.source ?? '',
    cost: orEmpty(item.cost, String),
    restock: orEmpty(item.restockBelow, (value) => formatAmount(value, getAmountUnit(item, lot), units)),
    forms: item.forms,
    form: lot.form,
    washed: lot.isWashed === true ? 'yes' : lot.isWashed === false ? 'no' : '',
    expiresOn: lot.expiresOn ?? '',
    count: String(lot.count),
    length: orEmpty(lot.lengthMm, (mm) => formatClothLength(mm, units)),
    units: orEmpty(lot.units, String),
    usedHours: orEmpty(lot.usedHours, String),
  } satisfies Partial<ItemFields>);
  const { fabric, pattern, thread, box, scrap } = item;
  if (fabric)
    Object.assign(fields, {
      fibre: wordTerm(fabric.fibre),
      cloth: fabric.cloth,
      weave: wordTerm(fabric.weave ?? ''),
      print: fabric.print,
      width: size(fabric.widthMm),
      grammage: t('{grammageGsm} gsm', { grammageGsm: Math.round(fabric.grammageGsm * 10) / 10 }),
      hasNap: fabric.hasNap ?? false,
      stretch: orEmpty(fabric.stretchPercent, String),
    } satisfies Partial<ItemFields>);
  if (scrap)
    Object.assign(fields, {
      cut: scrap.cut,
      cutSize: orEmpty(scrap.cutMm, size),
      area: orEmpty(lot.areaMm2, (mm2) => formatAmount(mm2, 'area', units)),
    } satisfies Partial<ItemFields>);
  if (pattern) {
    const envelope = Object.entries(ENVELOPES).find(([, [w, h]]) => w === pattern.widthMm && h === pattern.heightMm);
    Object.assign(fields, {
      number: String(pattern.number),
      garment: wordTerm(pattern.garment),
      publisher: pattern.publisher ?? '',
      era: pattern.era ?? '',
      sizes: pattern.sizes ?? '',
      format: pattern.format ?? 'envelope',
      envelope: envelope?.[0] ?? 'own',
      thickness: size(pattern.thicknessMm),
      sheets: orEmpty(pattern.sheets, String),
      needs: formatNeeds(pattern.needs ?? [], units),
      isMade: pattern.isMade,
    } satisfies Partial<ItemFields>);
  }
  if (thread)
    Object.assign(fields, {
      fibre: wordTerm(thread.fibre),
      use: wordTerm(thread.use),
      threadNumber: formatShort(thread.tex),
      spool: lot.holder ?? findHolder(thread.diameterMm).id,
    } satisfies Partial<ItemFields>);
  if (box)
    Object.assign(fields, {
      type: wordTerm(box.type),
      size: box.size ?? '',
      unitMass: orEmpty(box.unitG, (g) => `${g} g`),
      boxWidth: size(box.widthMm),
      boxDepth: size(box.depthMm),
      boxHeight: size(box.heightMm),
      mass: formatMass(box.massG, units),
      hole: orEmpty(box.hangHoleMm, size),
      watts: orEmpty(box.watts, String),
      tapeWidth: orEmpty(box.tape?.widthMm, size),
      tapeThickness: orEmpty(box.tape?.layerMm, (mm) => t('{mm} mm', { mm })),
      isSoft: box.isSoft,
    } satisfies Partial<ItemFields>);
  return fields;
}

/** What is usual for a type as it was typed. */
export const findTypedType = ({ type, kind }: Pick<ItemFields, 'type' | 'kind'>): TypeFigures | null =>
  findType(readTerm(type), kind);

/** Whether a notion goes by the length: its type says so, or it was measured so before. */
export function goesByLength(fields: Pick<ItemFields, 'kind' | 'type' | 'length' | 'tapeWidth'>): boolean {
  if (fields.kind !== 'notion') return false;
  return findTypedType(fields)?.sizeIs === 'tapeWidth' || fields.length !== '' || fields.tapeWidth !== '';
}

/** The ways that a thing as it stands in the form is usually kept. */
export function listUsualForms(fields: ItemFields): StowForm[] {
  const { kind, cloth, cut, type, isSoft, spool, hole } = fields;
  const isNew = hole.trim() === '';
  return getUsualForms({
    kind,
    cloth,
    cut,
    type,
    isSoft: isSoft || undefined,
    holder: spool,
    hangHoleMm: isNew ? undefined : 1,
  });
}
