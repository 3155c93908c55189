import { isHomeless, takesRoom, type Household, type Item, type Lot } from '../../../core/records/index.ts';
import { listBinsToCarry } from '../../../core/storage/index.ts';
import { derive } from '../../state/derived.ts';

export interface OnBench {
  readonly lot: Lot;
  readonly item: Item;
}

/** What is not where it belongs, and why; the newest first. */
export interface Strays {
  readonly out: readonly OnBench[];
  readonly homeless: readonly OnBench[];
  readonly missing: readonly OnBench[];
  readonly lent: readonly OnBench[];
  /** Lies on the table or out of the way while things are carried. */
  readonly midway: readonly OnBench[];
  /** Is in a place that is not its home, or was never carried there: the adopted plan is not carried out yet. */
  readonly toCarry: number;
}

export const findStrays: (household: Household) => Strays = derive((household) => {
  const [out, homeless, missing, lent, midway]: OnBench[][] = [[], [], [], [], []];
  let toCarry = listBinsToCarry(household.places).length;
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || !takesRoom(lot)) continue;
    const thing = { lot, item };
    if (lot.away === 'waiting') toCarry += 1;
    if (lot.state === 'lent') lent!.push(thing);
    else if (lot.away === 'missing') missing!.push(thing);
    else if (isHomeless(lot)) homeless!.push(thing);
    else if (lot.away) midway!.push(thing);
    else if (lot.state === 'out') out!.push(thing);
    else if (lot.placeId !== lot.homeId || lot.form !== lot.homeForm) toCarry += 1;
  }
  const byNewest = (list: OnBench[]) => list.toSorted((a, b) => b.lot.sinceMs - a.lot.sinceMs);
  return {
    out: byNewest(out!),
    homeless: byNewest(homeless!),
    missing: byNewest(missing!),
    lent: byNewest(lent!),
    midway: byNewest(midway!),
    toCarry,
  };
});
