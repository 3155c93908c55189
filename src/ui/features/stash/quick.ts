import type { Kind } from '../../../core/records/index.ts';
import { perLanguage, t } from '../../language/index.ts';

export const quickClass = 'h-11 w-full border-b-2 border-dashed border-walnut bg-linen px-3 placeholder:text-stone';

/** A line of each kind, to show how it is meant. */
export const EXAMPLE = perLanguage((): Record<Kind, [metric: string, imperial: string]> => ({
  fabric: [t('linen twill oat 3.4m x 140 185gsm board'), t('linen twill oat 3 3/4 yd x 54 5.5oz board')],
  pattern: [t('pattern 2145 skirt sizes 34-44'), t('pattern 2145 skirt sizes 8-18')],
  thread: [t('topstitching thread rust tex 80 2 spools'), t('topstitching thread rust tex 80 2 spools')],
  notion: [t('buttons horn 20mm 24 pcs'), t('buttons horn 3/4in 24 pcs')],
  tool: [t('quilting ruler 15 x 60 cm'), t('quilting ruler 6 x 24 in')],
  scrap: [t('linen scraps 240g'), t('linen scraps 8oz')],
  kit: [t('kit for the rowing smock'), t('kit for the rowing smock')],
  other: [t('overlocker 34 x 29 x 31 cm 7.6kg 90W'), t('overlocker 13 x 11 x 12 in 17lb 90W')],
}));
