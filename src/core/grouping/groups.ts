import { COLOUR_FAMILIES, computeWheelKey, getColour } from '../colour/index.ts';
import {
  getUses,
  listChanged,
  KINDS,
  takesRoom,
  type Household,
  type Item,
  type Kind,
  type Lot,
  type LotId,
  type Order,
  type School,
  type SplitBy,
} from '../records/index.ts';
import { finish, mapInSlices, sortInSlices, type Slices } from '../slices/index.ts';
import { findClass, tell } from './tell.ts';

/** What a level of sorting says of a thing: a word of the user's own, a code or the number of a class. Worded by the interface. */
export interface GroupLabel {
  readonly code: School;
  readonly value: string;
}

/** Which part of a group cut up this is, and the keys of its first and last lot. */
export interface GroupPart {
  readonly by: SplitBy;
  readonly index: number;
  readonly of: number;
  readonly from: number;
  readonly to: number;
}

/** A live group: the rule's lots at this moment, in the order they stand. */
export interface Group {
  readonly id: string;
  readonly kind: Kind;
  /** From the outermost level to the innermost. */
  readonly labels: readonly GroupLabel[];
  readonly part: GroupPart | null;
  readonly lots: readonly Lot[];
}

interface Member {
  readonly item: Item;
  readonly lot: Lot;
}

const PART = /\/part:(\d+)$/;

/** The group that a part was cut from; a whole group's own id. */
export function getWholeId(groupId: string): string {
  return groupId.replace(PART, '');
}

/** What a lot is cut by: its colour round the wheel, its length in mm, its number. */
export function getSplitKey(by: SplitBy, item: Item, lot: Lot): number {
  if (by === 'wheel') return computeWheelKey(getColour(item));
  return by === 'length' ? (lot.lengthMm ?? 0) : (item.pattern?.number ?? 0);
}

/** The longest side of a thing, mm. */
function getSize({ pattern, box, scrap }: Item): number {
  if (pattern) return Math.max(pattern.widthMm, pattern.heightMm);
  return box ? Math.max(box.widthMm, box.depthMm, box.heightMm) : (scrap?.cutMm ?? 0);
}

const WEIGHT = ({ fabric, thread }: Item) => fabric?.grammageGsm ?? thread?.tex ?? 0;

/** By the order asked for: long, large and often wanted first, light before heavy; what is alike in it by name. */
function compareInGroup(order: Order, a: Member, b: Member): number {
  let by = 0;
  switch (order) {
    case 'wheel':
      by = computeWheelKey(getColour(a.item)) - computeWheelKey(getColour(b.item));
      break;
    case 'length':
      by = (b.lot.lengthMm ?? 0) - (a.lot.lengthMm ?? 0);
      break;
    case 'number':
      by = (a.item.pattern?.number ?? 0) - (b.item.pattern?.number ?? 0);
      break;
    case 'size':
      by = getSize(b.item) - getSize(a.item);
      break;
    case 'weight':
      by = WEIGHT(a.item) - WEIGHT(b.item);
      break;
    case 'often':
      by = getUses(b.item) - getUses(a.item);
      break;
    case 'name':
  }
  return by || a.item.name.localeCompare(b.item.name, 'en') || (a.lot.id < b.lot.id ? -1 : 1);
}

/** Colours come round the wheel, classes and numbers from small to large, words by the alphabet, what is not known last. */
function compareLabels(a: readonly GroupLabel[], b: readonly GroupLabel[]): number {
  for (const [i, { code, value }] of a.entries()) {
    const other = b[i]?.value ?? '';
    if (value === other) continue;
    if (value === '' || other === '') return value === '' ? 1 : -1;
    if (code !== 'colour') return value.localeCompare(other, 'en', { numeric: true });
    const at = (family: string) => (COLOUR_FAMILIES as readonly string[]).indexOf(family);
    return at(value) - at(other);
  }
  return 0;
}

interface Ruled {
  readonly member: Member;
  readonly id: string;
  readonly labels: readonly GroupLabel[];
}

interface Rule {
  readonly kind: Kind;
  readonly labels: readonly GroupLabel[];
  readonly members: Member[];
}

/** Cuts a group where the sewist asked for it. A lot put into one part by hand stays in it. Parts without a lot are left out. */
function cutUp(id: string, rule: Rule, household: Household, picked: ReadonlyMap<string, number>): [Group, Member[]][] {
  const whole = (members: Member[]): [Group, Member[]] => [{ id, ...rule, part: null, lots: [] }, members];
  const split = household.settings.splits?.find((one) => one.groupId === id);
  if (!split) return [whole(rule.members)];
  const { by } = split;
  const at = split.at.toSorted((a, b) => a - b);
  const parts = Array.from({ length: at.length + 1 }, (): Member[] => []);
  for (const member of rule.members) {
    const byHand = picked.get(member.lot.id);
    const index = byHand ?? findClass(at, getSplitKey(by, member.item, member.lot));
    parts[Math.min(index, at.length)]!.push(member);
  }
  return parts.flatMap((members, index): [Group, Member[]][] => {
    if (members.length === 0) return [];
    const keys = members.map((member) => getSplitKey(by, member.item, member.lot));
    const part = { by, index, of: parts.length, from: Math.min(...keys), to: Math.max(...keys) };
    return [[{ ...whole([])[0], id: `${id}/part:${index}`, part }, members]];
  });
}

/** A lot with the group that the schools of its kind put it into. */
function* ruleLots(household: Household): Slices<(Ruled | null)[]> {
  const { items, lots, settings } = household;
  return yield* mapInSlices(lots.values(), (lot) => {
    const item = items.get(lot.itemId);
    if (!item || !takesRoom(lot)) return null;
    const { levels, tags } = settings.sorting[item.kind];
    const labels = levels.map((code): GroupLabel => ({ code, value: tell(code, tags, item, lot, household) }));
    const id = `${item.kind}:${labels.map(({ code, value }) => `${code}:${value}`).join('/')}`;
    return { member: { item, lot }, id, labels };
  });
}

/** `computeGroups`, pausing in between. */
export function* computeGroupsInSlices(household: Household): Slices<Group[]> {
  const { sorting, handPicks = [] } = household.settings;
  const found = new Map<string, Rule>();
  const ruled = new Map<string, { member: Member; id: string }>();
  for (const one of yield* ruleLots(household)) {
    if (!one) continue;
    const { member, id, labels } = one;
    if (!found.has(id)) found.set(id, { kind: member.item.kind, labels, members: [] });
    ruled.set(member.lot.id, { member, id });
  }
  yield;
  const picked = new Map<string, number>();
  for (const { lotId, groupId } of handPicks) {
    const mine = ruled.get(lotId);
    const wholeId = getWholeId(groupId);
    if (!mine || !found.has(wholeId)) continue;
    mine.id = wholeId;
    const part = PART.exec(groupId);
    if (part) picked.set(lotId, Number(part[1]));
  }
  for (const { member, id } of ruled.values()) found.get(id)!.members.push(member);
  yield;
  const cut = [...found]
    .filter(([, rule]) => rule.members.length > 0)
    .toSorted(([, a], [, b]) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind) || compareLabels(a.labels, b.labels))
    .flatMap(([id, rule]) => cutUp(id, rule, household, picked));
  yield;
  const groups: Group[] = [];
  for (const [{ id, kind, labels, part }, members] of cut) {
    const { order } = sorting[kind];
    const sorted = yield* sortInSlices(members, (a, b) => compareInGroup(order, a, b));
    groups.push({ id, kind, labels, part, lots: sorted.map((one) => one.lot) });
  }
  return groups;
}

/**
 * Sorts every lot that takes room by the schools of its kind, one inside the other, but for those that the sewist put
 * elsewhere by hand. Groups come by kind, then by their labels from the outermost in.
 */
export const computeGroups = (household: Household): Group[] => finish(computeGroupsInSlices(household));

/** What of a lot decides its group and its turn there. */
function standsAlike(a: Lot, b: Lot): boolean {
  return a.itemId === b.itemId && a.lengthMm === b.lengthMm && a.holder === b.holder && takesRoom(a) === takesRoom(b);
}

/**
 * The groups after an act that only moved lots about, from those before it: each group with its lots as they are now.
 * Null where anything changed that a group goes by, so that they are to be computed.
 */
export function regroup(groups: readonly Group[], before: Household, after: Household): Group[] | null {
  if (before.items !== after.items || before.settings !== after.settings) return null;
  const changed = new Map<LotId, Lot>();
  for (const id of listChanged(before.lots, after.lots)) {
    const [was, is] = [before.lots.get(id), after.lots.get(id)];
    if (!was || !is || !standsAlike(was, is)) return null;
    changed.set(id, is);
  }
  if (changed.size === 0) return [...groups];
  return groups.map((group) =>
    group.lots.some((lot) => changed.has(lot.id))
      ? { ...group, lots: group.lots.map((lot) => changed.get(lot.id) ?? lot) }
      : group,
  );
}
