import { isSame } from '../core/daybook/index.ts';
import type { BinMove, Place, PlaceId, Score } from '../core/records/index.ts';
import {
  checkContainers,
  compareSiblings,
  findNook,
  getBerth,
  toLooseBox,
  withBins,
  type ToStand,
} from '../core/storage/index.ts';
import { getPlaceOf, type Facts, type Offered } from './model/index.ts';

/** Which container each place in use is, and what that has carried. */
export interface Stood {
  /** The place on record that a place in use is; of one that could be, the container that is to stand there. */
  readonly idOf: (p: number) => PlaceId;
  /** Containers that stand elsewhere than the facts have them; without a slot: out of the way. */
  readonly bins: readonly ToStand[];
}

/** The containers of a compartment as they would stand; put anew, one after the other, where they would not. */
function standAnew(slot: Place, boxes: readonly Place[]): Place[] {
  const specs = boxes.map((one) => one.container!);
  if (checkContainers(slot.slot!, specs) === null) return [...boxes];
  const stood: Place[] = [];
  for (const box of boxes) {
    const spec = toLooseBox(box.container!);
    const at = findNook(
      slot.slot!,
      stood.map((one) => one.container!),
      spec,
    );
    stood.push(at ? { ...box, container: { ...spec, at } } : box);
  }
  return stood;
}

/**
 * Names the containers that are to stand in the places that an arrangement uses and that there are not yet. Of those
 * alike the one goes there in which most of what is to be in it lies already, then an idle one.
 */
export function standBins(facts: Facts, option: Int32Array): Stood {
  const { places, standings, tree, present } = facts;
  const count = tree.leaves.length;
  const inside = new Map<number, number[]>();
  for (let l = 0; l < option.length; l += 1) {
    if (option[l] === -1) continue;
    const p = getPlaceOf(facts, option[l]!);
    const list = inside.get(p);
    if (list) list.push(l);
    else inside.set(p, [l]);
  }
  const further = [...inside.keys()].filter((p) => p >= count).toSorted((a, b) => a - b);
  if (further.length === 0) return { idOf: (p) => places[p]!.place.id, bins: [] };
  const isFree = new Set(standings.kindOf.keys());
  for (const p of inside.keys()) if (p < count) isFree.delete(places[p]!.place.id);
  const chosen = new Map<number, Place>();
  for (const p of further) {
    const kind = places[p]!.kind;
    if (kind < 0) continue;
    const lies = (id: PlaceId) =>
      inside.get(p)!.filter((l) => present[l]! >= 0 && places[present[l]!]!.place.id === id).length;
    const [best] = standings.kinds[kind]!.filter(({ id }) => isFree.has(id))
      .map((place) => ({ place, worth: lies(place.id) + (place.parentId === undefined ? 0.5 : 0) }))
      .toSorted((a, b) => b.worth - a.worth || (a.place.id < b.place.id ? -1 : 1));
    if (!best) throw new Error(`no container is left for ${places[p]!.place.id}`);
    isFree.delete(best.place.id);
    chosen.set(p, best.place);
  }
  const bins = new Map<PlaceId, ToStand>();
  // What stood where something else stands now goes out of the way, unless it is wanted elsewhere.
  const slots = new Set(further.map((p) => standings.further[p - count]!.slotId));
  for (const p of further) {
    const { slotId, standing } = standings.further[p - count]!;
    // Beside what stands there now.
    if (standing === null) continue;
    for (const { id } of tree.getChildren(slotId)) bins.set(id, { placeId: id });
  }
  for (const [p, { id }] of chosen)
    bins.set(id, {
      placeId: id,
      slotId: places[p]!.place.parentId!,
      ...(places[p]!.place.container!.at && { at: places[p]!.place.container!.at }),
    });
  const next = withBins(tree.places, [...bins.values()]);
  for (const { placeId } of bins.values()) {
    const from = tree.places.get(placeId)!.parentId;
    if (from) slots.add(from);
  }
  for (const slotId of slots) {
    const boxes = [...next.values()]
      .filter((place) => place.container && place.parentId === slotId)
      .toSorted(compareSiblings);
    for (const box of standAnew(tree.places.get(slotId)!, boxes))
      if (box !== next.get(box.id)) bins.set(box.id, { placeId: box.id, ...getBerth(box) });
  }
  return { idOf: (p) => chosen.get(p)?.id ?? places[p]!.place.id, bins: [...bins.values()] };
}

/** What is to be carried from how containers stand, to how they stand with some of them carried from where they belong. */
export function listBinMoves(today: ReadonlyMap<PlaceId, Place>, then: ReadonlyMap<PlaceId, Place>): BinMove[] {
  return [...today.values()].flatMap((place): BinMove[] => {
    const after = then.get(place.id);
    if (!place.container || !after) return [];
    const berth = getBerth(after);
    if (place.parentId === berth.slotId && isSame(place.container.at, berth.at)) return [];
    return [{ placeId: place.id, ...berth }];
  });
}

/** The same score with what carrying these containers really costs, rather than what the places in use were said to. */
export function priceBins(facts: Facts, offered: readonly (Offered | null)[], score: Score, count: number): Score {
  const { carryBinSeconds, carryMonths } = facts.settings.estimates;
  const used = new Set(offered.flatMap((one) => (one ? [one.place] : [])));
  const said = [...used].reduce((sum, p) => sum + facts.places[p]!.bringing, 0);
  const more = (count * carryBinSeconds) / carryMonths - said;
  return { ...score, seconds: score.seconds + more, parts: { ...score.parts, moving: score.parts.moving + more } };
}
