import type { Sketch } from '../catalog/index.ts';
import type { HeapWay, Kind } from '../records/index.ts';

/** What people usually have heaps of, and the measure that is quickest of it. */
export interface HeapSort {
  readonly id: string;
  readonly sketch: Sketch & { readonly name: string };
  readonly by: HeapWay;
}

type Said = Omit<Sketch, 'kind' | 'name'>;

const of = (kind: Kind, by: HeapWay, ...all: readonly (readonly [name: string, said?: Said])[]): HeapSort[] =>
  all.map(([name, said]) => ({
    id: `${kind}-${name.replaceAll(' ', '-')}`.toLowerCase(),
    sketch: { kind, name, ...said },
    by,
  }));

/** By kind, in the order in which one comes across them; names as one says them. Of what a class of cloth is made its figures say. */
export const HEAP_SORTS: readonly HeapSort[] = [
  ...of(
    'fabric',
    'pile',
    ['Cottons', { cloth: 'poplin' }],
    ['Linens', { cloth: 'linen' }],
    ['Jersey and other knits', { cloth: 'jersey' }],
    ['Sweatshirting', { cloth: 'sweatshirting' }],
    ['Denim and canvas', { cloth: 'denim10' }],
    ['Flannel', { cloth: 'flannel' }],
    ['Wool suiting', { cloth: 'suiting' }],
    ['Coating', { cloth: 'coating' }],
    ['Viscose', { fibre: 'viscose', cloth: 'poplin' }],
    ['Silks and satins', { fibre: 'silk', cloth: 'satin' }],
    ['Linings', { cloth: 'satin' }],
    ['Corduroy and velvet', { cloth: 'corduroy' }],
    ['Fleece', { cloth: 'fleece' }],
    ['Fur', { cloth: 'longPile' }],
    ['Oilskin and coated cloth', { cloth: 'waxed' }],
    ['Interfacing', { cloth: 'interfacing' }],
    ['Batting', { cloth: 'batting' }],
  ),
  ...of(
    'scrap',
    'room',
    ['Woven scraps', { cloth: 'poplin', cut: 'odd' }],
    ['Knit scraps', { cloth: 'jersey', cut: 'odd' }],
  ),
  ...of(
    'pattern',
    'row',
    ['Printed patterns', { format: 'envelope' }],
    ['Patterns printed at home', { format: 'sheets' }],
  ),
  ...of(
    'thread',
    'pieces',
    ['Sewing thread', { use: 'general' }],
    ['Overlocker cones', { use: 'overlocking', holder: 'cone' }],
    ['Embroidery thread', { use: 'embroidery' }],
    ['Bobbins', { holder: 'bobbin' }],
  ),
  ...of(
    'notion',
    'pieces',
    ['Zips', { type: 'zips' }],
    ['Machine needles', { type: 'machine needles' }],
    ['Hand needles', { type: 'hand needles' }],
    ['Pins', { type: 'pins' }],
    ['Glue and spray', { type: 'glue' }],
  ),
  ...of(
    'notion',
    'room',
    ['Buttons', { type: 'buttons' }],
    ['Snaps and hooks', { type: 'snaps' }],
    ['Elastic', { type: 'elastic' }],
    ['Bias tape', { type: 'bias tape' }],
    ['Ribbon', { type: 'ribbon' }],
    ['Lace and trims', { type: 'lace' }],
    ['Buckles and rings', { type: 'buckles' }],
    ['Beads', { type: 'beads' }],
  ),
  ...of(
    'tool',
    'pieces',
    ['Scissors', { type: 'scissors' }],
    ['Rotary cutters', { type: 'rotary cutter' }],
    ['Rulers', { type: 'ruler' }],
    ['Cutting mats', { type: 'mat' }],
    ['Seam rippers', { type: 'seam ripper' }],
    ['Presser feet', { type: 'presser foot' }],
    ['Irons', { type: 'iron' }],
    ['Pressing hams', { type: 'tailor ham' }],
  ),
  ...of('other', 'pieces', ['Sewing machines', { type: 'machine' }], ['Finished pieces', { type: 'finished piece' }]),
  ...of('other', 'row', ['Books and magazines', { type: 'book' }]),
  ...of('kit', 'pieces', ['Half-done projects', {}]),
];
