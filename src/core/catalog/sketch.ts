import { addMonths as addToMonth } from 'date-fns';
import { toDay } from '../units/index.ts';
import { computePackage, computePackages, findHolder, getCloth, getHolder } from '../measure/index.ts';
import {
  createLooseLot,
  dropAbsent,
  parseRecord,
  type BoxSpec,
  type CareFlag,
  type ClothNeed,
  type FabricSpec,
  type Holder,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
  type PatternFormat,
  type PatternSpec,
  type PhotoId,
  type Print,
  type RecordFault,
  type ScrapCut,
  type StationId,
  type StowForm,
  type TapeSpec,
  type ThreadSpec,
  type Settings,
} from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { findType } from './figures.ts';
import { toTable } from '../words/index.ts';

/**
 * What somebody said about a thing, however little: the common ground of form, quick line and table. Lengths
 * in mm, areas mm², weights g. What is absent is filled from what is usual.
 */
export interface Sketch {
  readonly kind: Kind;
  readonly name?: string;
  readonly colours?: string[];
  readonly notes?: string;
  readonly tags?: string[];
  readonly source?: string;
  readonly cost?: number | null;
  readonly costFor?: number | null;
  readonly care?: CareFlag[];
  readonly usesPerMonth?: number;
  readonly stationId?: StationId;
  readonly otherStationIds?: StationId[];
  readonly belongsToId?: ItemId | null;
  readonly photos?: PhotoId[];
  readonly restockBelow?: number | null;
  /** The ways it may be kept, best first. */
  readonly forms?: StowForm[];
  /** The way it is kept now. */
  readonly form?: StowForm;
  readonly lengthMm?: number | null;
  readonly areaMm2?: number | null;
  readonly count?: number;
  readonly units?: number | null;
  readonly holder?: Holder | null;
  readonly isWashed?: boolean | null;
  readonly expiresOn?: string | null;
  readonly usedHours?: number | null;
  readonly fibre?: string;
  readonly cloth?: string;
  readonly weave?: string;
  readonly print?: Print;
  readonly widthMm?: number;
  readonly grammageGsm?: number;
  readonly layerMm?: number;
  readonly hasNap?: boolean;
  readonly stretchPercent?: number | null;
  readonly cut?: ScrapCut;
  readonly cutMm?: number | null;
  readonly parentItemId?: ItemId | null;
  readonly number?: number;
  readonly garment?: string;
  readonly publisher?: string;
  readonly era?: string;
  readonly sizes?: string;
  /** Width and height of its envelope. */
  readonly envelopeMm?: readonly [number, number];
  readonly thicknessMm?: number;
  readonly format?: PatternFormat;
  readonly sheets?: number | null;
  readonly needs?: ClothNeed[];
  readonly isMade?: boolean;
  readonly use?: string;
  readonly tex?: number;
  /** Diameter and height of its spool, where it is none of the usual ones. */
  readonly spoolMm?: readonly [number | undefined, number | undefined];
  readonly type?: string;
  readonly size?: string;
  readonly boxMm?: readonly [number | undefined, number | undefined, number | undefined];
  readonly massG?: number;
  readonly isSoft?: boolean;
  readonly hangHoleMm?: number | null;
  readonly watts?: number | null;
  readonly unitG?: number | null;
  readonly tapeWidthMm?: number;
  readonly tapeMm?: number;
  readonly coreMm?: number;
}

/** Usual envelopes and folders, width × height in mm. */
export const ENVELOPES = toTable<readonly [number, number]>({
  small: [155, 215],
  large: [190, 265],
  a5: [148, 210],
  a4: [210, 297],
  folder: [230, 330],
});

/** A printed sheet is 0.1 mm thick; the folder adds half a millimetre. */
const SHEET_MM = 0.1;
const FOLDER_MM = 0.5;
/** A sewn-together pattern on card: one block. */
const BLOCK_MM = 0.4;
const USUAL_ENVELOPE_MM = 5;

/** Thickness of a folder with so many printed sheets. */
export function computeSheetsThickness(sheets: number): number {
  return FOLDER_MM + sheets * SHEET_MM;
}

/** The ways a thing of that description may be kept, best first. */
export function getUsualForms(sketch: Sketch): StowForm[] {
  const { kind, cloth = 'poplin', cut = 'odd' } = sketch;
  if (kind === 'fabric') {
    // Knits and plush stretch and crush on a board; coated cloth cracks at a fold.
    if (['jersey', 'ponte', 'sweatshirting', 'fleece', 'longPile'].includes(cloth)) return ['loose', 'stack'];
    if (['waxed', 'vinyl', 'batting', 'interfacing'].includes(cloth)) return ['roll', 'stack', 'loose'];
    return ['board', 'stack', 'file'];
  }
  if (kind === 'scrap') return cut === 'odd' ? ['loose'] : ['stack', 'loose'];
  if (kind === 'pattern') return ['envelope'];
  if (kind === 'thread') return sketch.holder === 'cone' ? ['box'] : ['spool', 'box'];
  const figures = findType(sketch.type ?? '', kind);
  if (sketch.isSoft ?? figures?.isSoft ?? kind === 'kit') return ['loose', 'box'];
  const hole = sketch.hangHoleMm === undefined ? figures?.hangHoleMm : sketch.hangHoleMm;
  // Long and thin, they lie where they would not stand.
  const isFlat = figures?.type === 'ruler' || figures?.type === 'mat';
  const lies: StowForm[] = isFlat ? ['flat', 'box'] : ['box'];
  return hole ? ['peg', ...lies] : lies;
}

function completeFabric(sketch: Sketch, base?: FabricSpec): FabricSpec {
  const cloth = getCloth(sketch.cloth ?? base?.cloth ?? 'poplin');
  const isSameCloth = base?.cloth === cloth.id;
  const grammageGsm = sketch.grammageGsm ?? (isSameCloth ? base.grammageGsm : cloth.grammageGsm);
  const isSameWeight = isSameCloth && base.grammageGsm === grammageGsm;
  const spec: FabricSpec = {
    ...base,
    fibre: sketch.fibre ?? base?.fibre ?? cloth.fibre,
    cloth: cloth.id,
    widthMm: sketch.widthMm ?? base?.widthMm ?? cloth.widthMm,
    grammageGsm,
    // A heavier cloth of the same class is thicker in proportion.
    layerMm:
      sketch.layerMm ??
      (isSameWeight ? base.layerMm : Math.max(0.02, (cloth.layerMm * grammageGsm) / cloth.grammageGsm)),
    stacking: isSameCloth ? base.stacking : cloth.stacking,
    print: sketch.print ?? base?.print ?? 'solid',
  };
  if (!isSameWeight) delete spec.isCalibrated;
  if (sketch.weave !== undefined) assignOrDrop(spec, 'weave', sketch.weave);
  if (sketch.hasNap !== undefined) assignOrDrop(spec, 'hasNap', sketch.hasNap);
  if (sketch.stretchPercent !== undefined) assignOrDrop(spec, 'stretchPercent', sketch.stretchPercent);
  return spec;
}

/** Sets a field, or takes it away where it says nothing: records stay as small as what is known. */
function assignOrDrop<T extends object, K extends keyof T>(record: T, key: K, value: T[K] | null | undefined): void {
  const isEmpty =
    value === null ||
    value === undefined ||
    value === '' ||
    value === false ||
    (Array.isArray(value) && value.length === 0);
  if (isEmpty) delete record[key];
  else record[key] = value;
}

function completePattern(sketch: Sketch, base?: PatternSpec): PatternSpec {
  const format = sketch.format ?? base?.format ?? 'envelope';
  const sheets = sketch.sheets === undefined ? base?.sheets : sketch.sheets;
  const usual = format === 'sheets' ? 'folder' : 'small';
  const [widthMm, heightMm] =
    sketch.envelopeMm ?? (base ? [base.widthMm, base.heightMm] : (ENVELOPES[usual] as readonly [number, number]));
  const usualMm =
    format === 'sheets' && sheets ? computeSheetsThickness(sheets) : format === 'block' ? BLOCK_MM : USUAL_ENVELOPE_MM;
  const isSameBulk = base && (base.format ?? 'envelope') === format && base.sheets === sheets;
  const spec: PatternSpec = {
    ...base,
    number: sketch.number ?? base?.number ?? 0,
    garment: sketch.garment ?? base?.garment ?? '',
    widthMm,
    heightMm,
    thicknessMm: sketch.thicknessMm ?? (isSameBulk ? base.thicknessMm : usualMm),
    isMade: sketch.isMade ?? base?.isMade ?? false,
  };
  assignOrDrop(spec, 'format', format === 'envelope' ? undefined : format);
  assignOrDrop(spec, 'sheets', sheets);
  for (const key of ['publisher', 'era', 'sizes', 'needs'] as const)
    if (sketch[key] !== undefined) assignOrDrop(spec, key, sketch[key]);
  return spec;
}

function completeThread(sketch: Sketch, base?: ThreadSpec): ThreadSpec {
  // An item's own spool is its first lot's; a lot on another one says so itself.
  const holder = base ? null : getHolder(sketch.holder ?? 'small');
  return {
    fibre: sketch.fibre ?? base?.fibre ?? 'polyester',
    use: sketch.use ?? base?.use ?? 'general',
    tex: sketch.tex ?? base?.tex ?? 27,
    diameterMm: sketch.spoolMm?.[0] ?? holder?.diameterMm ?? base!.diameterMm,
    heightMm: sketch.spoolMm?.[1] ?? holder?.heightMm ?? base!.heightMm,
    massG: sketch.massG ?? holder?.massG ?? base!.massG,
  };
}

/** A number at the beginning of a size, in mm: `20 mm`, `20mm` or a bare number of cm for a long thing. */
function readSizeMm(size: string | undefined): number | null {
  const match = /^(\d+(?:[.,]\d+)?)\s*(mm|cm|m)?/.exec(size ?? '');
  if (!match?.[1]) return null;
  return Number(match[1].replace(',', '.')) * { mm: 1, cm: 10, m: 1000 }[(match[2] ?? 'mm') as 'mm'];
}

function completeBox(sketch: Sketch, base?: BoxSpec): BoxSpec {
  const type = (sketch.type ?? base?.type ?? (sketch.kind === 'kit' ? 'kit' : 'other')).toLowerCase();
  const figures = base && base.type === type ? null : findType(type, sketch.kind);
  const sizeMm = sketch.size === undefined ? null : readSizeMm(sketch.size);
  let [width, depth, height] = base
    ? [base.widthMm, base.depthMm, base.heightMm]
    : [figures?.widthMm ?? 250, figures?.depthMm ?? 200, figures?.heightMm ?? 60];
  let unitG = figures?.unitG;
  let mass = figures?.massG ?? base?.massG ?? 200;
  if (figures?.sizeIs === 'length' && sizeMm) {
    height = sizeMm + 10;
    mass = Math.max(1, (figures.massG * height) / figures.heightMm);
  }
  // A button is about a fifth as thick as wide; plastic weighs 1.2 g/cm³.
  if (figures?.sizeIs === 'diameter' && sizeMm)
    unitG = Number(((Math.PI / 4) * 0.2 * 0.0012 * sizeMm ** 3).toPrecision(2));
  if (figures?.sizeIs === 'long' && sizeMm) height = sizeMm;
  const [wantWidth, wantDepth, wantHeight] = sketch.boxMm ?? [];
  [width, depth, height] = [wantWidth ?? width, wantDepth ?? depth, wantHeight ?? height];
  const hole = sketch.hangHoleMm === undefined ? (figures?.hangHoleMm ?? base?.hangHoleMm) : sketch.hangHoleMm;
  const spec: BoxSpec = {
    ...base,
    type,
    widthMm: width,
    depthMm: depth,
    heightMm: height,
    massG: sketch.massG ?? mass,
    isSoft: sketch.isSoft ?? base?.isSoft ?? figures?.isSoft ?? sketch.kind === 'kit',
  };
  assignOrDrop(spec, 'hangHoleMm', hole);
  if (sketch.size !== undefined) assignOrDrop(spec, 'size', sketch.size);
  if (sketch.unitG !== undefined) assignOrDrop(spec, 'unitG', sketch.unitG);
  else if (unitG !== undefined && (sketch.units ?? null) !== null) spec.unitG = unitG;
  if (sketch.watts !== undefined) assignOrDrop(spec, 'watts', sketch.watts);
  else if (!base && figures?.watts) spec.watts = figures.watts;
  const isTape = (sketch.lengthMm ?? null) !== null || sketch.tapeWidthMm !== undefined;
  if (isTape && sketch.kind === 'notion') {
    const old = base?.tape ?? undefined;
    const tape: TapeSpec = {
      ...old,
      widthMm: sketch.tapeWidthMm ?? old?.widthMm ?? (figures?.sizeIs === 'tapeWidth' && sizeMm ? sizeMm : 25),
      layerMm: sketch.tapeMm ?? old?.layerMm ?? figures?.tapeMm ?? 0.5,
      coreMm: sketch.coreMm ?? old?.coreMm ?? 20,
    };
    if (old && tape.layerMm !== old.layerMm) delete tape.isCalibrated;
    spec.tape = tape;
  }
  return spec;
}

/** A day, so many months after an instant. */
export function addMonths(fromMs: number, months: number): string {
  return toDay(addToMonth(fromMs, months));
}

/** Whom the thing becomes: its names, its station when none was said, and the time. */
export interface Birth {
  readonly itemId: ItemId;
  readonly lotId: LotId;
  readonly nowMs: number;
  readonly stationId: StationId;
  /** The household's boards and panels: they decide what a new thing can be kept as. */
  readonly settings: Settings;
}

/** What a sketch became, before it is checked. */
function createRecords(sketch: Sketch, birth: Birth, base: { item: Item; lot: Lot } | null): { item: Item; lot: Lot } {
  const { kind } = sketch;
  const old = base?.item;
  const figures = findType(sketch.type ?? '', kind);
  const item: Item = {
    ...old,
    id: old?.id ?? birth.itemId,
    kind,
    name: (sketch.name ?? old?.name ?? '').trim(),
    colours: sketch.colours ?? old?.colours ?? [],
    notes: sketch.notes ?? old?.notes ?? '',
    usesPerMonth: sketch.usesPerMonth ?? old?.usesPerMonth ?? 1,
    // What is said anew is believed at first.
    ...(typeof old?.learntPerMonth === 'number' &&
      sketch.usesPerMonth !== undefined &&
      sketch.usesPerMonth !== old.usesPerMonth && { learntPerMonth: undefined }),
    stationId: sketch.stationId ?? old?.stationId ?? birth.stationId,
    care: sketch.care ?? old?.care ?? (kind === 'thread' ? ['thread'] : [...(figures?.care ?? [])]),
    forms: sketch.forms ?? old?.forms ?? getUsualForms(sketch),
  };
  for (const key of [
    'tags',
    'photos',
    'otherStationIds',
    'belongsToId',
    'source',
    'cost',
    'costFor',
    'restockBelow',
  ] as const)
    if (sketch[key] !== undefined) assignOrDrop<Item, typeof key>(item, key, sketch[key] as never);
  if (kind === 'fabric' || kind === 'scrap') item.fabric = completeFabric(sketch, old?.fabric);
  if (kind === 'scrap') {
    const cut = sketch.cut ?? old?.scrap?.cut ?? 'odd';
    const cutMm = cut === 'odd' ? undefined : (sketch.cutMm ?? old?.scrap?.cutMm ?? 63.5);
    const parentItemId = sketch.parentItemId === undefined ? old?.scrap?.parentItemId : sketch.parentItemId;
    item.scrap = { cut, ...(cutMm && { cutMm }), ...(parentItemId && { parentItemId }) };
  }
  if (kind === 'pattern') item.pattern = completePattern(sketch, old?.pattern);
  if (kind === 'thread') item.thread = completeThread(sketch, old?.thread);
  if (kind === 'notion' || kind === 'tool' || kind === 'kit' || kind === 'other')
    item.box = completeBox(sketch, old?.box);
  const lengthMm = sketch.lengthMm === undefined ? base?.lot.lengthMm : (sketch.lengthMm ?? undefined);
  const count = sketch.count ?? base?.lot.count ?? 1;
  const lot: Lot = base
    ? { ...base.lot, lengthMm, count }
    : createLooseLot(birth.lotId, item, count, lengthMm, birth.nowMs);
  for (const key of ['areaMm2', 'units', 'isWashed', 'expiresOn', 'usedHours'] as const)
    if (sketch[key] !== undefined) {
      if (sketch[key] === null) delete lot[key];
      else Object.assign(lot, { [key]: sketch[key] });
    }
  if (kind === 'scrap' && item.scrap?.cut === 'odd') lot.areaMm2 ??= 0;
  // Only what differs from the item's own spool needs saying.
  if (sketch.holder && item.thread)
    assignOrDrop(lot, 'holder', findHolder(item.thread.diameterMm).id === sketch.holder ? null : sketch.holder);
  if (!base && figures?.keepsMonths && sketch.expiresOn === undefined)
    lot.expiresOn = addMonths(birth.nowMs, figures.keepsMonths);
  const form = sketch.form ?? lot.form;
  if (item.forms.includes(form) && lot.state !== 'in') Object.assign(lot, { form, homeForm: form });
  if (!base && sketch.form === undefined && !computePackage(item, lot, lot.form, birth.settings)) {
    // What nobody said is the first form that suits: five metres of coating do not go on a board.
    const [able] = computePackages(item, lot, birth.settings);
    if (able) Object.assign(lot, { form: able.form, homeForm: able.form });
  }
  return { item, lot };
}

/**
 * Fills a sketch up with what is usual and checks it. `base` is the thing being changed: what the sketch does
 * not say keeps its value there.
 */
export function completeSketch(
  sketch: Sketch,
  birth: Birth,
  base: { item: Item; lot: Lot } | null = null,
): Result<{ item: Item; lot: Lot }, RecordFault[]> {
  const { item, lot } = createRecords(sketch, birth, base);
  if (base) {
    const amounts = ['lengthMm', 'areaMm2', 'units', 'count'] as const;
    const isSame = amounts.every((key) => lot[key] === base.lot[key]);
    // A typed amount is known as such, and no longer a measurement.
    if (!isSame) Object.assign(lot, { sinceMs: birth.nowMs, amountSigma: undefined, measuredBy: undefined });
  }
  const made = dropAbsent({ item, lot });
  const faults = [parseRecord('items', made.item), parseRecord('lots', made.lot)].flatMap((parsed) =>
    parsed.ok ? [] : parsed.fault,
  );
  return faults.length > 0 ? fail(faults) : ok(made);
}
