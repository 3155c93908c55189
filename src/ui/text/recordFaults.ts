import type { RecordFault } from '../../core/records/index.ts';
import { formatArea, formatMass, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { toTable } from '../../core/words/index.ts';
import { formatShort, perLanguage, t } from '../language/index.ts';

/** What the fields of records are called, where somebody may have typed them. */
const FIELDS = perLanguage(() =>
  toTable<string>({
    forWhat: t('What it is for'),
    name: t('The name'),
    note: t('The note'),
    notes: t('The notes'),
    lentTo: t('Whom it is lent to'),
    tags: t('The tags'),
    source: t('Where it is from'),
    words: t('The label'),
    count: t('How many there are'),
    lengthMm: t('The length'),
    widthMm: t('The width'),
    usesPerMonth: t('How often it is used'),
    heightMm: t('Height'),
    depthMm: t('Depth'),
    outerWidthMm: t('Outer width'),
    outerHeightMm: t('Outer height'),
    outerDepthMm: t('Outer depth'),
    boardMm: t('Board thickness'),
    wallMm: t('Thickness of its walls'),
    dividers: t('Dividers'),
    xMm: t('How far it is from the left'),
    yMm: t('How high it stands'),
    columns: t('Columns'),
    rows: t('Rows'),
    loadG: t('What it carries'),
    massG: t('Weight'),
    tareG: t('Weight when empty'),
    unitG: t('Weight of one piece'),
    amountSigma: t('How near it is known'),
    grammageGsm: t('Weight per area'),
    layerMm: t('Layer'),
    thicknessMm: t('Thickness'),
    stretchPercent: t('Stretch in percent'),
    cutMm: t('Cut size'),
    areaMm2: t('Area'),
    number: t('Number'),
    garment: t('Garment'),
    publisher: t('Publisher'),
    sizes: t('Sizes'),
    sheets: t('Sheets'),
    tex: t('Tex'),
    diameterMm: t('Spool width'),
    coreMm: t('Reel when bare'),
    fibre: t('Fibre'),
    weave: t('Weave'),
    use: t('What it is for'),
    type: t('Type'),
    size: t('Size'),
    watts: t('Watts'),
    hangHoleMm: t('Hang hole'),
    cost: t('Cost'),
    statureMm: t('Your height'),
    smallStatureMm: t('The shorter one’s height'),
    panelWidthMm: t('Folded cloth: width'),
    panelDepthMm: t('Folded cloth: depth'),
    boardWidthMm: t('Boards: width'),
    boardHeightMm: t('Boards: height'),
    boardThicknessMm: t('Boards: thickness'),
  }),
);

/** The field that a path ends with, as its form calls it. */
export function wordField(path: string): string {
  const steps = path.split('.').filter((step) => !/^\d+$/u.test(step));
  return FIELDS()[steps.at(-1) ?? ''] ?? `“${steps.slice(2).join(' ') || path}”`;
}

/** Figures by the measure that their fields' names end with. */
const MEASURES: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  Mm: formatSize,
  Mm2: formatArea,
  G: formatMass,
  Gsm: (grammageGsm) => t('{grammageGsm} gsm', { grammageGsm }),
};

/** A boundary in the measure of its field. */
function formatLimit(path: string, limit: number, units: UnitSystem): string {
  const [measure = ''] = /(?:Mm2?|Gsm|G)$/u.exec(path) ?? [];
  return MEASURES[measure]?.(limit, units) ?? formatShort(limit);
}

/** Why a field does not take what it was given. The boundary is the last number that the rule says. */
export function wordRecordFault({ path, rule, message }: RecordFault, units: UnitSystem): string {
  const field = wordField(path);
  const [, found] = /(-?\d+(?:\.\d+)?)(?!.*\d)/u.exec(message) ?? [];
  const limit = found === undefined ? '' : formatLimit(path, Number(found), units);
  switch (rule) {
    case 'maxLength':
      return t('{field} can have at most {limit} letters.', { field, limit });
    case 'minLength':
      return t('{field} cannot be empty.', { field });
    case 'max':
      return found === undefined
        ? t('{field}: they leave no room inside.', { field })
        : t('{field} can be at most {limit}.', { field, limit });
    case 'min':
      return t('{field} must be at least {limit}.', { field, limit });
    case 'arrayMaxSize':
      return t('{field}: there can be at most {limit}.', { field, limit });
    case 'dangling':
    case 'no-station':
      return t('It stands on something that is not there.');
    case 'gaveWay':
      return t('It could not stay where it was.');
    case 'twice':
      return t('Its name within the household stands there twice.');
    case 'order':
      return t('It does not follow on the line before it.');
    case 'format':
      return t('The file holds no piece of furniture that can be read.');
    case 'newer':
      return t('The file was made by a newer Yardmist.');
    default:
      return t('{field} cannot be kept as it is.', { field });
  }
}

/** All of it, each once. */
export const wordRecordFaults = (faults: readonly RecordFault[], units: UnitSystem): string =>
  [...new Set(faults.map((one) => wordRecordFault(one, units)))].join(' ');
