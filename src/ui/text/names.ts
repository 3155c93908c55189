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
import { perLanguage, t } from '../language/index.ts';

const KIND = perLanguage((): Record<Kind, [string, string]> => ({
  fabric: [t('cloth'), t('Cloth')],
  pattern: [t('pattern'), t('Patterns')],
  thread: [t('thread'), t('Threads')],
  notion: [t('notion'), t('Notions')],
  tool: [t('tool'), t('Tools')],
  scrap: [t('scrap'), t('Scraps')],
  kit: [t('kit'), t('Kits')],
  other: [t('other thing'), t('Other')],
}));
export const wordKind = (kind: Kind): string => KIND()[kind][0];
export const wordKindPlural = (kind: Kind): string => KIND()[kind][1];

const FORM = perLanguage((): Record<StowForm, string> => ({
  board: t('on a board'),
  stack: t('folded flat'),
  file: t('folded, standing'),
  roll: t('rolled'),
  hanger: t('on a hanger'),
  bag: t('in a bag'),
  loose: t('loose'),
  envelope: t('standing envelope'),
  spool: t('on a pin or standing'),
  box: t('lying in a drawer or bin'),
  flat: t('lying flat'),
  peg: t('hung on a hook'),
}));
export const wordForm = (form: StowForm): string => FORM()[form];

const CLOTH = perLanguage(() =>
  toTable<string>({
    chiffon: t('chiffon, voile, lawn'),
    poplin: t('poplin, quilting cotton'),
    satin: t('satin, lining'),
    linen: t('linen, mid weight'),
    flannel: t('flannel'),
    jersey: t('jersey'),
    ponte: t('ponte'),
    sweatshirting: t('sweatshirting'),
    denim10: t('denim, 10 oz'),
    denim14: t('denim, 14 oz'),
    canvas: t('canvas, 12 oz'),
    corduroy: t('corduroy, velvet'),
    fleece: t('fleece, plush'),
    longPile: t('long pile'),
    suiting: t('wool suiting'),
    coating: t('wool coating'),
    waxed: t('waxed or coated cotton'),
    ripstop: t('ripstop'),
    vinyl: t('vinyl'),
    batting: t('cotton batting'),
    interfacing: t('interfacing'),
  }),
);
export const wordCloth = (id: string): string => CLOTH()[id] ?? id;

const PRINT = perLanguage((): Record<Print, string> => ({
  solid: t('plain'),
  stripe: t('stripes'),
  pinstripe: t('fine stripes'),
  check: t('checks'),
  gingham: t('gingham'),
  plaid: t('tartan'),
  dots: t('spots'),
  floral: t('flowers'),
  leaf: t('leaves'),
  wave: t('waves'),
  zigzag: t('zigzags'),
  herringbone: t('herringbone'),
  star: t('stars'),
  diamond: t('diamonds'),
  paisley: t('paisley'),
  mottled: t('mottled'),
}));
export const wordPrint = (print: Print): string => PRINT()[print];

const CARE = perLanguage((): Record<CareFlag, string> => ({
  fades: t('fades in light'),
  noSun: t('must not see the sun'),
  sheds: t('sheds'),
  slips: t('slips'),
  creases: t('creases'),
  heavy: t('heavy'),
  sharp: t('sharp'),
  magnetic: t('magnetic'),
  smallPart: t('small parts'),
  hot: t('hot'),
  liquid: t('liquid'),
  flammable: t('flammable'),
  thread: t('a cat would chew it'),
  heirloom: t('heirloom'),
}));
export const wordCare = (flag: CareFlag): string => CARE()[flag];

const CUT = perLanguage((): Record<ScrapCut, string> => ({
  odd: t('Odd bits'),
  strip: t('Strips'),
  square: t('Squares'),
}));
export const wordScrapCut = (cut: ScrapCut): string => CUT()[cut];

const PATTERN_FORMAT = perLanguage((): Record<PatternFormat, string> => ({
  envelope: t('envelope'),
  sheets: t('printed sheets in a folder'),
  digital: t('a file, not printed'),
  block: t('card block on a hook'),
}));
export const wordPatternFormat = (format: PatternFormat): string => PATTERN_FORMAT()[format];

const HOLDER = perLanguage((): Record<Holder, [string, string]> => ({
  small: [t('small spool'), t('small spools')],
  large: [t('large spool'), t('large spools')],
  cone: [t('cone'), t('cones')],
  bobbin: [t('bobbin'), t('bobbins')],
}));
export const wordHolder = (holder: Holder): string => HOLDER()[holder][0];
export const wordHolders = (holder: Holder): string => HOLDER()[holder][1];

const UNIT = perLanguage((): Record<UnitKind, string> => ({
  cubes: t('cube shelf'),
  bookcase: t('bookcase or wall shelf'),
  drawers: t('drawers or chest'),
  pegboard: t('peg field'),
  closet: t('closet'),
  spoolRack: t('spool rack'),
  rail: t('hanging rail'),
  table: t('table'),
  floor: t('spot on the floor'),
}));
export const wordUnitKind = (kind: UnitKind): string => UNIT()[kind];

const REACH = perLanguage((): Record<Reach, string> => ({
  kneel: t('kneel'),
  bend: t('bend'),
  easy: t('easy reach'),
  stretch: t('stretch'),
  stool: t('step stool'),
}));
/** The band of a height; from a chair one gets up for what is out of it. */
export const wordReach = (reach: BandReach): string => (reach === 'getUp' ? t('get up') : REACH()[reach]);

const OPENING = perLanguage((): Record<Opening, string> => ({
  open: t('open'),
  door: t('by a door'),
  drawer: t('drawer'),
  lid: t('by a lid'),
}));
export const wordOpening = (opening: Opening): string => OPENING()[opening];

const LIGHT = perLanguage((): Record<Light, string> => ({
  dark: t('dark'),
  day: t('daylight'),
  sun: t('sun falls on it'),
}));
export const wordLight = (light: Light): string => LIGHT()[light];
