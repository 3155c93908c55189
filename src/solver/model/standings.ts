import type { Group } from '../../core/grouping/index.ts';
import type { Household, Nook, Place, PlaceId } from '../../core/records/index.ts';
import { listNamed } from '../../core/sense/index.ts';
import { findNook, getAncestor, isWorkTop, toLooseBox, type PlaceTree } from '../../core/storage/index.ts';

/** A place that there would be if other containers stood in its compartment than do. */
export interface Further {
  readonly place: Place;
  readonly slotId: PlaceId;
  /** One number for all places that are there at once; null for those beside what stands there now. */
  readonly standing: number | null;
  /** Which of the containers that are alike stands there, -1 for the bare compartment. */
  readonly kind: number;
  /** All containers that would stand there. */
  readonly beside: readonly Place[];
  /** Containers that are carried for it: there, and what stands there now away. */
  readonly carried: number;
}

/** What containers could stand where. */
export interface Standings {
  /** Containers that are alike, whichever of them stands somewhere; none of them is named in a wish. */
  readonly kinds: readonly (readonly Place[])[];
  readonly kindOf: ReadonlyMap<PlaceId, number>;
  readonly further: readonly Further[];
}

export const NO_STANDINGS: Standings = { kinds: [], kindOf: new Map(), further: [] };

/** So many containers of one kind are thought of in one compartment. */
const MOST_ABREAST = 4;
/** So many ways to fill a compartment with containers are thought of. */
const MOST_WAYS = 4;
/** Less of a compartment than this is not worth a container. */
const LEAST_FILL = 0.04;
/** So many further places for each that there is. With very many things only idle containers are thought of, and fewer. */
const FURTHER_SHARE = 1.2;
const FEW_SHARE = 0.15;
const MANY_LOTS = 4000;

const litres = ({ outerWidthMm, outerDepthMm, outerHeightMm }: NonNullable<Place['container']>) =>
  outerWidthMm * outerDepthMm * outerHeightMm;

/** Containers that may stand elsewhere, those that are alike together: of the same measures, and named for the same. */
function sortKinds(household: Household, tree: PlaceTree, groups: readonly Group[], onlyIdle: boolean) {
  const wished = new Set((household.settings.wishes ?? []).flatMap(({ placeId }) => placeId ?? []));
  const free = [...tree.pool, ...(onlyIdle ? [] : tree.leaves)].filter(
    (place) =>
      place.container && !place.container.isRetired && !tree.getPath(place.id).some(({ id }) => wished.has(id)),
  );
  const named = listNamed(
    free.map((place) => [place]),
    groups,
    household.items,
  );
  const kinds: Place[][] = [];
  const numbers = new Map<string, number>();
  const kindOf = new Map<PlaceId, number>();
  for (const [i, place] of free.entries()) {
    const key = `${JSON.stringify(toLooseBox(place.container!))} ${named[i]!.fitting.join(' ')}`;
    const kind = numbers.get(key) ?? kinds.length;
    if (kind === kinds.length) {
      numbers.set(key, kind);
      kinds.push([]);
    }
    kinds[kind]!.push(place);
    kindOf.set(place.id, kind);
  }
  return { kinds, kindOf };
}

/** One way to fill a compartment: containers by kind, each where it stands on its floor. */
interface Filling {
  readonly boxes: readonly { readonly kind: number; readonly at: Nook }[];
  readonly litres: number;
}

/** Containers of one kind first, then others in what they leave, as many as there are and go in. */
function fillSlot(slot: Place, before: readonly Place[], order: readonly number[], kinds: readonly Place[][]): Filling {
  const boxes: { kind: number; at: Nook }[] = [];
  const stood = before.map((place) => place.container!);
  let sum = 0;
  for (const kind of order) {
    const spec = toLooseBox(kinds[kind]![0]!.container!);
    const most = Math.min(MOST_ABREAST, kinds[kind]!.length);
    for (let n = 0; n < most; n += 1) {
      const at = findNook(slot.slot!, stood, spec);
      // On a lid it hangs on what stands below it, which may be wanted elsewhere.
      if (!at || at.zMm > 0) break;
      boxes.push({ kind, at });
      stood.push({ ...spec, at });
      sum += litres(spec);
    }
  }
  return { boxes, litres: sum };
}

interface Slot {
  readonly place: Place;
  readonly before: readonly Place[];
  readonly volume: number;
}

/** Compartments in which other containers may stand than do. */
function listSlots(household: Household, tree: PlaceTree, kindOf: ReadonlyMap<PlaceId, number>): Slot[] {
  const wished = new Set(
    (household.settings.wishes ?? []).flatMap(({ kind, placeId }) =>
      placeId && (kind === 'stays' || kind === 'free') ? [placeId] : [],
    ),
  );
  const staying = new Set(
    (household.settings.wishes ?? []).flatMap(({ kind, lotIds }) =>
      kind === 'stays'
        ? lotIds.flatMap((id) => household.lots.get(id)?.placeId ?? household.lots.get(id)?.homeId ?? [])
        : [],
    ),
  );
  return [...household.places.values()].flatMap((place): Slot[] => {
    const { slot } = place;
    if (!slot || (slot.mode !== 'line' && slot.mode !== 'volume')) return [];
    const before = tree.getChildren(place.id);
    const unit = getAncestor(tree, place.id, 'unit')!.unit!;
    const isWished = tree.getPath(place.id).some(({ id }) => wished.has(id));
    const isHeld = [place, ...before].some(({ id }) => staying.has(id));
    const isBound = before.some(({ id }) => !kindOf.has(id));
    if (isWorkTop(unit, slot) || isWished || isHeld || isBound || unit.kind === 'floor') return [];
    return [{ place, before, volume: slot.widthMm * slot.depthMm * slot.heightMm }];
  });
}

/**
 * Lists what containers could stand where beside how they stand: a compartment bare; with containers of a kind, and
 * others in what they leave; with another one beside those that stand there. Not all that could be, but for each
 * compartment those that fill it best, and of all compartments no more than there is time for.
 */
export function listStandings(household: Household, tree: PlaceTree, groups: readonly Group[]): Standings {
  const isLarge = household.lots.size > MANY_LOTS;
  const { kinds, kindOf } = sortKinds(household, tree, groups, isLarge);
  if (kinds.length === 0) return NO_STANDINGS;
  const most = Math.ceil((isLarge ? FEW_SHARE : FURTHER_SHARE) * tree.leaves.length) + 12;
  const slots = listSlots(household, tree, kindOf);
  const isIdle = (kind: number) => kinds[kind]!.some(({ parentId }) => parentId === undefined);
  const byLitres = kinds
    .map((_, kind) => kind)
    .toSorted((a, b) => litres(kinds[b]![0]!.container!) - litres(kinds[a]![0]!.container!));
  const offers: { slot: Slot; filling: Filling | null; isBeside: boolean; worth: number }[] = [];
  for (const slot of slots) {
    const { place, before, volume } = slot;
    if (before.length > 0) offers.push({ slot, filling: null, isBeside: false, worth: 1.5 });
    const ways = byLitres
      .map((kind) => {
        const filling = fillSlot(place, [], [kind, ...byLitres.filter((other) => other !== kind)], kinds);
        const leads = filling.boxes[0]?.kind === kind;
        return { kind, filling, worth: leads ? filling.litres / volume + Number(isIdle(kind)) : 0 };
      })
      .filter(({ worth }) => worth >= LEAST_FILL)
      .toSorted((a, b) => b.worth - a.worth || a.kind - b.kind);
    for (const { filling, worth } of ways.slice(0, MOST_WAYS)) offers.push({ slot, filling, isBeside: false, worth });
    if (before.length === 0) continue;
    const beside = fillSlot(place, before, byLitres, kinds);
    if (beside.boxes.length > 0)
      offers.push({ slot, filling: beside, isBeside: true, worth: beside.litres / volume + 0.5 });
  }
  const turn = new Map(offers.map((one, i) => [one, i]));
  const further: Further[] = [];
  let count = 0;
  for (const { slot, filling, isBeside } of offers.toSorted(
    (a, b) => b.worth - a.worth || turn.get(a)! - turn.get(b)!,
  )) {
    const { place, before } = slot;
    if (further.length + (filling?.boxes.length ?? 1) > most) continue;
    const mine = isBeside ? null : count;
    if (!isBeside) count += 1;
    if (!filling) {
      further.push({ place, slotId: place.id, standing: mine, kind: -1, beside: [], carried: before.length });
      continue;
    }
    const stood = filling.boxes.map(({ kind, at }, i): Place => {
      const like = kinds[kind]![0]!;
      return {
        ...like,
        id: `${place.id}+${mine ?? 'beside'}-${i}` as PlaceId,
        parentId: place.id,
        order: before.length + i,
        container: { ...toLooseBox(like.container!), at },
      };
    });
    const beside = isBeside ? [...before, ...stood] : stood;
    const carried = isBeside ? 1 : 1 + before.length / stood.length;
    for (const [i, { kind }] of filling.boxes.entries())
      further.push({ place: stood[i]!, slotId: place.id, standing: mine, kind, beside, carried });
  }
  return { kinds, kindOf, further };
}
