import type { Kind } from '../../../core/records/index.ts';

export const quickClass = 'h-11 w-full border-b-2 border-dashed border-walnut bg-linen px-3 placeholder:text-stone';

/** A line of each kind, to show how it is meant. */
export const EXAMPLE: Record<Kind, [metric: string, imperial: string]> = {
  fabric: ['linen twill oat 3.4m x 140 185gsm board', 'linen twill oat 3 3/4 yd x 54 5.5oz board'],
  pattern: ['pattern 2145 skirt sizes 34-44', 'pattern 2145 skirt sizes 8-18'],
  thread: ['topstitching thread rust tex 80 2 spools', 'topstitching thread rust tex 80 2 spools'],
  notion: ['buttons horn 20mm 24 pcs', 'buttons horn 3/4in 24 pcs'],
  tool: ['quilting ruler 15 x 60 cm', 'quilting ruler 6 x 24 in'],
  scrap: ['linen scraps 240g', 'linen scraps 8oz'],
  kit: ['kit for the rowing smock', 'kit for the rowing smock'],
  other: ['overlocker 34 x 29 x 31 cm 7.6kg 90W', 'overlocker 13 x 11 x 12 in 17lb 90W'],
};
