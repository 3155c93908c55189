import type {
  CareFlag,
  Holder,
  Kind,
  Light,
  Opening,
  PatternFormat,
  Print,
  ScrapCut,
  StowForm,
  UnitKind,
} from '../../core/records/index.ts';
import type { BandReach, Reach } from '../../core/storage/index.ts';
import { toTable } from '../../core/words/index.ts';

const KIND: Record<Kind, [string, string]> = {
  fabric: ['cloth', 'Cloth'],
  pattern: ['pattern', 'Patterns'],
  thread: ['thread', 'Threads'],
  notion: ['notion', 'Notions'],
  tool: ['tool', 'Tools'],
  scrap: ['scrap', 'Scraps'],
  kit: ['kit', 'Kits'],
  other: ['other thing', 'Other'],
};
export const wordKind = (kind: Kind): string => KIND[kind][0];
export const wordKindPlural = (kind: Kind): string => KIND[kind][1];

const FORM: Record<StowForm, string> = {
  board: 'on a board',
  stack: 'folded flat',
  file: 'folded, standing',
  roll: 'rolled',
  hanger: 'on a hanger',
  bag: 'in a bag',
  loose: 'loose',
  envelope: 'standing envelope',
  spool: 'on a pin or standing',
  box: 'lying in a drawer or bin',
  flat: 'lying flat',
  peg: 'hung on a hook',
};
export const wordForm = (form: StowForm): string => FORM[form];

const CLOTH = toTable<string>({
  chiffon: 'chiffon, voile, lawn',
  poplin: 'poplin, quilting cotton',
  satin: 'satin, lining',
  linen: 'linen, mid weight',
  flannel: 'flannel',
  jersey: 'jersey',
  ponte: 'ponte',
  sweatshirting: 'sweatshirting',
  denim10: 'denim, 10 oz',
  denim14: 'denim, 14 oz',
  canvas: 'canvas, 12 oz',
  corduroy: 'corduroy, velvet',
  fleece: 'fleece, plush',
  longPile: 'long pile',
  suiting: 'wool suiting',
  coating: 'wool coating',
  waxed: 'waxed or coated cotton',
  ripstop: 'ripstop',
  vinyl: 'vinyl',
  batting: 'cotton batting',
  interfacing: 'interfacing',
});
export const wordCloth = (id: string): string => CLOTH[id] ?? id;

const PRINT: Record<Print, string> = {
  solid: 'plain',
  stripe: 'stripes',
  pinstripe: 'fine stripes',
  check: 'checks',
  gingham: 'gingham',
  plaid: 'tartan',
  dots: 'spots',
  floral: 'flowers',
  leaf: 'leaves',
  wave: 'waves',
  zigzag: 'zigzags',
  herringbone: 'herringbone',
  star: 'stars',
  diamond: 'diamonds',
  paisley: 'paisley',
  mottled: 'mottled',
};
export const wordPrint = (print: Print): string => PRINT[print];

const CARE: Record<CareFlag, string> = {
  fades: 'fades in light',
  noSun: 'must not see the sun',
  sheds: 'sheds',
  slips: 'slips',
  creases: 'creases',
  heavy: 'heavy',
  sharp: 'sharp',
  magnetic: 'magnetic',
  smallPart: 'small parts',
  hot: 'hot',
  liquid: 'liquid',
  flammable: 'flammable',
  thread: 'a cat would chew it',
  heirloom: 'heirloom',
};
export const wordCare = (flag: CareFlag): string => CARE[flag];

const CUT: Record<ScrapCut, string> = { odd: 'Odd bits', strip: 'Strips', square: 'Squares' };
export const wordScrapCut = (cut: ScrapCut): string => CUT[cut];

const PATTERN_FORMAT: Record<PatternFormat, string> = {
  envelope: 'envelope',
  sheets: 'printed sheets in a folder',
  digital: 'a file, not printed',
  block: 'card block on a hook',
};
export const wordPatternFormat = (format: PatternFormat): string => PATTERN_FORMAT[format];

const HOLDER: Record<Holder, [string, string]> = {
  small: ['small spool', 'spools'],
  large: ['large spool', 'large spools'],
  cone: ['cone', 'cones'],
  bobbin: ['bobbin', 'bobbins'],
};
export const wordHolder = (holder: Holder): string => HOLDER[holder][0];

const UNIT: Record<UnitKind, string> = {
  cubes: 'cube shelf',
  bookcase: 'bookcase or wall shelf',
  drawers: 'drawers or chest',
  pegboard: 'peg field',
  closet: 'closet',
  spoolRack: 'spool rack',
  rail: 'hanging rail',
  table: 'table',
  floor: 'spot on the floor',
};
export const wordUnitKind = (kind: UnitKind): string => UNIT[kind];

const REACH: Record<Reach, string> = {
  kneel: 'kneel',
  bend: 'bend',
  easy: 'easy reach',
  stretch: 'stretch',
  stool: 'step stool',
};
/** The band of a height; from a chair one gets up for what is out of it. */
export const wordReach = (reach: BandReach): string => (reach === 'getUp' ? 'get up' : REACH[reach]);

const OPENING: Record<Opening, string> = { open: 'open', door: 'by a door', drawer: 'drawer', lid: 'by a lid' };
export const wordOpening = (opening: Opening): string => OPENING[opening];

const LIGHT: Record<Light, string> = { dark: 'dark', day: 'daylight', sun: 'sun falls on it' };
export const wordLight = (light: Light): string => LIGHT[light];
