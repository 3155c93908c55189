import { findNearest, getLab, type Candidate, type Nearest } from '../../core/colour/index.ts';
import { rankThreadUse } from '../../core/catalog/index.ts';
import { findHolder } from '../../core/measure/index.ts';
import type { Household, Item } from '../../core/records/index.ts';
import { getLotsByItem } from './derived.ts';

/** Threads that are there, as the eye weighs them; made once for a state of the stash. */
const known = new WeakMap<Household['items'], Candidate<Item>[]>();
function listThreads(household: Household): Candidate<Item>[] {
  const hit = known.get(household.items);
  if (hit) return hit;
  const threads = [...household.items.values()].flatMap((item): Candidate<Item>[] => {
    const lab = item.kind === 'thread' ? getLab(item) : null;
    return lab ? [{ of: item, lab }] : [];
  });
  known.set(household.items, threads);
  return threads;
}

/** The nearest threads for a cloth, or for another thread, among what is owned. */
export function findThreadsFor(household: Household, item: Item, most: number): Nearest<Item>[] {
  const lab = getLab(item);
  if (!lab) return [];
  // A bobbin is matched with spools: other bobbins are as short as itself.
  const owned = listThreads(household).filter(
    ({ of }) =>
      of.id !== item.id && getLotsByItem(household).has(of.id) && findHolder(of.thread!.diameterMm).id !== 'bobbin',
  );
  // What it is for comes before its colour: nobody sews a seam with overlocking thread.
  const byUse = ([0, 1, 2] as const).map((rank) => owned.filter(({ of }) => rankThreadUse(of, item) === rank));
  return byUse.flatMap((some) => findNearest(lab, some, most)).slice(0, most);
}

/** Owned cloths whose colour is near that of a thing, the nearest first: what it goes with. */
export function findClothsFor(household: Household, item: Item, most: number): Nearest<Item>[] {
  const lab = getLab(item);
  if (!lab) return [];
  const owned = getLotsByItem(household);
  const cloths = [...household.items.values()].flatMap((one): Candidate<Item>[] => {
    const at = one.kind === 'fabric' && one.id !== item.id && owned.has(one.id) ? getLab(one) : null;
    return at ? [{ of: one, lab: at }] : [];
  });
  return findNearest(lab, cloths, most);
}
