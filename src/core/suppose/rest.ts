import { computeGroups, findClass, type Group } from '../grouping/index.ts';
import type { Household, LotId, PlaceId, StowForm } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createCut } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { groupLotsByPlace } from '../whereabouts/index.ts';

/** What becomes of what is left when so much is cut off. Each part is null where nothing changes. */
export interface Rest {
  readonly restMm: number;
  /** It no longer deserves how it was kept. */
  readonly form: { readonly from: StowForm; readonly to: StowForm } | null;
  /** Numbers of its length classes, from 0. */
  readonly lengthClass: { readonly from: number; readonly to: number } | null;
  readonly group: { readonly from: Group; readonly to: Group } | null;
  /** In its home nothing is left of the group that it now belongs to. */
  readonly isStranger: boolean;
}

/** The group of one lot by the rules, without looking at the others. */
function findGroup(household: Household, id: LotId): Group | null {
  const lot = household.lots.get(id);
  return lot ? (computeGroups({ ...household, lots: new Map([[id, lot]]) })[0] ?? null) : null;
}

/** Asks whether the rest still deserves its board, its class and its group. Null where the cut cannot be, or leaves nothing. */
export function judgeRest(household: Household, id: LotId, cutMm: number, reservationId: string | null): Rest | null {
  const act = createCut(household, id, cutMm, 0, reservationId);
  const next = act.ok ? applyChanges(household, act.value.changes) : null;
  const before = household.lots.get(id);
  const after = next?.ok ? next.value.lots.get(id) : undefined;
  if (!next?.ok || !before || !after || after.state === 'gone' || after.lengthMm === undefined) return null;
  const { lengthMm: bounds } = household.settings.bounds;
  const [from, to] = [before, after].map((lot) =>
    findClass(
      bounds.toSorted((a, b) => a - b),
      lot.lengthMm ?? 0,
    ),
  ) as [number, number];
  const [was, is] = [findGroup(household, id), findGroup(next.value, id)];
  const isOther = was !== null && is !== null && was.id !== is.id;
  return {
    restMm: after.lengthMm,
    form: before.form === after.form ? null : { from: before.form, to: after.form },
    lengthClass: from === to ? null : { from, to },
    group: isOther ? { from: was, to: is } : null,
    isStranger: isOther && after.homeId !== undefined && isAlone(next.value, id, after.homeId, is.id),
  };
}

function isAlone(household: Household, id: LotId, homeId: PlaceId, groupId: string): boolean {
  const tree = createPlaceTree(household.places);
  if (!tree.leaves.some((place) => place.id === homeId)) return false;
  const kin = (groupLotsByPlace(household, 'home').get(homeId) ?? []).filter((lot) => lot.id !== id);
  return kin.length > 0 && !kin.some((lot) => findGroup(household, lot.id)?.id === groupId);
}
