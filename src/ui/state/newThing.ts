import type { ItemId, LotId } from '../../core/records/index.ts';
import { world } from './app.ts';
import type { Thing } from './appState.ts';

/** A thing as it is taken in: while it was typed it had ids of its own, and two that are taken in quickly are two. */
export function withNewIds({ item, lot }: Thing): Thing {
  const id = world.createId() as ItemId;
  return { item: { ...item, id }, lot: { ...lot, id: world.createId() as LotId, itemId: id } };
}
