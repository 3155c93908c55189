import type { RecordFault } from '../../core/records/index.ts';
import { formatArea, formatMass, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { formatShort, perLanguage, t } from '../language/index.ts';

/** What the fields of records are called, where somebody may have typed them. */
const FIELDS = perLanguage((): Readonly<Record<string, string>> => ({
  name: t('Name'),
  notes: t('Notes'),
  source: t('Where from'),
  tags: t('Tags'),
  widthMm: t('Width'),
  heightMm: t('Height'),
  depthMm: t('Depth'),
  lengthMm: t('Length'),
  outerWidthMm: t('Outer width'),
  outerHeightMm: t('Outer height'),
  outerDepthMm: t('Outer depth'),
  boardMm: t('Board thickness'),
  wallMm: t('Thickness of its walls'),
  dividers: t('Dividers'),
  xMm: t('From the left'),
  yMm: t('Above the floor'),
  columns: t('Columns'),
  rows: t('Rows'),
  loadG: t('Carries'),
  massG: t('Weight'),
  tareG: t('Weight when empty'),
  unitG: t('Weight of one piece'),
  count: t('Quantity'),
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
  usesPerMonth: t('Uses a month'),
  cost: t('Cost'),
  statureMm: t('Your height'),
  smallStatureMm: t('The shorter one’s height'),
  panelWidthMm: t('Folded cloth: width'),
  panelDepthMm: t('Folded cloth: depth'),
  boardWidthMm: t('Boards: width'),
  boardHeightMm: t('Boards: height'),
  boardThicknessMm: t('Boards: thickness'),
}));

/** The boundary stands at the end of what the rule says: `widthMm must not be less than 10`. */
const LIMIT = /(-?\d+(?:\.\d+)?(?:e[+-]?\d+)?)(?: characters| elements)?$/u;

function formatLimit(field: string, limit: number, units: UnitSystem): string {
  if (/Mm$/u.test(field)) return formatSize(limit, units);
  if (field === 'areaMm2') return formatArea(limit, units);
  if (field === 'grammageGsm') return t('{grammageGsm} gsm', { grammageGsm: limit });
  return /G$/u.test(field) ? formatMass(limit, units) : formatShort(limit);
}

/** What of a record cannot be kept, in the words of its form. */
function wordRecordFault({ path, rule, message }: RecordFault, units: UnitSystem): string {
  if (path === 'file')
    return rule === 'newer'
      ? t('The file was made by a newer Yardmist.')
      : t('The file holds no piece of furniture that can be read.');
  const field = path.split('.').at(-1) ?? '';
  const what = FIELDS()[field];
  if (what === undefined) return t('Something of it cannot be kept as it is ({path}).', { path });
  const [, found] = LIMIT.exec(message) ?? [];
  const limit = formatLimit(field, Number(found), units);
  if (rule === 'minLength') return t('{what}: it is needed.', { what });
  if (found === undefined)
    return rule === 'max'
      ? t('{what}: they leave no room inside.', { what })
      : t('{what}: that cannot be kept.', { what });
  if (rule === 'min') return t('{what}: {limit} at least.', { what, limit });
  if (rule === 'max') return t('{what}: {limit} at most.', { what, limit });
  if (rule === 'maxLength') return t('{what}: {limit} letters at most.', { what, limit });
  return t('{what}: that cannot be kept.', { what });
}

/** All of it, each once. */
export const wordRecordFaults = (faults: readonly RecordFault[], units: UnitSystem): string =>
  [...new Set(faults.map((one) => wordRecordFault(one, units)))].join(' ');
