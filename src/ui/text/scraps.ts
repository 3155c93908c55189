import type { Item } from '../../core/records/index.ts';
import { perLanguage, t } from '../language/index.ts';

const OF = perLanguage(() => t(', scraps'));

/** What the odd scraps of a cloth are called. */
export const nameScraps = ({ name }: Item): string => `${name}${OF()}`;

/** The cloth's own name, of scraps that were called after it. */
export const nameCloth = ({ name }: Item): string => (name.endsWith(OF()) ? name.slice(0, -OF().length) : name);
