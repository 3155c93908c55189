import type { Item } from '../records/index.ts';

/** Threads that seams are sewn with; topstitching and quilting thread hold too, where the machine takes them. */
const SEAMS: ReadonlySet<string> = new Set(['general', 'hand']);
const STRONG: ReadonlySet<string> = new Set(['topstitching', 'quilting', 'heavy', 'upholstery', 'jeans', 'buttonhole']);
/** Cloth of such a weight is sewn with strong thread too, g/m². */
const HEAVY_GSM = 300;

/** How well a thread suits to sew a cloth with, whatever its colour: 0 well, 1 in need, 2 it is for other work. */
export function rankThreadUse(thread: Item, cloth: Item): 0 | 1 | 2 {
  const use = thread.thread?.use.toLowerCase() ?? '';
  if (SEAMS.has(use)) return 0;
  if (!STRONG.has(use)) return 2;
  return (cloth.fabric?.grammageGsm ?? 0) >= HEAVY_GSM ? 0 : 1;
}
