import type { World } from '../../core/records/index.ts';

export const world: World = { nowMs: () => Date.now(), createId: () => crypto.randomUUID() };
