import { getNaming } from '../naming/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { checkInvariants, createChange, getRecord, isSame, type InvariantFault } from '../daybook/index.ts';
import { mendLots, mendProjects, mendRooms } from '../mending/index.ts';
import type { Change, Chronicle, DaybookEvent, EventId, Fields, Household, TableName } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';

/** Fields that only make sense together: who decides one of them decides all. */
const GROUPS: Partial<Record<TableName, readonly (readonly string[])[]>> = {
  lots: [
    ['state', 'placeId', 'order', 'form', 'away', 'lentTo', 'withLotId'],
    ['homeId', 'homeOrder', 'homeForm'],
    ['lengthMm', 'areaMm2', 'units', 'count', 'amountSigma', 'measuredBy'],
  ],
  places: [['parentId', 'order']],
};
const AMOUNTS: ReadonlySet<string> = new Set(['lengthMm', 'areaMm2', 'units', 'count']);
/** Of two times of the last change the later one is true; that is no conflict. */
const TIMES: ReadonlySet<string> = new Set(['sinceMs']);

/** What a group of fields is called: its first. */
function getAspect(table: TableName, field: string): string {
  return GROUPS[table]?.find((group) => group.includes(field))?.[0] ?? field;
}
const listFields = (table: TableName, aspect: string): readonly string[] =>
  GROUPS[table]?.find((group) => group[0] === aspect) ?? [aspect];

/** Both changed the same of one record, each in its own way; or one changed what the other took out. */
export interface Conflict {
  readonly key: string;
  readonly table: TableName;
  readonly id: string;
  /** The first field of what is in question; empty where it is the record's being there at all. */
  readonly aspect: string;
  /** The last event of each that had to do with it. */
  readonly mine: DaybookEvent | null;
  readonly theirs: DaybookEvent;
  /** What it is in each; null for none. */
  readonly mineIs: Fields | null;
  readonly theirsIs: Fields | null;
}

export interface MergePlan {
  readonly mine: Chronicle;
  readonly theirs: Chronicle;
  /** Events of the one that the other does not have. */
  readonly mineNew: readonly DaybookEvent[];
  readonly theirsNew: readonly DaybookEvent[];
  /** Theirs, as they follow on mine, without what is in conflict. */
  readonly rebased: readonly DaybookEvent[];
  readonly conflicts: readonly Conflict[];
}

export type Side = 'mine' | 'theirs';

/** Whether an event takes away, or gives back, an amount that goes with what the other took. */
function isTaking(event: DaybookEvent, byId: ReadonlyMap<EventId, DaybookEvent>): boolean {
  if (event.type === 'cut') return true;
  return event.undoes?.some((id) => byId.get(id)?.type === 'cut') ?? false;
}

const recordOf = (household: Household, table: TableName, id: string) =>
  getRecord(household, table, id) as Fields | null;

/** Another device's lines, laid one after the other on what is here. */
class Rebasing {
  readonly contested = new Map<string, { table: TableName; id: string; aspect: string; theirs: DaybookEvent }>();

  constructor(private readonly byId: ReadonlyMap<EventId, DaybookEvent>) {}

  /** What of a line is taken over on a household as it is; the rest is contested. */
  lay(now: Household, event: DaybookEvent): Change[] {
    return event.changes.flatMap((change) => this.layChange(recordOf(now, change.table, change.id), change, event));
  }

  private isContested({ table, id }: Change, aspect: string): boolean {
    return this.contested.has(`${table} ${id} ${aspect}`);
  }

  private contest({ table, id }: Change, aspect: string, theirs: DaybookEvent): void {
    this.contested.set(`${table} ${id} ${aspect}`, { table, id, aspect, theirs });
  }

  private layChange(record: Fields | null, change: Change, event: DaybookEvent): Change[] {
    const { table, id, before, after } = change;
    const contestWhole = () => {
      this.contest(change, '', event);
      return [];
    };
    if (this.isContested(change, '')) return contestWhole();
    if (before === undefined && after !== undefined) {
      if (record === null) return [change];
      return isSame(record, after) ? [] : contestWhole();
    }
    if (after === undefined) {
      if (record === null) return [];
      const isUntouched = [...this.contested.keys()].every((key) => !key.startsWith(`${table} ${id} `));
      return isUntouched && isSame(record, before) ? [{ ...change, before: record }] : contestWhole();
    }
    return record === null ? contestWhole() : this.layFields(record, change, event);
  }

  private layFields(record: Fields, change: Change, event: DaybookEvent): Change[] {
    const { table, id } = change;
    const [before, after]: [Fields, Fields] = [{}, {}];
    const written = new Set<string>();
    const put = (field: string, present: unknown, is: unknown) => {
      written.add(field);
      if (present !== undefined) before[field] = present;
      if (is !== undefined) after[field] = is;
    };
    for (const field of new Set([...Object.keys(change.before ?? {}), ...Object.keys(change.after ?? {})])) {
      const [was, is, present] = [change.before?.[field], change.after?.[field], record[field]];
      const aspect = getAspect(table, field);
      const isSoFar = isSame(present, was);
      if (TIMES.has(field) && !isSoFar) {
        const later = Math.max(Number(present), Number(is));
        if (later !== present) put(field, present, later);
      } else if (!TIMES.has(field) && this.isContested(change, aspect)) this.contest(change, aspect, event);
      else if (isSoFar) put(field, present, is);
      else if (AMOUNTS.has(field) && isTaking(event, this.byId)) {
        // Both took some of it: what is left is less what either took. The same rest twice is no agreement.
        const left = Number(present) + Number(is) - Number(was);
        if (left >= 0.5) put(field, present, left);
        else this.contest(change, aspect, event);
      } else if (!isSame(present, is)) this.contest(change, aspect, event);
    }
    // What is decided together is not taken over by halves.
    for (const field of written)
      if (!TIMES.has(field) && this.isContested(change, getAspect(table, field))) {
        written.delete(field);
        delete before[field];
        delete after[field];
      }
    return written.size > 0 ? [{ table, id, before, after }] : [];
  }
}

/** Whether a change has to do with an aspect of a record; all of it is the aspect ''. */
function isAbout(change: Change, table: TableName, id: string, aspect: string): boolean {
  if (change.table !== table || change.id !== id) return false;
  if (aspect === '' || change.after === undefined || change.before === undefined) return true;
  return Object.keys(change.after).some((field) => getAspect(table, field) === aspect);
}

/**
 * Lays the events that another device wrote after those of this one. What only one of them changed is taken over; cuts
 * of both add up; what both changed in different ways waits for a decision. Refused where the two daybooks do not begin
 * with the same line: those are two households.
 */
export function planMerge(mine: Chronicle, theirs: Chronicle): Result<MergePlan, 'another-household'> {
  const [first, other] = [mine.events[0], theirs.events[0]];
  if (!first || !other || !isSame(first, other)) return fail('another-household');
  const [mineIds, theirsIds] = [mine, theirs].map((one) => new Set(one.events.map((event) => event.id)));
  const mineNew = mine.events.filter((event) => !theirsIds!.has(event.id));
  const theirsNew = theirs.events.filter((event) => !mineIds!.has(event.id));
  const rebasing = new Rebasing(new Map(theirs.events.map((event) => [event.id, event])));
  const rebased: DaybookEvent[] = [];
  let now = mine.household;
  for (const event of theirsNew) {
    const changes = rebasing.lay(now, event);
    const next = applyChanges(now, changes);
    if (!next.ok) return fail('another-household');
    now = next.value;
    rebased.push({ ...event, changes });
  }
  const conflicts = [...rebasing.contested].map(([key, { table, id, aspect, theirs: last }]): Conflict => {
    const pickFields = (record: Fields | null): Fields | null =>
      record === null || aspect === ''
        ? record
        : Object.fromEntries(listFields(table, aspect).map((field) => [field, record[field]]));
    return {
      key,
      table,
      id,
      aspect,
      mine: mineNew.findLast((event) => event.changes.some((change) => isAbout(change, table, id, aspect))) ?? null,
      theirs: last,
      mineIs: pickFields(recordOf(now, table, id)),
      theirsIs: pickFields(recordOf(theirs.household, table, id)),
    };
  });
  return ok({ mine, theirs, mineNew, theirsNew, rebased, conflicts });
}

/** Whose is the later of the two: what one would mostly say. */
export function getLater({ mine, theirs }: Conflict): Side {
  return mine !== null && mine.atMs > theirs.atMs ? 'mine' : 'theirs';
}

/**
 * One daybook of both: this device's lines, the other's after them, and a last one with what was decided. `stamp` gives
 * that last line its id and time. Its state is the fold of it. Refused where a rule stays broken all the same: such a
 * household could not be kept.
 */
export function applyMerge(
  plan: MergePlan,
  decide: (conflict: Conflict) => Side,
  stamp: { readonly id: EventId; readonly atMs: number },
): Result<Chronicle, InvariantFault[]> {
  const { mine, rebased, conflicts } = plan;
  const events: DaybookEvent[] = [...mine.events];
  let now = mine.household;
  const write = (event: DaybookEvent) => {
    const next = applyChanges(now, event.changes);
    if (!next.ok) throw new Error(`the joined daybook does not fold at ${event.id}`);
    now = next.value;
    events.push({ ...event, seq: events.length });
  };
  for (const event of rebased) write(event);
  const changes: Change[] = [];
  let decided = now;
  const add = (change: Change | null) => {
    if (!change) return;
    const next = applyChanges(decided, [change]);
    if (!next.ok) return;
    decided = next.value;
    changes.push(change);
  };
  for (const conflict of conflicts) {
    if (decide(conflict) === 'mine') continue;
    const { table, id, aspect, theirsIs } = conflict;
    const record = recordOf(decided, table, id);
    if (aspect === '') add(createChange(table, id, record, theirsIs));
    else if (record && theirsIs) add(createChange(table, id, record, { ...record, ...theirsIs }));
  }
  // A lot that stays or comes back has its item with it, whoever took that out.
  for (const { itemId } of decided.lots.values())
    if (!decided.items.has(itemId))
      add(
        createChange(
          'items',
          itemId,
          null,
          plan.theirs.household.items.get(itemId) ?? mine.household.items.get(itemId) ?? null,
        ),
      );
  const came = new Set(plan.theirsNew.flatMap((event) => event.changes.map((change) => change.id)));
  // What a piece took with it leaves others without a place, and so on down to the bins.
  for (let n = 0; n < 4; n += 1) for (const change of mendRooms(decided, (id) => came.has(id))) add(change);
  for (const change of mendProjects(decided)) add(change);
  for (const change of mendLots(decided)) add(change);
  if (changes.length > 0 || rebased.length > 0)
    write({
      id: stamp.id,
      seq: 0,
      atMs: stamp.atMs,
      type: 'joined',
      subject: getNaming().told.lines(rebased.length),
      joins: rebased.length,
      changes,
    });
  const faults = checkInvariants(now);
  return faults.length > 0 ? fail(faults) : ok({ household: now, events });
}
