import { completeSketch, ENVELOPES, type Birth, type Sketch } from '../../../core/catalog/index.ts';
import { convertThread, THREAD_NUMBERS } from '../../../core/measure/index.ts';
import { DAY_PATTERN, type Item, type ItemId, type Lot, type StationId } from '../../../core/records/index.ts';
import {
  parseArea,
  parseCount,
  parseGrammage,
  parseLengthMm,
  parseMassG,
  type AmountFault,
  type UnitSystem,
} from '../../../core/units/index.ts';
import type { Result } from '../../../core/result/index.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { wordDay } from '../../text/days.ts';

import { findTypedType, goesByLength, listUsualForms, parseNeeds, toFields, type ItemFields } from './itemFields.ts';
import { t, readTerm } from '../../language/index.ts';

type FieldFaults = Partial<Record<keyof ItemFields, string>>;

/** Reads field by field into a sketch; what still says what it said is left out, and so keeps its exact value. */
class FormReader {
  readonly faults: FieldFaults = {};
  private readonly isMetric: boolean;

  constructor(
    private readonly fields: ItemFields,
    private readonly before: ItemFields | null,
    units: UnitSystem,
  ) {
    this.isMetric = units === 'metric';
  }

  get hasBase(): boolean {
    return this.before !== null;
  }

  isChanged(name: keyof ItemFields): boolean {
    return this.before === null || JSON.stringify(this.before[name]) !== JSON.stringify(this.fields[name]);
  }

  /** The text, where it was changed; an empty one in a new thing says nothing. */
  text(name: keyof ItemFields): string | undefined {
    const text = String(this.fields[name]).trim();
    return this.isChanged(name) && (this.before !== null || text !== '') ? text : undefined;
  }

  /**
   * An amount more than nothing. `whenEmpty` is what an emptied field means: null takes the value away,
   * undefined leaves it to what is usual, 'needed' is a fault.
   */
  amount<E extends null | undefined>(
    name: keyof ItemFields,
    parse: (text: string) => Result<number, AmountFault>,
    example: string,
    whenEmpty: E | 'needed',
  ): number | E | undefined {
    if (!this.isChanged(name)) return undefined;
    const text = String(this.fields[name]).trim();
    if (text === '' && whenEmpty !== 'needed') return this.before === null ? undefined : whenEmpty;
    const parsed = parse(text);
    if (!parsed.ok) this.faults[name] = wordAmountFault(parsed.fault, example);
    else if (parsed.value <= 0) this.faults[name] = wordAmountFault({ code: 'zero', text }, example);
    else return parsed.value;
    return undefined;
  }

  size<E extends null | undefined>(
    name: keyof ItemFields,
    whenEmpty: E | 'needed',
    metric = t('12 cm'),
    imperial = t('4 3/4 in'),
  ) {
    return this.amount(
      name,
      (text) => parseLengthMm(text, this.isMetric ? 'cm' : 'in'),
      this.isMetric ? metric : imperial,
      whenEmpty,
    );
  }

  small<E extends null | undefined>(name: keyof ItemFields, whenEmpty: E | 'needed') {
    return this.amount(
      name,
      (text) => parseLengthMm(text, this.isMetric ? 'mm' : 'in'),
      this.isMetric ? t('8 mm') : t('3/8 in'),
      whenEmpty,
    );
  }

  length<E extends null | undefined>(name: keyof ItemFields, whenEmpty: E | 'needed') {
    return this.amount(
      name,
      (text) => parseLengthMm(text, this.isMetric ? 'm' : 'yd'),
      this.isMetric ? t('3.4 m') : t('2 1/2 yd'),
      whenEmpty,
    );
  }

  whole<E extends null | undefined>(name: keyof ItemFields, example: string, whenEmpty: E | 'needed') {
    return this.amount(name, parseCount, example, whenEmpty);
  }

  mass<E extends null | undefined>(name: keyof ItemFields, whenEmpty: E | 'needed') {
    return this.amount(
      name,
      (text) => parseMassG(text, this.isMetric ? 'g' : 'oz'),
      this.isMetric ? t('120 g') : t('4 oz'),
      whenEmpty,
    );
  }

  number<E extends null | undefined>(name: keyof ItemFields, example: string, whenEmpty: E | 'needed') {
    return this.amount(
      name,
      (text) => {
        const value = Number(text.replace(',', '.'));
        if (Number.isNaN(value)) return { ok: false, fault: { code: 'not-a-number', text } };
        return value < 0 ? { ok: false, fault: { code: 'negative', text } } : { ok: true, value };
      },
      example,
      whenEmpty,
    );
  }

  /** A word of the craft, as the records have it. */
  term(name: keyof ItemFields): string | undefined {
    const text = this.text(name);
    return text === undefined ? undefined : readTerm(text).toLowerCase();
  }

  list(name: keyof ItemFields, split: RegExp): string[] | undefined {
    const text = this.text(name);
    return text === undefined
      ? undefined
      : [
          ...new Set(
            text
              .split(split)
              .map((one) => one.trim())
              .filter(Boolean),
          ),
        ];
  }
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

function readCloth(reader: FormReader, fields: ItemFields, sketch: Mutable<Sketch>, units: UnitSystem): void {
  const isMetric = units === 'metric';
  sketch.cloth = fields.cloth;
  sketch.fibre = reader.term('fibre');
  if (reader.isChanged('fibre') && sketch.fibre === '') reader.faults.fibre = t('Such as cotton, linen or wool.');
  sketch.weave = reader.term('weave');
  sketch.print = fields.print;
  sketch.widthMm = reader.size('width', undefined, t('140 cm'), t('54 in'));
  sketch.grammageGsm = reader.amount(
    'grammage',
    (text) => parseGrammage(text, 'gsm'),
    isMetric ? t('185 gsm') : t('5.5 oz'),
    undefined,
  );
  if (reader.isChanged('hasNap')) sketch.hasNap = fields.hasNap;
  sketch.stretchPercent = reader.number('stretch', '30', null);
}

function readBox(reader: FormReader, fields: ItemFields, sketch: Mutable<Sketch>): void {
  const { kind } = fields;
  const figures = findTypedType(fields);
  sketch.type = reader.term('type');
  if (fields.type.trim() === '')
    reader.faults.type = kind === 'tool' ? t('Such as ruler or scissors.') : t('Such as zips or buttons.');
  sketch.size = reader.text('size');
  // Where the type is not one that is known, its size must be said.
  const whenEmpty = figures || kind === 'kit' ? undefined : ('needed' as const);
  const sides = (['boxWidth', 'boxDepth', 'boxHeight'] as const).map((name) =>
    goesByLength(fields) ? undefined : reader.size(name, whenEmpty),
  );
  if (sides.some((side) => side !== undefined)) sketch.boxMm = sides as [number, number, number];
  sketch.massG = reader.mass('mass', undefined);
  if (reader.isChanged('belongsToId')) sketch.belongsToId = (fields.belongsToId || null) as ItemId | null;
  // Unticked in a new thing means "as is usual for its type".
  if (reader.hasBase ? reader.isChanged('isSoft') : fields.isSoft) sketch.isSoft = fields.isSoft;
  if (kind === 'tool') sketch.hangHoleMm = reader.small('hole', null);
  if (kind === 'tool' || kind === 'other') sketch.watts = reader.number('watts', '90', null);
  if (kind !== 'notion') return;
  sketch.unitG = reader.mass('unitMass', null);
  sketch.units = reader.whole('units', '24', null);
  sketch.usedHours = reader.number('usedHours', '3', null);
  if (!goesByLength(fields)) return;
  sketch.lengthMm = reader.length<undefined>('length', 'needed');
  sketch.tapeWidthMm = reader.small('tapeWidth', undefined);
  sketch.tapeMm = reader.small('tapeThickness', undefined);
}

/**
 * Reads the form into records, or every fault by field, in words. `base` is the thing being changed: what the
 * form does not ask keeps its value, and so does a field that still says what it said, whose rounded text
 * would lose the exact figure. Figures left empty come from what is usual.
 */
export function readFields(
  fields: ItemFields,
  units: UnitSystem,
  base: { item: Item; lot: Lot } | null,
  birth: Birth,
): Result<{ item: Item; lot: Lot }, FieldFaults> {
  const before = base ? toFields(base.item, base.lot, units) : null;
  const reader = new FormReader(fields, before, units);
  const { faults } = reader;
  const { kind } = fields;
  const sketch: Mutable<Sketch> = { kind, name: fields.name.trim(), notes: fields.notes };
  if (sketch.name === '') faults.name = t('Give it a name that you will look for.');
  if (reader.isChanged('colour')) sketch.colours = [fields.colour, ...(base?.item.colours.slice(1) ?? [])];
  const uses = Number(fields.usesPerMonth.replace(',', '.'));
  if (fields.usesPerMonth.trim() === '' || !(uses >= 0 && uses <= 1000))
    faults.usesPerMonth = t('A number such as 2, or 0.5 for every other month.');
  else if (reader.isChanged('usesPerMonth')) sketch.usesPerMonth = uses;
  sketch.stationId = fields.stationId as StationId;
  if (reader.isChanged('otherStationIds'))
    sketch.otherStationIds = fields.otherStationIds.filter((id) => id !== fields.stationId) as StationId[];
  // Unticked in a new thing means "as usual": sharp needles are sharp without being told.
  if (base ? reader.isChanged('care') : fields.care.length > 0) sketch.care = fields.care;
  if (reader.isChanged('tags')) sketch.tags = reader.list('tags', /[,#]/);
  sketch.source = reader.text('source');
  sketch.cost = reader.number('cost', '24.50', null);
  if (reader.isChanged('washed')) sketch.isWashed = fields.washed === '' ? null : fields.washed === 'yes';
  if (fields.expiresOn !== '' && !DAY_PATTERN.test(fields.expiresOn))
    faults.expiresOn = t('A day such as {example}.', { example: wordDay('2027-05-31') });
  else if (reader.isChanged('expiresOn') && (base || fields.expiresOn !== ''))
    sketch.expiresOn = fields.expiresOn === '' ? null : fields.expiresOn;

  if (kind === 'fabric') {
    sketch.lengthMm = reader.length<undefined>('length', 'needed');
    readCloth(reader, fields, sketch, units);
  } else if (kind === 'scrap') {
    readCloth(reader, fields, sketch, units);
    sketch.cut = fields.cut;
    if (fields.cut === 'odd')
      sketch.areaMm2 = reader.amount(
        'area',
        (text) => parseArea(text, units),
        units === 'metric' ? t('0.6 m²') : t('0.7 sq yd'),
        'needed',
      );
    else sketch.cutMm = reader.size('cutSize', 'needed', t('6.35 cm'), t('2 1/2 in'));
  }
  if (kind === 'pattern') {
    sketch.number = reader.whole<undefined>('number', '214', 'needed');
    sketch.garment = reader.term('garment');
    sketch.publisher = reader.text('publisher');
    sketch.era = reader.text('era');
    sketch.sizes = reader.text('sizes');
    sketch.format = fields.format;
    if (reader.isChanged('envelope') && ENVELOPES[fields.envelope]) sketch.envelopeMm = ENVELOPES[fields.envelope];
    sketch.sheets = reader.whole('sheets', '46', null);
    sketch.thicknessMm = reader.small('thickness', undefined);
    if (reader.isChanged('isMade')) sketch.isMade = fields.isMade;
    const needs = reader.isChanged('needs') ? parseNeeds(fields.needs, units) : undefined;
    if (typeof needs === 'string') faults.needs = needs;
    else sketch.needs = needs;
  }
  if (kind === 'thread') {
    sketch.fibre = reader.term('fibre');
    sketch.use = reader.term('use');
    if (fields.use.trim() === '') faults.use = t('Such as general or topstitching.');
    const value = reader.number('threadNumber', '27', 'needed');
    const isSame = !reader.isChanged('threadNumber') && !reader.isChanged('threadSystem');
    const system = THREAD_NUMBERS.includes(fields.threadSystem) ? fields.threadSystem : 'tex';
    const typed = value ?? Number(fields.threadNumber.replace(',', '.'));
    if (!isSame && typed > 0) sketch.tex = Number(convertThread(typed, system, 'tex').toFixed(2));
    sketch.holder = reader.isChanged('spool') ? fields.spool : undefined;
    sketch.lengthMm = reader.length('length', null);
  }
  if (kind === 'notion' || kind === 'tool' || kind === 'kit' || kind === 'other') readBox(reader, fields, sketch);
  const countsPieces = kind !== 'fabric' && !(kind === 'scrap' && fields.cut === 'odd');
  if (countsPieces) sketch.count = reader.whole<undefined>('count', '3', 'needed');
  if (reader.isChanged('forms') && fields.forms.length > 0) sketch.forms = fields.forms;
  // Another class of cloth or a new hang hole opens other ways of keeping it.
  else if (before && String(listUsualForms(before)) !== String(listUsualForms(fields)))
    sketch.forms = listUsualForms(fields);
  if (fields.form !== '' && reader.isChanged('form')) sketch.form = fields.form;
  if (reader.isChanged('restock')) {
    const unit =
      kind === 'fabric' || goesByLength(fields)
        ? 'length'
        : kind === 'scrap' && fields.cut === 'odd'
          ? 'area'
          : 'count';
    sketch.restockBelow =
      unit === 'length'
        ? reader.length('restock', null)
        : unit === 'area'
          ? reader.amount('restock', (text) => parseArea(text, units), t('0.5 m²'), null)
          : reader.whole('restock', '2', null);
  }
  if (Object.keys(faults).length > 0) return { ok: false, fault: faults };
  const defined = Object.fromEntries(
    Object.entries(sketch).filter(([, value]) => value !== undefined),
  ) as unknown as Sketch;
  const made = completeSketch(defined, birth, base);
  return made.ok ? made : { ok: false, fault: { name: wordRecordFaults(made.fault, units) } };
}
