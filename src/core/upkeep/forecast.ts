import { createRandom } from '../random/index.ts';
import type { Household, LotId, Place, PlaceId } from '../records/index.ts';
import { computeTraits, type PlaceTree } from '../storage/index.ts';
import { computePlaceState, groupLotsByPlace } from '../whereabouts/index.ts';
import { computeLitres, holdTo, type GroupYear } from './flowsByGroup.ts';
import { drawFutures, getChanceAbove, getQuantile, MONTHS_AHEAD, type Futures } from './resample.ts';

/** A place that is less full than this today and does not grow is left out. */
const TELLING = 0.01;
/** From this chance on a place is said to burst. */
const LIKELY = 0.5;
/** After what helps, no more than this is left of the chance. */
const SAFE = 0.1;
const HORIZONS = [3, 6, 12] as const;

/** What is to be expected of a place or a group, in litres. */
export interface Outlook {
  /** Of a place or a group. */
  readonly id: string;
  readonly litres: number;
  /** As much as goes in: litres as they are kept there, at its present way of packing. */
  readonly roomLitres: number;
  /** That it is over full in 3, 6 and 12 months, 0 to 1. */
  readonly chances: readonly [number, number, number];
  /** After each of the months ahead: a tenth of what may come lies below the first, half below the second, nine tenths below the third. */
  readonly band: readonly (readonly [low: number, middle: number, high: number])[];
  /** The first month after which it is over full more likely than not; null within the year. */
  readonly burstsIn: number | null;
}

export interface PlaceOutlook extends Outlook {
  readonly id: PlaceId;
  /** Groups in it, those that grow most in it first: with how much of it is theirs, and by how much they grow a year there. */
  readonly groups: readonly { readonly groupId: string; readonly litres: number; readonly perYear: number }[];
}

/** What would help a place that is to burst, and what would then be left of the chance within the year. */
export type Help =
  | { readonly code: 'oneInOneOut'; readonly groupId: string; readonly chance: number }
  | {
      readonly code: 'letGo';
      readonly groupId: string;
      readonly litres: number;
      readonly lots: number;
      readonly chance: number;
    }
  | {
      readonly code: 'boundary';
      readonly groupId: string;
      readonly litres: number;
      readonly toId: PlaceId;
      readonly chance: number;
    }
  | { readonly code: 'bin'; readonly binId: PlaceId; readonly litres: number; readonly chance: number };

export interface Forecast {
  readonly places: readonly PlaceOutlook[];
  readonly groups: readonly Outlook[];
  /** Months that the daybook tells of. */
  readonly months: number;
}

function look<Id extends string>(
  id: Id,
  litres: number,
  roomLitres: number,
  futures: Futures,
): Outlook & { readonly id: Id } {
  const left = roomLitres - litres;
  const chanceIn = (months: number) => getChanceAbove(futures, months, left);
  const months = Array.from({ length: MONTHS_AHEAD }, (_, i) => i + 1);
  return {
    id,
    litres,
    roomLitres,
    chances: [chanceIn(HORIZONS[0]), chanceIn(HORIZONS[1]), chanceIn(HORIZONS[2])],
    band: months.map((month) => [
      litres + getQuantile(futures, month, 0.1),
      litres + getQuantile(futures, month, 0.5),
      litres + getQuantile(futures, month, 0.9),
    ]),
    burstsIn: months.find((month) => chanceIn(month) >= LIKELY) ?? null,
  };
}

/** The one that bursts first comes first; of others, the likelier. */
function byTurn(a: Outlook, b: Outlook): number {
  return (
    (a.burstsIn ?? 99) - (b.burstsIn ?? 99) ||
    b.chances[2] - a.chances[2] ||
    b.litres / b.roomLitres - a.litres / a.roomLitres
  );
}

interface Share {
  readonly year: GroupYear;
  readonly litres: number;
  /** Of what the group gets and gives, this part is here. */
  readonly share: number;
}

const sumMonths = (shares: readonly Share[], of: (year: GroupYear) => readonly number[]): number[] => {
  const most = Math.max(0, ...shares.map(({ year }) => of(year).length));
  return Array.from({ length: most }, (_, m) =>
    shares.reduce((sum, { year, share }) => sum + share * (of(year)[m] ?? 0), 0),
  );
};

const drawOf = (shares: readonly Share[], litres: number, seed: number): Futures =>
  drawFutures(
    sumMonths(shares, (year) => year.months),
    sumMonths(shares, (year) => year.usual),
    -litres,
    createRandom(seed),
  );

interface Held {
  readonly place: Place;
  readonly litres: number;
  readonly roomLitres: number;
  readonly shares: readonly Share[];
}

/** Places with something in them, as things belong there; what grows in a place is its part of its groups. */
function listHeld(household: Household, tree: PlaceTree, years: readonly GroupYear[]): Held[] {
  const yearOf = new Map<LotId, GroupYear>(years.flatMap((year) => year.lotIds.map((id) => [id, year] as const)));
  const homed = new Map<GroupYear, number>();
  const inside = groupLotsByPlace(household, 'home');
  const rows = tree.leaves.flatMap((place) => {
    const lots = inside.get(place.id);
    if (!lots || lots.length === 0 || computeTraits(tree, place, household.settings).isHeap) return [];
    const { fill, isOverFull } = computePlaceState(household, tree, place, lots, 'home');
    const litres = computeLitres(household, lots);
    if (litres <= 0 || fill <= 0) return [];
    const byGroup = new Map<GroupYear, number>();
    for (const lot of lots) {
      const year = yearOf.get(lot.id);
      const own = computeLitres(household, [lot]);
      if (!year) continue;
      byGroup.set(year, (byGroup.get(year) ?? 0) + own);
      homed.set(year, (homed.get(year) ?? 0) + own);
    }
    return [{ place, litres, roomLitres: litres / (isOverFull ? Math.max(fill, 1.0001) : fill), byGroup }];
  });
  return rows.map(({ byGroup, ...row }) => ({
    ...row,
    shares: [...byGroup].map(([year, litres]) => ({ year, litres, share: litres / (homed.get(year) || 1) })),
  }));
}

const seedOf = (id: string): number =>
  [...id].reduce((sum, letter) => (Math.imul(sum, 31) + letter.codePointAt(0)!) | 0, 7);

const sumOf = (months: readonly number[]): number => months.reduce((sum, one) => sum + one, 0);

function lookAtPlaces(held: readonly Held[]): PlaceOutlook[] {
  const perYear = ({ year, share }: Share) => (share * 12 * sumOf(year.months)) / Math.max(1, year.months.length);
  return held
    .map(({ place, litres, roomLitres, shares }): PlaceOutlook => ({
      ...look(place.id, litres, roomLitres, drawOf(shares, litres, seedOf(place.id))),
      groups: shares
        .map((one) => ({ groupId: one.year.id, litres: one.litres, perYear: perYear(one) }))
        .toSorted((a, b) => b.perYear - a.perYear || b.litres - a.litres),
    }))
    .filter(({ chances, litres, roomLitres }) => chances[2] >= TELLING || litres / roomLitres > TELLING)
    .toSorted(byTurn);
}

function lookAtGroups(held: readonly Held[], years: readonly GroupYear[]): Outlook[] {
  return years
    .flatMap((year) => {
      const rooms = held.flatMap(({ litres, roomLitres, shares }) =>
        shares.flatMap((one) => (one.year === year ? [(one.litres / litres) * roomLitres] : [])),
      );
      if (rooms.length === 0 || year.litres <= 0) return [];
      const own = drawFutures(year.months, year.usual, -year.litres, createRandom(seedOf(year.id)));
      return [look(year.id, year.litres, sumOf(rooms), own)];
    })
    .toSorted(byTurn);
}

const getMode = ({ slot, container }: Place) => slot?.mode ?? container?.mode;

/** A place of the same way of keeping that stays roomy with so much more in it; one with the same group before others. */
function findRoomy(held: readonly Held[], here: Held, year: GroupYear, litres: number): PlaceId | null {
  const [roomy] = held
    .filter(({ place }) => place.id !== here.place.id && getMode(place) === getMode(here.place))
    .map(({ place, shares, ...one }) => ({
      id: place.id,
      left: one.roomLitres - one.litres,
      isKin: shares.some((share) => share.year === year),
    }))
    .filter(({ left }) => left * (1 - SAFE) > litres)
    .toSorted((a, b) => Number(b.isKin) - Number(a.isKin) || b.left - a.left);
  return roomy?.id ?? null;
}

/** A container that stands idle and takes so much. */
function findIdle({ places }: Household, litres: number): PlaceId | null {
  const idle = [...places.values()].find(
    ({ parentId, container }) =>
      container !== undefined &&
      parentId === undefined &&
      container.isRetired !== true &&
      (container.outerWidthMm * container.outerDepthMm * container.outerHeightMm) / 1e6 >= litres,
  );
  return idle?.id ?? null;
}

/** What helps a place that is likely to burst: a rule, letting go, moving a boundary to where there is room, a bin that idles. */
function listHelp(household: Household, held: readonly Held[], { id, groups, band }: PlaceOutlook): Help[] {
  const here = held.find(({ place }) => place.id === id);
  const [grower] = groups;
  const own = here?.shares.find(({ year }) => year.id === grower?.groupId);
  if (!here || !grower || !own) return [];
  const { groupId } = grower;
  const chanceWith = (shares: readonly Share[], litres: number) =>
    look(id, litres, here.roomLitres, drawOf(shares, litres, seedOf(id))).chances[2];
  const help: Help[] = [];
  const isRuled = household.settings.growth?.some((one) => one.groupId === groupId && one.isSaid && one.perYear === 0);
  if (!isRuled && grower.perYear > 0) {
    const kept = { ...own.year, months: holdTo(own.year.months, 0), usual: [] };
    const shares = here.shares.map((one) => (one === own ? { ...one, year: kept } : one));
    help.push({ code: 'oneInOneOut', groupId, chance: chanceWith(shares, here.litres) });
  }
  // So much has to go that nine of ten futures go in.
  const over = (band.at(-1)?.[2] ?? here.litres) - here.roomLitres;
  if (over > 0) {
    const litres = Math.min(own.litres, over);
    const each = own.year.litres / Math.max(1, own.year.lotIds.length);
    const lots = Math.max(1, Math.ceil(litres / Math.max(each, 1e-6)));
    const chance = chanceWith(here.shares, here.litres - litres);
    help.push({ code: 'letGo', groupId, litres, lots, chance });
    const toId = findRoomy(held, here, own.year, litres);
    if (toId) help.push({ code: 'boundary', groupId, litres, toId, chance });
    const binId = findIdle(household, litres);
    if (binId) help.push({ code: 'bin', binId, litres, chance });
  }
  return help.toSorted((a, b) => a.chance - b.chance);
}

/**
 * For every place and group, how likely it is over full in the months ahead: its own year of what came and went is drawn again and
 * again (`drawFutures`). Places count as things belong in them, each by its part of its groups. Of one place also what helps it.
 */
export function lookAhead(
  household: Household,
  tree: PlaceTree,
  years: readonly GroupYear[],
  placeId: PlaceId | null,
): { readonly forecast: Forecast; readonly help: readonly Help[] } {
  const held = listHeld(household, tree, years);
  const places = lookAtPlaces(held);
  const asked = places.find(({ id }) => id === placeId);
  return {
    forecast: {
      places,
      groups: lookAtGroups(held, years),
      months: Math.max(0, ...years.map((year) => year.months.length)),
    },
    help: asked ? listHelp(household, held, asked) : [],
  };
}
