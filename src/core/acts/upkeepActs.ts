import { getNaming } from '../naming/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { computeDifference, createChange } from '../daybook/index.ts';
import {
  DAY_PATTERN,
  dropAbsent,
  isWholeChore,
  parseRecord,
  type Chore,
  type Household,
  type Leaving,
  type Lot,
  type LotId,
  type PlaceId,
  type Project,
  type ProjectId,
  type StowForm,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createLotDraft, getLot, type Act } from './act.ts';
import { createMove } from './lotActs.ts';
import { countHours } from './hours.ts';

/** What is aired and refolded is gone through with it. */
const AIRING: ReadonlySet<string> = new Set(['air', 'refold']);

const looked = (lot: Lot, nowMs: number): Lot => ({
  ...lot,
  lookedAtMs: nowMs,
  ...(lot.chores && {
    chores: lot.chores.map((chore) => (AIRING.has(chore.work) ? { ...chore, doneAtMs: nowMs, hours: 0 } : chore)),
  }),
});

/** Gone through, and it stays. An heirloom was aired and refolded with it. */
export function createStay(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  return createLotDraft('inspected', found.item, found.lot, looked(found.lot, nowMs));
}

/** Gone through, and it is better kept elsewhere. */
export function createElsewhere(household: Household, id: LotId, placeId: PlaceId, form: StowForm, nowMs: number): Act {
  const moved = createMove(household, id, placeId, form, nowMs);
  const next = moved.ok ? applyChanges(household, moved.value.changes) : null;
  if (!moved.ok || !next?.ok) return moved;
  const lot = next.value.lots.get(id);
  const lots = lot && new Map(next.value.lots).set(id, looked(lot, nowMs));
  return lots ? ok({ ...moved.value, changes: computeDifference(household, { ...next.value, lots }) }) : moved;
}

/** Gone through, and it is to go to somebody; null: it stays after all. */
export function createLeave(household: Household, id: LotId, leaving: Leaving | null, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const { leaving: _, ...rest } = looked(lot, nowMs);
  const draft = createLotDraft('inspected', item, lot, { ...rest, ...(leaving && { leaving }) });
  if (!draft.ok || !leaving) return draft;
  return ok({
    ...draft.value,
    subject: getNaming().told.toGo(item.name, leaving.toWhom),
  });
}

/** Gone through, and used soon: an idea of a project that takes it. */
export function createUseSoon(
  household: Household,
  id: LotId,
  projectId: ProjectId,
  needId: string,
  nowMs: number,
): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const isCloth = item.kind === 'fabric' || item.kind === 'scrap';
  const project: Project = {
    id: projectId,
    name: getNaming().somethingOf(item.name).slice(0, 120),
    state: 'idea',
    makes: [],
    notes: '',
    needs: [
      {
        id: needId,
        kind: isCloth ? 'fabric' : item.kind,
        part: isCloth ? 'main' : item.name.slice(0, 80),
        itemId: item.id,
      },
    ],
    steps: [],
    sinceMs: nowMs,
  };
  const changes = [
    createChange('lots', lot.id, lot, looked(lot, nowMs)),
    createChange('projects', project.id, null, project),
  ].filter((change) => change !== null);
  return ok({ type: 'inspected', subject: item.name, changes });
}

/** What is to be done about a thing again and again. */
export function createSaveChores(household: Household, id: LotId, chores: readonly Chore[]): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const { chores: _, ...rest } = lot;
  const next: Lot = { ...rest, ...(chores.length > 0 && { chores: [...chores] }) };
  if (!chores.every(isWholeChore) || !parseRecord('lots', dropAbsent(next)).ok) return fail({ code: 'out-of-range' });
  return createLotDraft('changed', item, lot, next);
}

/** A chore was done; it is counted anew from now on. */
export function createCared(household: Household, id: LotId, choreId: string, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (!lot.chores?.some((chore) => chore.id === choreId)) return fail({ code: 'nothing-changed' });
  const chores = lot.chores.map((chore) => (chore.id === choreId ? { ...chore, doneAtMs: nowMs, hours: 0 } : chore));
  return createLotDraft('cared', item, lot, { ...lot, chores });
}

/** The needle was changed: the next one has no hours behind it, and there is one less, where they are counted. */
export function createNewNeedle(household: Household, id: LotId): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const units = lot.units === undefined ? {} : { units: Math.max(0, lot.units - 1) };
  return createLotDraft('cared', item, lot, { ...lot, ...units, usedHours: 0 });
}

/** Its packet was opened that day: from then on it ages. */
export function createOpened(household: Household, id: LotId, day: string | null): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  if (day !== null && !DAY_PATTERN.test(day)) return fail({ code: 'out-of-range' });
  const { openedOn: _, ...rest } = found.lot;
  return createLotDraft('opened', found.item, found.lot, { ...rest, ...(day !== null && { openedOn: day }) });
}

/** Hours at the machine that no step has told, counted by hand. */
export function createHours(household: Household, hours: number): Act {
  if (!(hours > 0) || hours > 1000) return fail({ code: 'out-of-range' });
  const changes = countHours(household, { sewing: hours, overlocking: 0 });
  return changes.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: 'cared', subject: getNaming().told.hours(hours), changes });
}
