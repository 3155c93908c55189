import { isPiled, type Package } from '../measure/index.ts';
import type { Household, Place } from '../records/index.ts';
import { getInnerSize, type PlaceTree } from '../storage/index.ts';
import type { Group } from './groups.ts';
import { findSmallestHolder, type Holder } from './holder.ts';

/** What keeps two groups apart in one place. */
export type Keeper =
  /** A card between spines, as deep and as high as the row. */
  | { readonly code: 'divider' | 'sheet'; readonly widthMm: number; readonly heightMm: number }
  /** The small group in a bag of its own. */
  | { readonly code: 'bag'; readonly volumeMm3: number }
  /** The small group in an idle box of the household. */
  | { readonly code: 'box'; readonly box: Place }
  /** Holes, pins or hangers left empty between them. */
  | { readonly code: 'gap' };

export interface Partner {
  readonly group: Group;
  readonly holder: Holder;
  readonly keeper: Keeper;
}

/** So many proposals are enough to choose from. */
const MOST_OFFERED = 3;
/** Groups that fill no more of the smallest place that takes them are too small for a place of their own. */
const SMALL_SHARE = 0.25;
const SMALL_LOTS = 2;
/** A bag takes this much more than what is in it. */
const BAG_USE = 0.75;

export function isTooSmall(group: Group, holder: Holder | null): boolean {
  return group.lots.length <= SMALL_LOTS || (holder !== null && holder.share < SMALL_SHARE);
}

/** How near two groups are to each other: siblings under the same outer school, the same kind, used at the same station. */
function computeKinship(a: Group, b: Group, household: Household): number {
  const stationOf = ({ lots }: Group) => household.items.get(lots[0]!.itemId)!.stationId;
  let kinship = stationOf(a) === stationOf(b) ? 1 : 0;
  if (a.kind !== b.kind) return kinship;
  kinship += 3;
  const depth = a.labels.findIndex(({ value }, i) => b.labels[i]?.value !== value);
  return kinship + (depth === -1 ? a.labels.length : depth) * 2;
}

const getVolume = (packages: readonly Package[]) =>
  packages.reduce((sum, pkg) => sum + pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, 0);

/** What keeps a small group's packages apart from the others of a place, which are among all of its packages. */
export function chooseKeeper(
  mine: readonly Package[],
  { space, packages }: Pick<Holder, 'space' | 'packages'>,
  household: Household,
  tree: PlaceTree,
): Keeper {
  if (space.mode === 'area' || space.mode === 'pins' || space.mode === 'rail') return { code: 'gap' };
  if (mine.every((pkg) => isPiled(pkg.form))) {
    const { panelWidthMm, panelDepthMm } = household.settings;
    return { code: 'sheet', widthMm: panelWidthMm, heightMm: panelDepthMm };
  }
  if (space.mode === 'line')
    return {
      code: 'divider',
      widthMm: Math.max(...packages.map((pkg) => pkg.acrossMm)),
      heightMm: Math.max(...packages.map((pkg) => pkg.heightMm)),
    };
  const volumeMm3 = getVolume(mine) / BAG_USE;
  const sides = [space.widthMm, space.depthMm, space.heightMm].toSorted((a, b) => a - b);
  const box = tree.pool.find((one) => {
    const spec = one.container;
    if (!spec || spec.isRetired) return false;
    const outer = [spec.outerWidthMm, spec.outerDepthMm, spec.outerHeightMm].toSorted((a, b) => a - b);
    const fits = outer.every((mm, i) => mm <= sides[i]!);
    const { widthMm, depthMm, heightMm } = getInnerSize(spec);
    return fits && widthMm * depthMm * heightMm >= volumeMm3;
  });
  return box ? { code: 'box', box } : { code: 'bag', volumeMm3 };
}

/**
 * Groups with which a small one could share a place, its kin first, then those nearest in sorting. Both fit
 * the smallest such place together, within the fill target and with real packing. Groups that the sewist wants apart
 * are not proposed.
 */
export function proposePartners(
  household: Household,
  tree: PlaceTree,
  groups: readonly Group[],
  group: Group,
): Partner[] {
  const apart = new Set(
    (household.settings.wishes ?? []).flatMap((wish) =>
      wish.kind === 'apart' && wish.groupIds.includes(group.id) ? wish.groupIds : [],
    ),
  );
  const at = groups.indexOf(group);
  const near = groups
    .map((other, i) => ({ other, kinship: computeKinship(group, other, household), steps: Math.abs(i - at) }))
    .filter(({ other, kinship }) => other !== group && kinship > 0 && !apart.has(other.id))
    .toSorted((a, b) => b.kinship - a.kinship || a.steps - b.steps);
  const found: Partner[] = [];
  for (const { other } of near) {
    if (found.length === MOST_OFFERED) break;
    const holder = findSmallestHolder(household, tree, [...group.lots, ...other.lots], household.settings.fillTarget);
    if (!holder) continue;
    const mine = holder.packages.slice(0, group.lots.length);
    found.push({ group: other, holder, keeper: chooseKeeper(mine, holder, household, tree) });
  }
  return found;
}
