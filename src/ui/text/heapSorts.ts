import { HEAP_SORTS, type HeapSort } from '../../core/heaps/index.ts';
import { perLanguage, t } from '../language/index.ts';

/** What a sort of heaps is called, by its name in the core; not in the index, only the heaps' screen needs it. */
const NAMES = perLanguage((): Readonly<Record<string, string>> => ({
  Cottons: t('Cottons'),
  Linens: t('Linens'),
  'Jersey and other knits': t('Jersey and other knits'),
  Sweatshirting: t('Sweatshirting'),
  'Denim and canvas': t('Denim and canvas'),
  Flannel: t('Flannel'),
  'Wool suiting': t('Wool suiting'),
  Coating: t('Coating'),
  Viscose: t('Viscose'),
  'Silks and satins': t('Silks and satins'),
  Linings: t('Linings'),
  'Corduroy and velvet': t('Corduroy and velvet'),
  Fleece: t('Fleece'),
  Fur: t('Fur'),
  'Oilskin and coated cloth': t('Oilskin and coated cloth'),
  Interfacing: t('Interfacing'),
  Batting: t('Batting'),
  'Woven scraps': t('Woven scraps'),
  'Knit scraps': t('Knit scraps'),
  'Printed patterns': t('Printed patterns'),
  'Patterns printed at home': t('Patterns printed at home'),
  'Sewing thread': t('Sewing thread'),
  'Overlocker cones': t('Overlocker cones'),
  'Embroidery thread': t('Embroidery thread'),
  Bobbins: t('Bobbins'),
  Zips: t('Zips'),
  'Machine needles': t('Machine needles'),
  'Hand needles': t('Hand needles'),
  Pins: t('Pins'),
  'Glue and spray': t('Glue and spray'),
  Buttons: t('Buttons'),
  'Snaps and hooks': t('Snaps and hooks'),
  Elastic: t('Elastic'),
  'Bias tape': t('Bias tape'),
  Ribbon: t('Ribbon'),
  'Lace and trims': t('Lace and trims'),
  'Buckles and rings': t('Buckles and rings'),
  Beads: t('Beads'),
  Scissors: t('Scissors'),
  'Rotary cutters': t('Rotary cutters'),
  Rulers: t('Rulers'),
  'Cutting mats': t('Cutting mats'),
  'Seam rippers': t('Seam rippers'),
  'Presser feet': t('Presser feet'),
  Irons: t('Irons'),
  'Pressing hams': t('Pressing hams'),
  'Sewing machines': t('Sewing machines'),
  'Finished pieces': t('Finished pieces'),
  'Books and magazines': t('Books and magazines'),
  'Half-done projects': t('Half-done projects'),
}));

/** A sort with all that its heap may be called: what was taken in in another language is of the sort still. */
export interface SaidSort extends HeapSort {
  readonly names: readonly string[];
}

export const SORTS = perLanguage((): readonly SaidSort[] =>
  HEAP_SORTS.map((sort) => {
    const name = NAMES()[sort.sketch.name]!;
    return { ...sort, sketch: { ...sort.sketch, name }, names: [sort.sketch.name, name] };
  }),
);
