import { computeGroupsInSlices, type Group } from '../grouping/index.ts';
import { getTellingMs, listFlows, withGone } from '../learning/index.ts';
import { computePackage } from '../measure/index.ts';
import { takesRoom, type DaybookEvent, type Household, type Kind, type Lot, type LotId } from '../records/index.ts';
import { finish, mapInSlices, type Slices } from '../slices/index.ts';

export const MONTH_MS = (365.25 / 12) * 86_400_000;
const MONTHS = 12;

/** The litres that lots take as they are kept. */
export function computeLitres(household: Household, lots: Iterable<Lot>): number {
  let sum = 0;
  for (const lot of lots) {
    const item = household.items.get(lot.itemId);
    const pkg = item && takesRoom(lot) ? computePackage(item, lot, lot.form, household.settings) : null;
    if (pkg) sum += (pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces) / 1e6;
  }
  return sum;
}

/** How a group went through the year: litres that came less those that went, month by month, the oldest first. */
export interface GroupYear {
  readonly id: string;
  readonly kind: Kind;
  readonly lotIds: readonly LotId[];
  readonly litres: number;
  /** As many as the daybook can tell of, at most twelve. */
  readonly months: readonly number[];
  /** What is usual for its kind, for as many litres as it has. */
  readonly usual: readonly number[];
}

/** As much as the rule lets come: what came is lessened until what came and went makes so much a year. */
export function holdTo(months: readonly number[], perYear: number): number[] {
  const came = months.reduce((sum, one) => sum + Math.max(0, one), 0);
  const net = months.reduce((sum, one) => sum + one, 0);
  const wanted = (perYear * months.length) / MONTHS;
  if (came === 0 || net <= wanted) return [...months];
  const share = Math.max(0, (wanted - (net - came)) / came);
  return months.map((one) => (one > 0 ? one * share : one));
}

/**
 * The year of every group, in litres, as the daybook tells it. Where the sewist says by how much a group grows, such as not at all (one
 * in, one out), no more than that comes.
 */
export const listGroupYears = (household: Household, events: readonly DaybookEvent[], nowMs: number): GroupYear[] =>
  finish(listGroupYearsInSlices(household, events, nowMs));

/** `listGroupYears`, pausing in between. */
export function* listGroupYearsInSlices(
  household: Household,
  events: readonly DaybookEvent[],
  nowMs: number,
): Slices<GroupYear[]> {
  const begunMs = Math.max(nowMs - MONTHS * MONTH_MS, getTellingMs(events, nowMs));
  const count = Math.max(0, Math.min(MONTHS, Math.floor((nowMs - begunMs) / MONTH_MS + 1e-6)));
  const fromMs = nowMs - count * MONTH_MS;
  const flows = listFlows(events, fromMs, nowMs);
  const byLot = new Map<LotId, (readonly [month: number, litres: number])[]>();
  const all = withGone(household, events, new Set(flows.map(({ lotId }) => lotId)));
  for (const { lotId, atMs, share, most } of flows) {
    const lot = all.lots.get(lotId);
    if (!lot) continue;
    const litres = share * computeLitres(all, [most ? { ...lot, [most.field]: most.amount } : lot]);
    const month = Math.min(count - 1, Math.floor((atMs - fromMs) / MONTH_MS));
    byLot.set(lotId, [...(byLot.get(lotId) ?? []), [month, litres]]);
  }
  const said = new Map(
    (household.settings.growth ?? []).flatMap((one) => (one.isSaid ? [[one.groupId, one.perYear]] : [])),
  );
  yield;
  const groups = yield* computeGroupsInSlices(all);
  const year = ({ id, kind, lots }: Group) => {
    const there = lots.filter((lot) => (household.lots.get(lot.id)?.state ?? 'gone') !== 'gone');
    const months = Array.from({ length: count }, () => 0);
    for (const lot of lots) for (const [month, litres] of byLot.get(lot.id) ?? []) months[month]! += litres;
    return { id, kind, lotIds: there.map((lot) => lot.id), litres: computeLitres(household, there), months };
  };
  const bare = yield* mapInSlices(groups, year, 1);
  const usualOf = (kind: Kind) => {
    const some = bare.filter((one) => one.kind === kind && one.litres > 0);
    return some.flatMap((one) => one.months.map((litres) => litres / one.litres));
  };
  const usual = new Map<Kind, number[]>();
  return bare
    .filter(({ lotIds }) => lotIds.length > 0)
    .map((one) => {
      if (!usual.has(one.kind)) usual.set(one.kind, usualOf(one.kind));
      const rate = said.get(one.id);
      return {
        ...one,
        months: rate === undefined ? one.months : holdTo(one.months, rate * one.litres),
        usual: rate === undefined ? usual.get(one.kind)!.map((share) => share * one.litres) : [],
      };
    });
}
