import { computeGroups, type Group } from '../grouping/index.ts';
import { computePackages, getWholeLot } from '../measure/index.ts';
import { computeShare } from '../packing/index.ts';
import type { Household, LotId, Place, PlaceId, StowForm } from '../records/index.ts';
import { computeBoxSpace, computeTraits, createPlaceTree, getAncestor } from '../storage/index.ts';
import { getHold, isUnheld } from './holding.ts';
import { isMachine } from './nature.ts';

/** Where a lot is, and how it is kept there. */
export interface Laid {
  readonly lotId: LotId;
  readonly placeId: PlaceId;
  readonly form: StowForm;
}

/** What one would point at in a room; lists, so that each can be shown. */
export interface SenseFindings {
  /** Places with anything in them, and those of them with more than one kind of thing. */
  readonly used: readonly PlaceId[];
  readonly mixed: readonly PlaceId[];
  /** Groups in a place, the mean over those used; 0 where none is. */
  readonly groupsInPlace: number;
  /** Groups that are in more than two pieces of furniture. */
  readonly scattered: readonly Group[];
  /** Small things that lie loose on open shelves. */
  readonly looseSmall: readonly LotId[];
  /** Drawers and bins that are empty, idle ones too, while small things lie loose. */
  readonly emptyHolders: readonly PlaceId[];
  /** Things on work tops, but for machines. */
  readonly onWorkTops: readonly LotId[];
  /** Empty bins, idle ones too, at most as many as there are loose or floppy things on open shelves that would go into them. */
  readonly emptyBins: readonly PlaceId[];
}

/** The traits of every place that things can be in, by its id. */
function describeAll(household: Household) {
  const tree = createPlaceTree(household.places);
  const traits = new Map(tree.leaves.map((place) => [place.id, computeTraits(tree, place, household.settings)]));
  return { tree, traits };
}

const isBin = (place: Place) => place.container !== undefined;

/** Goes through an arrangement, such as a plan's, with the eyes of who lives with it. */
export function findSense(household: Household, laid: readonly Laid[]): SenseFindings {
  const { tree, traits } = describeAll(household);
  const groups = computeGroups(household);
  const groupOf = new Map(groups.flatMap((group) => group.lots.map((lot) => [lot.id, group] as const)));
  const inside = new Map<PlaceId, { kinds: Set<string>; groups: Set<Group> }>();
  const unitsOf = new Map<Group, Set<PlaceId>>();
  const looseSmall: LotId[] = [];
  const onWorkTops: LotId[] = [];
  const unheld: { lotId: LotId; fits: (bin: Place) => boolean }[] = [];
  for (const { lotId, placeId, form } of laid) {
    const [group, lot, place] = [groupOf.get(lotId), household.lots.get(lotId), traits.get(placeId)];
    if (!group || !lot || !place) continue;
    const item = household.items.get(lot.itemId)!;
    const here = inside.get(placeId) ?? { kinds: new Set(), groups: new Set() };
    here.kinds.add(item.kind);
    here.groups.add(group);
    inside.set(placeId, here);
    const unit = getAncestor(tree, placeId, 'unit')!.id;
    unitsOf.set(group, (unitsOf.get(group) ?? new Set()).add(unit));
    if (place.isWorkTop && !isMachine(item)) onWorkTops.push(lotId);
    const packages = computePackages(item, getWholeLot(household, lot), household.settings);
    const pkg = packages.find((one) => one.form === form);
    if (!pkg || getHold(pkg) === 'spine' || !isUnheld(getHold(pkg), place)) continue;
    if (getHold(pkg) === 'small') looseSmall.push(lotId);
    unheld.push({
      lotId,
      fits: (bin) =>
        packages.some((one) => {
          const share = computeShare(one, computeBoxSpace(bin.container!));
          return share.ok && share.share <= 1;
        }),
    });
  }
  const used = [...inside.keys()];
  // Also those that stand idle: they could stand where they are wanted.
  const idle = tree.pool.filter(({ container }) => container!.isRetired !== true);
  const empty = [...tree.leaves.filter((place) => !inside.has(place.id)), ...idle];
  const emptyBins: PlaceId[] = [];
  const waiting = new Set(unheld);
  for (const bin of empty.filter(isBin)) {
    const fitting = [...waiting].find(({ fits }) => fits(bin));
    if (!fitting) continue;
    waiting.delete(fitting);
    emptyBins.push(bin.id);
  }
  const isHolder = (place: Place) => isBin(place) || getAncestor(tree, place.id, 'slot')?.slot?.opening === 'drawer';
  return {
    used,
    mixed: used.filter((id) => inside.get(id)!.kinds.size > 1),
    groupsInPlace: used.length === 0 ? 0 : used.reduce((sum, id) => sum + inside.get(id)!.groups.size, 0) / used.length,
    scattered: groups.filter((group) => (unitsOf.get(group)?.size ?? 0) > 2),
    looseSmall,
    emptyHolders: looseSmall.length > 0 ? empty.filter(isHolder).map(({ id }) => id) : [],
    onWorkTops,
    emptyBins,
  };
}
