import type { CareFlag, Print, StowForm } from '../core/records/index.ts';
import type { STATIONS } from './stations.ts';

/** Made-up colour words with the dye they stand for. */
export const DYES: readonly [string, string][] = [
  ['oat', '#cdbd98'],
  ['chalk', '#ebe6d9'],
  ['dove', '#b3b9b5'],
  ['slate', '#4d5a66'],
  ['tar', '#23272c'],
  ['harbour', '#2f4f78'],
  ['sluice', '#3a7a83'],
  ['kelp', '#4d6a45'],
  ['moss', '#7f9a63'],
  ['gorse', '#dfae37'],
  ['straw', '#e3cb7a'],
  ['brick', '#a3493a'],
  ['rowan', '#b8342f'],
  ['plum', '#6b3f5c'],
  ['heather', '#8d7aa6'],
  ['shell', '#dca08b'],
  ['peat', '#5e4636'],
  ['reed', '#a7a36a'],
  ['mist', '#9fb3bd'],
  ['dusk', '#4f4a78'],
];

interface ClothPlan {
  readonly fibre: string;
  readonly cloths: readonly [id: string, words: readonly string[]][];
  readonly widthsMm: readonly number[];
  readonly forms: readonly StowForm[];
  readonly lengths: readonly [number, number];
  readonly care: readonly CareFlag[];
  readonly share: number;
}

export const CLOTH_PLANS: readonly ClothPlan[] = [
  {
    fibre: 'linen',
    cloths: [['linen', ['linen twill', 'linen plain', 'linen herringbone']]],
    widthsMm: [1400, 1500],
    forms: ['board', 'stack'],
    lengths: [0.5, 7.5],
    care: ['creases', 'fades'],
    share: 0.15,
  },
  {
    fibre: 'cotton',
    cloths: [
      ['poplin', ['poplin', 'quilting plain', 'sateen']],
      ['denim10', ['drill', 'deck denim']],
      ['flannel', ['flannel']],
    ],
    widthsMm: [1120, 1140, 1470],
    forms: ['board', 'stack'],
    lengths: [0.45, 7.2],
    care: ['fades'],
    share: 0.36,
  },
  {
    fibre: 'wool',
    cloths: [
      ['suiting', ['suiting', 'skirt wool']],
      ['coating', ['coating']],
    ],
    widthsMm: [1480, 1520],
    forms: ['stack', 'board'],
    lengths: [0.8, 6],
    care: ['heirloom'],
    share: 0.1,
  },
  {
    fibre: 'coated',
    cloths: [
      ['waxed', ['oilskin', 'waxed cotton']],
      ['vinyl', ['boat vinyl']],
    ],
    widthsMm: [1400, 1450],
    forms: ['roll', 'loose', 'stack'],
    lengths: [0.8, 6.5],
    care: ['noSun'],
    share: 0.12,
  },
  {
    fibre: 'sail',
    cloths: [['ripstop', ['sail ripstop', 'spinnaker end']]],
    widthsMm: [900, 1370],
    forms: ['stack', 'loose'],
    lengths: [0.5, 6],
    care: [],
    share: 0.07,
  },
  {
    fibre: 'knit',
    cloths: [
      ['jersey', ['jersey']],
      ['sweatshirting', ['sweatshirting']],
      ['fleece', ['fleece']],
    ],
    widthsMm: [1500, 1600],
    forms: ['loose', 'stack'],
    lengths: [0.6, 5],
    care: ['sheds'],
    share: 0.16,
  },
  {
    fibre: 'batting',
    cloths: [['batting', ['quilt batting']]],
    widthsMm: [1500, 2400],
    forms: ['loose', 'roll'],
    lengths: [1, 3.5],
    care: [],
    share: 0.04,
  },
];

/** Prints with the words that names have for them. */
export const PRINTED: readonly [print: Print, word: string][] = [
  ['stripe', 'stripe'],
  ['pinstripe', 'pinstripe'],
  ['zigzag', 'zigzag'],
  ['check', 'check'],
  ['gingham', 'gingham'],
  ['plaid', 'tartan'],
  ['dots', 'spot'],
  ['star', 'star'],
  ['mottled', 'batik'],
  ['wave', 'wave'],
  ['floral', 'flower'],
  ['leaf', 'leaf'],
  ['diamond', 'diamond'],
  ['paisley', 'paisley'],
];

export const GARMENTS = ['jacket', 'skirt', 'smock', 'trousers', 'cushion', 'curtain', 'quilt', 'cap', 'bag'];
export const PATTERN_WORDS = [
  'Lockside',
  'Towpath',
  'Ferry',
  'Regatta',
  'Mooring',
  'Weir',
  'Coxswain',
  'Barge',
  'Reel',
  'Ceilidh',
  'Drizzle',
  'Squall',
  'Lantern',
  'Eddy',
];
export const ENVELOPES: readonly [number, number][] = [
  [155, 215],
  [155, 215],
  [190, 265],
  [230, 330],
];

export const THREADS: readonly {
  use: string;
  fibre: string;
  tex: [number, number];
  size: [number, number];
  grams: number;
  forms: StowForm[];
  share: number;
}[] = [
  {
    use: 'general',
    fibre: 'polyester',
    tex: [24, 30],
    size: [26, 52],
    grams: 14,
    forms: ['spool', 'box'],
    share: 0.45,
  },
  {
    use: 'topstitching',
    fibre: 'polyester',
    tex: [60, 90],
    size: [28, 55],
    grams: 17,
    forms: ['spool', 'box'],
    share: 0.15,
  },
  { use: 'quilting', fibre: 'cotton', tex: [30, 40], size: [30, 58], grams: 22, forms: ['spool', 'box'], share: 0.15 },
  { use: 'overlocking', fibre: 'polyester', tex: [18, 27], size: [70, 140], grams: 130, forms: ['box'], share: 0.15 },
  { use: 'embroidery', fibre: 'rayon', tex: [27, 27], size: [24, 45], grams: 9, forms: ['spool', 'box'], share: 0.1 },
];

export type BoxRow = [
  name: string,
  type: string,
  w: number,
  d: number,
  h: number,
  grams: number,
  extra?: {
    hole?: number;
    soft?: boolean;
    care?: CareFlag[];
    uses?: number;
    count?: number;
    station?: keyof typeof STATIONS;
    forms?: StowForm[];
    watts?: number;
  },
];

export const NOTIONS: readonly BoxRow[] = [
  ['Zips, long', 'zips', 90, 40, 320, 220, { station: 'sewing', uses: 3 }],
  ['Zips, short', 'zips', 90, 30, 200, 140, { station: 'sewing', uses: 3 }],
  ['Deck zips, metal', 'zips', 110, 50, 420, 640, { station: 'sewing' }],
  ['Bias tape cards', 'tapes', 110, 70, 160, 210, { station: 'sewing', uses: 2 }],
  ['Twill tape reels', 'tapes', 80, 80, 60, 120, { station: 'sewing', count: 3 }],
  ['Grosgrain reels', 'tapes', 75, 75, 28, 60, { station: 'sewing', count: 5 }],
  ['Reflective tape reel', 'tapes', 120, 120, 30, 190, { station: 'sewing' }],
  ['Elastic, narrow', 'elastic', 140, 100, 60, 160, { station: 'sewing', uses: 2, care: ['thread'] }],
  ['Elastic, wide', 'elastic', 180, 120, 70, 260, { station: 'sewing', care: ['thread'] }],
  ['Shock cord hank', 'elastic', 200, 140, 60, 380, { station: 'sewing', care: ['thread'] }],
  ['Shirt buttons', 'buttons', 70, 70, 90, 210, { station: 'sewing', uses: 2, care: ['smallPart'] }],
  ['Horn buttons', 'buttons', 70, 70, 90, 260, { station: 'sewing', care: ['smallPart'] }],
  ['Odd buttons', 'buttons', 110, 110, 130, 640, { station: 'sewing', care: ['smallPart'] }],
  ['Snap fasteners', 'closures', 120, 80, 40, 190, { station: 'sewing', care: ['smallPart'] }],
  ['Hooks and eyes', 'closures', 90, 60, 20, 60, { station: 'sewing', care: ['smallPart'] }],
  ['Eyelets, brass', 'closures', 120, 90, 45, 480, { station: 'cutting', care: ['smallPart'] }],
  ['Buckles, sail', 'closures', 190, 130, 80, 560, { station: 'sewing' }],
  ['Toggle bag', 'closures', 150, 110, 70, 180, { station: 'sewing', care: ['smallPart'] }],
  ['Hand needles', 'needles', 90, 60, 15, 25, { station: 'sewing', uses: 6, care: ['sharp'] }],
  ['Machine needles', 'needles', 80, 60, 30, 60, { station: 'sewing', uses: 8, care: ['sharp'] }],
  ['Sail needles', 'needles', 120, 50, 15, 40, { station: 'sewing', care: ['sharp'] }],
  ['Glass-head pins', 'needles', 110, 110, 30, 180, { station: 'cutting', uses: 12, care: ['sharp'] }],
  ['Safety pins', 'needles', 100, 80, 25, 120, { station: 'cutting', uses: 2, care: ['sharp'] }],
  ['Fusible interfacing', 'interfacing', 240, 200, 120, 520, { station: 'pressing', soft: true, uses: 2 }],
  ['Woven interfacing', 'interfacing', 260, 220, 110, 610, { station: 'pressing', soft: true }],
  ['Quilt batting end', 'batting', 340, 280, 210, 700, { station: 'cutting', soft: true }],
  ['Cushion wadding', 'batting', 320, 300, 240, 420, { station: 'cutting', soft: true }],
  ['Foam offcuts', 'batting', 300, 260, 220, 380, { station: 'cutting', soft: true }],
  ['Fabric glue', 'liquids', 50, 50, 170, 210, { station: 'sewing', care: ['flammable'] }],
  ['Spray adhesive', 'liquids', 66, 66, 220, 480, { station: 'cutting', care: ['flammable'] }],
  ['Seam sealer', 'liquids', 45, 35, 150, 110, { station: 'sewing', care: ['flammable'] }],
  ['Beeswax', 'hand sewing', 60, 60, 25, 70, { station: 'sewing' }],
  ['Thimbles', 'hand sewing', 80, 50, 30, 60, { station: 'sewing', uses: 4 }],
  ['Chalk tin', 'marking', 110, 70, 25, 120, { station: 'cutting', uses: 9 }],
  ['Marking pens', 'marking', 150, 60, 20, 70, { station: 'cutting', uses: 8 }],
  ['Carbon sheets', 'marking', 230, 8, 310, 140, { station: 'cutting' }],
];

export const TOOLS: readonly BoxRow[] = [
  ['Dressmaking shears', 'cutting', 105, 18, 260, 280, { hole: 28, uses: 16, care: ['sharp'], station: 'cutting' }],
  ['Paper scissors', 'cutting', 85, 14, 220, 140, { hole: 24, uses: 6, care: ['sharp'], station: 'cutting' }],
  ['Thread snips', 'cutting', 40, 14, 120, 40, { hole: 14, uses: 14, care: ['sharp'], station: 'sewing' }],
  ['Pinking shears', 'cutting', 110, 20, 240, 310, { hole: 26, uses: 2, care: ['sharp'], station: 'cutting' }],
  ['Rotary cutter, large', 'cutting', 60, 26, 190, 120, { hole: 9, uses: 10, care: ['sharp'], station: 'cutting' }],
  ['Rotary cutter, small', 'cutting', 45, 22, 160, 80, { hole: 8, uses: 3, care: ['sharp'], station: 'cutting' }],
  ['Long ruler', 'measuring', 150, 4, 610, 480, { hole: 8, uses: 10, station: 'cutting' }],
  ['Square ruler', 'measuring', 320, 4, 320, 420, { hole: 8, uses: 5, station: 'cutting' }],
  ['Small square', 'measuring', 165, 4, 165, 130, { hole: 8, uses: 4, station: 'cutting' }],
  ['Strip ruler', 'measuring', 65, 4, 460, 190, { hole: 7, uses: 6, station: 'cutting' }],
  ['French curve', 'measuring', 130, 3, 340, 90, { hole: 9, uses: 2, station: 'cutting' }],
  ['Hip curve', 'measuring', 90, 3, 600, 150, { hole: 9, uses: 1, station: 'cutting' }],
  ['Curtain batten', 'measuring', 60, 20, 2400, 1900, { uses: 0.2, station: 'cutting' }],
  ['Tape measure', 'measuring', 60, 60, 25, 40, { uses: 18, station: 'cutting' }],
  ['Hem gauge', 'measuring', 40, 4, 160, 30, { hole: 5, uses: 6, station: 'pressing' }],
  ['Hem marker stand', 'measuring', 120, 120, 640, 900, { uses: 0.5, station: 'cutting' }],
  ['Tracing wheel', 'marking', 45, 25, 160, 50, { hole: 7, uses: 3, station: 'cutting' }],
  ['Awl', 'marking', 30, 30, 140, 50, { hole: 6, uses: 2, care: ['sharp'], station: 'cutting' }],
  ['Point turner', 'hand tools', 35, 6, 140, 20, { hole: 6, uses: 5, station: 'sewing' }],
  ['Loop turner', 'hand tools', 30, 10, 260, 20, { hole: 12, uses: 1, station: 'sewing' }],
  ['Seam rippers', 'hand tools', 40, 25, 130, 40, { uses: 12, care: ['sharp'], station: 'sewing' }],
  ['Mallet', 'hand tools', 60, 60, 270, 520, { hole: 12, uses: 1, station: 'cutting' }],
  ['Eyelet pliers', 'hand tools', 70, 30, 210, 380, { hole: 30, uses: 1, station: 'cutting' }],
  ['Presser feet box', 'machine parts', 160, 110, 40, 320, { uses: 9, station: 'sewing' }],
  ['Walking foot', 'machine parts', 120, 90, 70, 180, { uses: 2, station: 'sewing' }],
  ['Bobbin case', 'machine parts', 150, 110, 35, 230, { uses: 12, station: 'sewing' }],
  ['Oil and brushes', 'machine parts', 120, 60, 140, 190, { uses: 2, station: 'sewing', care: ['flammable'] }],
  ['Steam iron', 'pressing', 130, 290, 160, 1600, { uses: 14, station: 'pressing', watts: 2000 }],
  ['Tailor ham', 'pressing', 200, 300, 140, 1100, { uses: 6, station: 'pressing' }],
  ['Sleeve roll', 'pressing', 120, 380, 110, 800, { uses: 3, station: 'pressing' }],
  ['Clapper', 'pressing', 70, 300, 45, 620, { uses: 5, station: 'pressing' }],
  ['Press cloths', 'pressing', 240, 180, 50, 180, { uses: 8, soft: true, station: 'pressing' }],
  ['Overlocker', 'machines', 340, 290, 310, 7600, { uses: 8, station: 'sewing', watts: 110 }],
];

/** Scraps by colour word: what they are of, how they are cut, and how much: m² of odd bits, else pieces. */
export const SCRAPS: readonly [
  name: string,
  fibre: string,
  cloth: string,
  cut: 'odd' | 'strip' | 'square',
  cutMm: number,
  amount: number,
][] = [
  ['Sail ends', 'sail', 'ripstop', 'odd', 0, 0.46],
  ['Quilting bits', 'cotton', 'poplin', 'odd', 0, 0.3],
  ['Long strips', 'cotton', 'poplin', 'strip', 63.5, 34],
  ['Small squares', 'cotton', 'poplin', 'square', 63.5, 120],
  ['Charm squares', 'cotton', 'poplin', 'square', 127, 46],
  ['Oilskin corners', 'coated', 'waxed', 'odd', 0, 0.2],
  ['Wool bits', 'wool', 'suiting', 'odd', 0, 0.16],
  ['Fleece bits', 'knit', 'fleece', 'odd', 0, 0.13],
];

export const KITS: readonly string[] = ['Cox’s smock kit', 'Berth curtains kit', 'Reel skirt kit', 'Sail quilt kit'];

export const OTHERS: readonly BoxRow[] = [
  ['Sewing machine', 'machine', 420, 200, 310, 7900, { uses: 12, station: 'sewing', watts: 90 }],
  ['Drafting book', 'book', 210, 24, 280, 820, { uses: 0.4, station: 'cutting' }],
  ['Quilt block book', 'book', 220, 18, 280, 690, { uses: 0.3, station: 'cutting' }],
  ['Finished cushion covers', 'finished piece', 300, 280, 60, 540, { uses: 0.2, soft: true, station: 'pressing' }],
  ['Flat mailers', 'packing', 330, 240, 40, 520, { uses: 1, station: 'cutting' }],
];
