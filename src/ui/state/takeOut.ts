import type { LotId } from '../../core/records/index.ts';
import { useApp, world } from './app.ts';

/** Takes a lot out of its place. */
export async function takeOut(id: LotId): Promise<boolean> {
  const { createTakeOut } = await import('../../core/acts/index.ts');
  return useApp.getState().act((now) => createTakeOut(now, id, world.nowMs()));
}
