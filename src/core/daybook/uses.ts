import type { EventType } from '../records/index.ts';

/** Something was fetched, or cut from. */
export const USES: ReadonlySet<EventType> = new Set(['tookOut', 'cut', 'gathered']);
