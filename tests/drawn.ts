import type { Draft } from '../src/core/daybook/index.ts';
import { getAmount } from '../src/core/measure/index.ts';
import { pick, type Random } from '../src/core/random/index.ts';
import {
  createLooseLot,
  type DaybookEvent,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type Place,
} from '../src/core/records/index.ts';

export type Act =
  { readonly ok: true; readonly value: Draft } | { readonly ok: false; readonly fault: { readonly code: string } };

/** All that an act may be about, drawn anew for each. */
export interface Drawn {
  readonly now: Household;
  readonly events: readonly DaybookEvent[];
  readonly random: Random;
  readonly nowMs: number;
  readonly id: () => string;
  readonly lot: Lot;
  readonly other: Lot;
  readonly item: Item;
  readonly leaf: Place;
  readonly text: string;
}

/** Words as they are typed, kindly or not. */
export const TEXTS = [
  'a shirt',
  '',
  '   ',
  'x'.repeat(130),
  'y'.repeat(2100),
  '<b>“&”</b>',
  '=1+1',
  'ämter 日本 🧵'.repeat(3),
  '__proto__',
];
const AMOUNTS = [0, -3, 0.2, 1, 7, 120, 999, 1e7, Number.NaN];

export function createNewThing({ now, random, id, nowMs, text }: Drawn): { item: Item; lots: Lot[] } {
  const like = pick(random, [...now.items.values()]);
  const item: Item = { ...like, id: id() as ItemId, name: text.trim() || 'new' };
  if (item.scrap) item.scrap = { ...item.scrap, parentItemId: pick(random, [...now.items.values()]).id };
  return { item, lots: [createLooseLot(id() as LotId, item, 2, item.fabric ? 3000 : undefined, nowMs)] };
}

export const amountOf = ({ random, now, lot }: Drawn) => {
  const item = now.items.get(lot.itemId)!;
  return random() < 0.6 ? getAmount(item, lot) * pick(random, [0.3, 0.5, 1]) : pick(random, AMOUNTS);
};
