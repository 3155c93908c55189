import type { LotId } from '../../core/records/index.ts';
import { world } from './app.ts';
import { act } from './hands.ts';

/** Takes a lot out of its place. */
export async function takeOut(id: LotId): Promise<boolean> {
  const { createTakeOut } = await import('../../core/acts/index.ts');
  return act((now) => createTakeOut(now, id, world.nowMs()));
}
