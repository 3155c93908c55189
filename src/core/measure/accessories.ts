import { takesRoom, type Household, type ItemId, type Lot } from '../records/index.ts';

/** What belongs to a machine and is there: its feet, bobbins and covers, those of one thing together. */
export function listAccessories(household: Household, itemId: ItemId): Lot[] {
  return [...household.lots.values()].filter(
    (lot) => takesRoom(lot) && household.items.get(lot.itemId)?.belongsToId === itemId,
  );
}
