import { computeGroups, type Group } from '../../core/grouping/index.ts';
import { computePackages, getWholeLot, isPiled, type Package } from '../../core/measure/index.ts';
import { computeShare } from '../../core/packing/index.ts';
import {
  STOW_FORMS,
  type Household,
  type Item,
  type Lot,
  type Place,
  type Settings,
} from '../../core/records/index.ts';
import {
  computeSpace,
  computeStandPoint,
  computeStationPoint,
  computeTraits,
  computeWayMm,
  countBefore,
  createPlaceTree,
  getAncestor,
  type PlaceTraits,
  type PlaceTree,
  type Space,
} from '../../core/storage/index.ts';
import { findCautions, findHardFault } from '../constraints/index.ts';
import { compileWishes, type Wishes } from './wishes.ts';

/** Everything is looked at or passed through the hands at least once in ten months. */
const LEAST_USES = 0.1;
/** Daylight indoors fades about an eighth as fast as the sun through a window; an estimate. */
const DAY_SHARE = 1 / 8;

/** One lot in one place in one form: what it takes and what it costs by itself. Seconds a month. */
export interface Offered {
  readonly lot: number;
  readonly place: number;
  readonly pkg: Package;
  readonly share: number;
  readonly fetching: number;
  readonly moving: number;
  readonly wear: number;
  readonly cautions: number;
}

/** A place as the search sees it. */
export interface PlaceFacts {
  readonly place: Place;
  readonly space: Space;
  readonly traits: PlaceTraits;
  readonly slot: number;
  readonly unit: number;
  readonly room: number;
  /** Seconds to pass one thing while looking. */
  readonly passSeconds: number;
  /** Piles of folded cloth that stand side by side, or hooks; 1 where there are none. */
  readonly piles: number;
  /** Seconds to lift off what lies on a thing, or to take down what hangs in front of it. */
  readonly liftSeconds: number;
}

/**
 * The problem: lots, places and every feasible way to put one into the other, as plain arrays.
 * Options of lot i are `optStart[i]` to `optStart[i + 1]`, by place.
 */
export interface Facts {
  readonly household: Household;
  readonly settings: Settings;
  readonly tree: PlaceTree;
  readonly groups: readonly Group[];
  readonly lots: readonly Lot[];
  readonly items: readonly Item[];
  readonly packages: readonly (readonly Package[])[];
  readonly places: readonly PlaceFacts[];
  readonly slotLoadG: Float64Array;
  readonly unitLoadG: Float64Array;
  readonly slotCount: number;
  readonly unitCount: number;
  readonly roomCount: number;
  readonly groupOf: Int32Array;
  /** Turn of each lot in the order of all groups. */
  readonly rank: Int32Array;
  readonly uses: Float64Array;
  readonly weight: Float64Array;
  readonly groupUses: Float64Array;
  /** Index of the place where it is now, -1 when in none. */
  readonly present: Int32Array;
  readonly optStart: Int32Array;
  readonly optPlace: Int32Array;
  readonly optForm: Uint8Array;
  readonly optShare: Float64Array;
  readonly optMassG: Float64Array;
  readonly optBase: Float64Array;
  readonly optCautions: Uint8Array;
  readonly optIsStack: Uint8Array;
  readonly optLot: Int32Array;
  readonly wishes: Wishes;
  /** Describes any lot in any place, allowed or not; null when the form does not suit the place at all. */
  readonly describe: (lot: number, place: number, pkg: Package) => Offered | null;
}

function computeAccessSeconds(tree: PlaceTree, place: Place, traits: PlaceTraits, settings: Settings): number {
  const { estimates } = settings;
  const posture = {
    kneel: estimates.kneelSeconds,
    bend: estimates.bendSeconds,
    easy: 0,
    stretch: estimates.stretchSeconds,
    stool: estimates.stoolSeconds,
  }[traits.reach];
  const opening = { open: 0, door: estimates.doorSeconds, drawer: estimates.drawerSeconds, lid: estimates.lidSeconds }[
    getAncestor(tree, place.id, 'slot')?.slot?.opening ?? 'open'
  ];
  const box = place.container;
  if (!box) return posture + opening;
  const bins = tree.getChildren(place.parentId!);
  const isFromBothSides = getAncestor(tree, place.id, 'unit')?.unit?.access === 'around';
  const before = countBefore(
    bins.map((bin) => bin.container!),
    bins.indexOf(place),
    isFromBothSides,
  );
  // Each bin before it or on it is taken out and put back too.
  return posture + opening + (1 + before) * estimates.pullBinSeconds + (box.hasLid ? estimates.lidSeconds : 0);
}

/** Gathers everything the search needs to know of a household. The household is not kept changed. */
export function createFacts(household: Household): Facts {
  const { settings } = household;
  const { estimates } = settings;
  const tree = createPlaceTree(household.places);
  const groups = computeGroups(household);
  const lots: Lot[] = [];
  const groupIndex: number[] = [];
  for (const [g, group] of groups.entries())
    for (const lot of group.lots) {
      lots.push(lot);
      groupIndex.push(g);
    }
  const items = lots.map((lot) => household.items.get(lot.itemId) as Item);
  const packages = lots.map((lot, l) => computePackages(items[l]!, getWholeLot(household, lot), settings));

  const index = { slot: new Map<string, number>(), unit: new Map<string, number>(), room: new Map<string, number>() };
  const number = (level: 'slot' | 'unit' | 'room', place: Place) => {
    const id = getAncestor(tree, place.id, level)!.id;
    const known = index[level].get(id);
    if (known !== undefined) return known;
    index[level].set(id, index[level].size);
    return index[level].size - 1;
  };
  const places = tree.leaves.map((place): PlaceFacts => {
    const space = computeSpace(tree, place);
    const traits = computeTraits(tree, place, settings);
    const isVisible = traits.isSeeThrough || space.mode !== 'volume';
    return {
      place,
      space,
      traits,
      slot: number('slot', place),
      unit: number('unit', place),
      room: number('room', place),
      // What has a cell of its own is looked for by its cell.
      passSeconds: isVisible || space.dividers ? estimates.passVisibleSeconds : estimates.passOpaqueSeconds,
      piles: Math.max(1, space.peg?.hooks?.length ?? Math.floor(space.widthMm / settings.panelWidthMm)),
      liftSeconds: space.mode === 'area' ? estimates.hookInFrontSeconds : estimates.liftOffSeconds,
    };
  });

  // Stations stand on the plan of their room; the way to each place is walked there and back.
  const stations = new Map<string, number>();
  const points = tree.rooms.flatMap((room) =>
    (room.room?.stations ?? []).map((station) => {
      stations.set(station.id, stations.size);
      const at = computeStationPoint(room.room!, station, (id) => tree.places.get(id)?.unit);
      return { roomId: room.id, ...at };
    }),
  );
  const reachSeconds = points.map((from) =>
    places.map(({ place, traits }) => {
      const to = computeStandPoint(tree, place);
      const way = (2 * computeWayMm(tree, from, to) * estimates.walkSecondsPerM) / 1000;
      return (
        way +
        (from.roomId === to.roomId ? 0 : estimates.otherRoomSeconds) +
        computeAccessSeconds(tree, place, traits, settings)
      );
    }),
  );

  const placeIndex = new Map(places.map((one, p) => [one.place.id, p]));
  const present = Int32Array.from(lots, (lot) => (lot.placeId === null ? -1 : (placeIndex.get(lot.placeId) ?? -1)));
  const uses = Float64Array.from(items, (item) => Math.max(LEAST_USES, item.usesPerMonth));
  const groupUses = new Float64Array(groups.length);
  for (let l = 0; l < lots.length; l += 1) groupUses[groupIndex[l]!]! += uses[l]!;

  const describe = (l: number, p: number, pkg: Package): Offered | null => {
    const { space, traits } = places[p]!;
    const fit = computeShare(pkg, space);
    if (!fit.ok) return null;
    const item = items[l]!;
    const lot = lots[l]!;
    const unhook = space.mode === 'area' ? estimates.unhookSeconds : 0;
    const used = [item.stationId, ...(item.otherStationIds ?? [])];
    const reach = used.reduce((sum, id) => sum + (reachSeconds[stations.get(id) ?? 0]?.[p] ?? 0), 0) / used.length;
    const isMoved = present[l] !== p || lot.form !== pkg.form;
    const fades = item.care.includes('fades') || item.care.includes('noSun');
    const light = traits.light === 'sun' ? 1 : traits.light === 'day' ? DAY_SHARE : 0;
    return {
      lot: l,
      place: p,
      pkg,
      share: fit.share,
      fetching: uses[l]! * (reach + unhook),
      moving: isMoved ? estimates.carrySeconds / estimates.carryMonths : 0,
      wear:
        (fades ? light * estimates.fadeSeconds : 0) +
        (item.fabric && !traits.isDustProof ? estimates.dustSeconds : 0) +
        (item.fabric && !traits.isSeeThrough ? estimates.hiddenSeconds : 0),
      cautions: findCautions({ item, pkg, space, traits, settings }).length,
    };
  };

  const wishes = compileWishes(household, tree, {
    lots,
    groupOf: groupIndex,
    groupIds: groups.map((group) => group.id),
    places: places.map(({ place }) => place),
  });
  const optStart = new Int32Array(lots.length + 1);
  const found: Offered[] = [];
  for (let l = 0; l < lots.length; l += 1) {
    optStart[l] = found.length;
    for (let p = 0; p < places.length; p += 1)
      for (const pkg of packages[l]!) {
        const { space, traits } = places[p]!;
        if (findHardFault({ item: items[l]!, pkg, space, traits, settings, wish: wishes.forbid(l, p) })) continue;
        const offered = describe(l, p, pkg);
        if (offered) found.push(offered);
      }
    // What stays is not refolded either.
    if (!wishes.keepsForm(l)) continue;
    const mine = found.slice(optStart[l]);
    const alike = mine.filter(({ pkg }) => pkg.form === lots[l]!.form);
    if (alike.length > 0) found.splice(optStart[l]!, mine.length, ...alike);
  }
  optStart[lots.length] = found.length;

  const slotLoadG = new Float64Array(index.slot.size).fill(Infinity);
  const unitLoadG = new Float64Array(index.unit.size).fill(Infinity);
  for (const { place, slot, unit } of places) {
    const box = tree.getChildren(getAncestor(tree, place.id, 'slot')!.id);
    const tare = box.reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    slotLoadG[slot] = Math.max(0, (getAncestor(tree, place.id, 'slot')!.slot?.loadG ?? Infinity) - tare);
    unitLoadG[unit] = getAncestor(tree, place.id, 'unit')!.unit?.loadG ?? Infinity;
  }
  return {
    household,
    settings,
    tree,
    groups,
    lots,
    items,
    packages,
    places,
    slotLoadG,
    unitLoadG,
    slotCount: index.slot.size,
    unitCount: index.unit.size,
    roomCount: index.room.size,
    groupOf: Int32Array.from(groupIndex),
    rank: Int32Array.from(lots, (_, l) => l),
    uses,
    weight: Float64Array.from(uses, (u) => 1 + u),
    groupUses,
    present,
    optStart,
    optPlace: Int32Array.from(found, (one) => one.place),
    optForm: Uint8Array.from(found, (one) => STOW_FORMS.indexOf(one.pkg.form)),
    optShare: Float64Array.from(found, (one) => one.share),
    optMassG: Float64Array.from(found, (one) => one.pkg.massG),
    optBase: Float64Array.from(found, (one) => one.fetching + one.moving + one.wear),
    optCautions: Uint8Array.from(found, (one) => one.cautions),
    optIsStack: Uint8Array.from(found, ({ pkg, place }) => {
      const { mode, peg } = places[place]!.space;
      return (isPiled(pkg.form) && mode === 'line') || (mode === 'area' && peg?.hooks) ? 1 : 0;
    }),
    optLot: Int32Array.from(found, (one) => one.lot),
    wishes,
    describe,
  };
}

/** The package of an option. */
export function getOptionPackage(facts: Facts, lot: number, option: number): Package {
  const form = STOW_FORMS[facts.optForm[option]!];
  const pkg = facts.packages[lot]!.find((one) => one.form === form);
  if (!pkg) throw new Error(`lot ${lot} has no form ${form}`);
  return pkg;
}
