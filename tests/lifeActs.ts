import * as acts from '../src/core/acts/index.ts';
import { computeGroups } from '../src/core/grouping/index.ts';
import * as heaps from '../src/core/heaps/index.ts';
import * as setout from '../src/core/setout/index.ts';
import * as labels from '../src/core/labels/index.ts';
import * as learning from '../src/core/learning/index.ts';
import * as mending from '../src/core/mending/index.ts';
import * as packup from '../src/core/packup/index.ts';
import { pick } from '../src/core/random/index.ts';
import {
  NO_PARTS,
  createLooseLot,
  KINDS,
  SETOUT_STAGES,
  SETOUT_WAYS,
  type DaybookEvent,
  type Household,
  type Item,
  type ItemId,
  type LotId,
  type Place,
  type PlaceId,
  type ProjectId,
  type Plan,
  type PlanId,
  type Ware,
} from '../src/core/records/index.ts';
import {
  createPlaceTree,
  findNook,
  listBinsToCarry,
  standAsPlanned,
  withoutBerth,
  type ToStand,
} from '../src/core/storage/index.ts';
import { amountOf, createNewThing, type Act, type Drawn } from './drawn.ts';
import { PROJECT_ACTS } from './lifeProjects.ts';

const MOVING_BOXES = [{ id: 'm', name: 'Middle', widthMm: 600, depthMm: 400, heightMm: 400, count: 40 }];

const findHeap = ({ lots }: Household) => [...lots.values()].find((lot) => lot.heap && lot.state !== 'gone');

/** Containers carried to where they go in, or out of the way. */
function createBinMoves({ now, random }: Pick<Drawn, 'now' | 'random'>): ToStand[] {
  const all = [...now.places.values()];
  const slots = all.filter(({ slot }) => slot?.mode === 'line' || slot?.mode === 'volume');
  return all.flatMap((place): ToStand[] => {
    if (!place.container || random() < 0.6) return [];
    if (slots.length === 0 || random() < 0.3) return [{ placeId: place.id }];
    const slot = pick(random, slots);
    const at = findNook(slot.slot!, [], withoutBerth(place).container!);
    return [{ placeId: place.id, slotId: slot.id, ...(at && { at }) }];
  });
}

function createPlan({ now, random, id, nowMs }: Drawn): Plan {
  const known = [...now.plans.values()];
  if (known.length > 0 && random() < 0.5) return pick(random, known);
  const score = { unplacedWeight: 0, cautions: 0, seconds: 1, parts: NO_PARTS };
  const drawnBins = createBinMoves({ now, random });
  const { left } = standAsPlanned(now.places, drawnBins);
  const bins = drawnBins.filter(({ placeId }) => !left.includes(placeId) || random() < 0.1);
  const { leaves } = createPlaceTree(standAsPlanned(now.places, bins).places);
  const assignments = [...now.lots.values()].flatMap((lot, order) =>
    leaves.length > 0 && lot.state !== 'gone' && lot.state !== 'with' && lot.state !== 'digital' && random() < 0.5
      ? [{ lotId: lot.id, placeId: pick(random, leaves).id, form: lot.form, order }]
      : [],
  );
  return {
    id: id() as PlanId,
    madeAtMs: nowMs,
    seed: 1,
    steps: 1,
    inputsHash: 'x',
    score,
    before: score,
    assignments,
    unplaced: [],
    ...(bins.length > 0 && { bins: [...bins] }),
  };
}

function createBin({ random, id, leaf }: Drawn): Place {
  const outer = pick(random, [60, 200, 320, 900]);
  return {
    id: id() as PlaceId,
    ...(random() < 0.7 && { parentId: leaf.level === 'container' ? leaf.parentId! : leaf.id }),
    level: 'container',
    name: 'Bin',
    order: 3,
    container: {
      kind: 'bin',
      outerWidthMm: outer,
      outerDepthMm: outer,
      outerHeightMm: outer,
      wallMm: 2,
      mode: 'volume',
      tareG: 300,
      loadG: 4000,
      isSeeThrough: false,
      hasLid: false,
    },
  };
}

/** How each act is drawn. The list is compared with what the folders of acts export: a new one belongs in it. */
export const ACTS: Record<string, (drawn: Drawn) => Act> = {
  createTakeOut: ({ now, lot, nowMs }) => acts.createTakeOut(now, lot.id, nowMs),
  createPutBack: ({ now, lot, nowMs }) => acts.createPutBack(now, lot.id, nowMs),
  createMove: ({ now, lot, leaf, nowMs }) => acts.createMove(now, lot.id, leaf.id, lot.form, nowMs),
  createCut: (drawn) =>
    acts.createCut(
      drawn.now,
      drawn.lot.id,
      amountOf(drawn),
      drawn.nowMs,
      drawn.random() < 0.3 ? (drawn.lot.reserved?.[0]?.id ?? null) : null,
      drawn.text,
    ),
  createMeasure: (drawn) =>
    acts.createMeasure(
      drawn.now,
      drawn.lot.id,
      {
        value: amountOf(drawn),
        sigma: 20,
        way: pick(drawn.random, ['board', 'count', 'reel', 'weight'] as const),
        unit: pick(drawn.random, ['length', 'area', 'count'] as const),
      },
      drawn.nowMs,
    ),
  createSaveItem: (drawn) => {
    const { now, random, item, lot, text } = drawn;
    if (random() < 0.4) {
      const made = createNewThing(drawn);
      return acts.createSaveItem(now, made.item, made.lots);
    }
    const mine = now.items.get(lot.itemId)!;
    if (random() < 0.3) {
      const again = {
        ...createNewThing(drawn).lots[0]!,
        itemId: mine.id,
        form: mine.forms[0]!,
        homeForm: mine.forms[0]!,
      };
      return acts.createSaveItem(now, mine, [again]);
    }
    return acts.createSaveItem(now, { ...item, notes: text, usesPerMonth: pick(random, [0, 3, 40]) }, []);
  },
  createRemoveLots: ({ now, lot, other, nowMs }) => acts.createRemoveLots(now, [lot.id, other.id], 'both', nowMs),
  createRemoveItem: ({ now, item, nowMs }) => acts.createRemoveItem(now, item, nowMs),
  createImport: (drawn) => acts.createImport(drawn.now, drawn.text, [createNewThing(drawn), createNewThing(drawn)]),
  createChangeMany: ({ now, item, text }) =>
    acts.createChangeMany(now, text, [item.id], (one) => ({ ...one, tags: text ? [text] : [] })),
  createChangeLots: ({ now, lot, other, random }) =>
    acts.createChangeLots(now, 'lots', [lot.id, other.id], (one) => ({ ...one, isWashed: random() < 0.5 })),
  createMerge: ({ now, item, other }) => {
    const twin = now.items.get(other.itemId)!;
    return acts.createMerge(now, item.id, twin.id);
  },
  createReserve: (drawn) =>
    acts.createReserve(
      drawn.now,
      drawn.lot.id,
      { id: drawn.id(), forWhat: drawn.text, note: drawn.text, amount: amountOf(drawn) },
      drawn.nowMs,
    ),
  createRelease: ({ now, lot, nowMs }) => acts.createRelease(now, lot.id, lot.reserved?.[0]?.id ?? 'none', nowMs),
  ...PROJECT_ACTS,
  createWash: ({ now, lot, nowMs }) => acts.createWash(now, lot.id, nowMs),
  createCutUp: ({ now, random, lot, id, nowMs }) =>
    acts.createCutUp(
      now,
      lot.id,
      pick(random, [10_000, 60_000, 1e9]),
      (['square', 'strip'] as const).map((cut) => ({
        cut,
        cutMm: pick(random, [63.5, 127]),
        count: pick(random, [0, 3, 8]),
        name: `cut ${cut}s`,
        itemId: id() as ItemId,
        lotId: id() as LotId,
      })),
      pick(random, [null, { massG: 20, name: 'Stuffing from scraps', itemId: id() as ItemId, lotId: id() as LotId }]),
      nowMs,
    ),
  createThreaded: ({ now, lot, nowMs }) => acts.createThreaded(now, lot.isThreaded ? null : lot.id, nowMs),
  createStay: ({ now, lot, nowMs }) => acts.createStay(now, lot.id, nowMs),
  createPackUp: ({ now, id, nowMs }) =>
    packup.createPackUp(now, packup.planBoxes(now, MOVING_BOXES, packup.USUAL_LIFT_G), packup.USUAL_LIFT_G, id, nowMs),
  createBoxPacked: ({ now, random, nowMs }) => {
    const boxes = packup.listMovingBoxes(now);
    return packup.createBoxPacked(now, boxes.length > 0 ? pick(random, boxes).id : ('none' as PlaceId), nowMs);
  },
  createUnpackBack: ({ now, leaf, id, nowMs }) => {
    // As a daybook tells it: each of them belonged there before.
    const changes = [...now.lots.keys()].map((lotId) => ({
      table: 'lots' as const,
      id: lotId,
      before: { homeId: leaf.id },
      after: {},
    }));
    const line = {
      id: id() as DaybookEvent['id'],
      seq: 0,
      atMs: nowMs,
      type: 'planned' as const,
      subject: '',
      changes,
    };
    return packup.createUnpackBack(now, [line], nowMs);
  },
  createBoxesGone: ({ now, nowMs }) => packup.createBoxesGone(now, nowMs),
  createTurn: ({ now, lot, other, leaf, nowMs }) =>
    acts.createTurn(
      now,
      [lot, other].map(({ id }) => ({ lotId: id, toId: leaf.id })),
      'Winter cloth',
      nowMs,
    ),
  createElsewhere: ({ now, lot, leaf, nowMs }) => acts.createElsewhere(now, lot.id, leaf.id, lot.form, nowMs),
  createLeave: ({ now, lot, random, text, nowMs }) =>
    acts.createLeave(now, lot.id, pick(random, [null, { toWhom: text, by: '2099-12-31' }]), nowMs),
  createUseSoon: ({ now, lot, id, nowMs }) => acts.createUseSoon(now, lot.id, id() as ProjectId, id(), nowMs),
  createSaveChores: ({ now, lot, random, id, nowMs }) =>
    acts.createSaveChores(
      now,
      lot.id,
      pick(random, [
        [],
        [{ id: id(), work: 'oil', everyDays: 30, everyHours: 8, doneAtMs: nowMs, hours: 0 }],
        [{ id: id(), work: 'lint', doneAtMs: nowMs, hours: 0 }],
      ]),
    ),
  createCared: ({ now, lot, nowMs }) => {
    const tended = [...now.lots.values()].find(({ chores, state }) => chores && state !== 'gone') ?? lot;
    return acts.createCared(now, tended.id, tended.chores?.[0]?.id ?? 'none', nowMs);
  },
  createNewNeedle: ({ now, lot }) => acts.createNewNeedle(now, lot.id),
  createOpened: ({ now, lot, random }) => acts.createOpened(now, lot.id, pick(random, [null, '2020-02-29', 'soon'])),
  createHours: ({ now, random }) => acts.createHours(now, pick(random, [0, 0.5, 3])),
  createWrap: ({ now, lot, other, nowMs }) => acts.createWrap(now, lot.id, other.id, nowMs),
  createGone: ({ now, lot, random, nowMs }) => acts.createGone(now, lot.id, pick(random, acts.WAYS_OUT), nowMs),
  createLend: ({ now, lot, text, nowMs }) => acts.createLend(now, lot.id, text, nowMs),
  createReturn: ({ now, lot, nowMs }) =>
    acts.createReturn(now, ([...now.lots.values()].find((one) => one.state === 'lent') ?? lot).id, nowMs),
  createUse: (drawn) => acts.createUse(drawn.now, drawn.lot.id, amountOf(drawn), drawn.nowMs),
  createCount: (drawn) => acts.createCount(drawn.now, drawn.lot.id, amountOf(drawn), drawn.nowMs),
  createPutBackAll: ({ now, lot, other, nowMs }) => acts.createPutBackAll(now, [lot.id, other.id], 'both', nowMs),
  createCountPlace: ({ now, lot, other, leaf, random, nowMs }) =>
    acts.createCountPlace(
      now,
      leaf.id,
      [lot, other].map((one) => ({ lotId: one.id, isThere: random() < 0.6, amount: random() < 0.5 ? 3 : null })),
      nowMs,
    ),
  createStep: ({ now, lot, other, leaf, random, text, nowMs }) => {
    const bins = listBinsToCarry(now.places);
    if (bins.length > 0 && random() < 0.7) {
      const some = random() < 0.5 ? bins : [pick(random, bins)];
      return acts.createStep(now, { kind: 'bins', lotIds: [], forms: [], to: 'idle', bins: some }, [], text, nowMs);
    }
    return acts.createStep(
      now,
      {
        kind: pick(random, ['carry', 'refold', 'order'] as const),
        lotIds: [lot.id, other.id],
        forms: [lot.form, other.form],
        to: pick(random, [leaf.id, 'table', 'aside'] as const),
      },
      [lot.id],
      text,
      nowMs,
    );
  },
  createLeaveBins: ({ now, leaf, random, nowMs }) => {
    const [first] = listBinsToCarry(now.places);
    return acts.createLeaveBins(now, [first && random() < 0.8 ? first.placeId : leaf.id], nowMs);
  },
  createNotFound: ({ now, lot, nowMs }) => acts.createNotFound(now, lot.id, nowMs),
  createDoesNotFit: ({ now, lot, leaf, id, nowMs }) => acts.createDoesNotFit(now, lot.id, leaf.id, id(), nowMs),
  createKeepPlan: (drawn) => acts.createKeepPlan(drawn.now, createPlan(drawn), drawn.text),
  createDropPlan: ({ now, random }) =>
    acts.createDropPlan(now, now.plans.size > 0 ? pick(random, [...now.plans.keys()]) : ('none' as PlanId)),
  createAdopt: (drawn) => acts.createAdopt(drawn.now, createPlan(drawn), 'a plan', drawn.nowMs),
  createCarryAll: ({ now, nowMs }) => acts.createCarryAll(now, 'all', nowMs),
  createBecome: ({ now, item, nowMs, random }) => acts.createBecome(now, item.id, pick(random, KINDS), nowMs),
  createLieIn: ({ now, lot, other, leaf, nowMs }) => acts.createLieIn(now, [lot.id, other.id], leaf.id, 'both', nowMs),
  createBelongIn: ({ now, lot, other, leaf, nowMs }) =>
    acts.createBelongIn(now, [lot.id, other.id], leaf.id, 'both', nowMs),
  createPutInto: ({ now, lot, other, leaf, nowMs }) =>
    acts.createPutInto(now, [lot.id, other.id], leaf.id, [lot.form, null], 'both', nowMs),
  createSavePlaces: (drawn) => {
    const { now, random, leaf, text, nowMs } = drawn;
    const tree = createPlaceTree(now.places);
    if (random() < 0.4) return acts.createSavePlaces(now, text, [createBin(drawn)], [], nowMs);
    if (random() < 0.4) {
      const unit = tree.getPath(leaf.id)[1]!;
      const slots = tree.getChildren(unit.id);
      const bins = slots.flatMap((slot) => tree.getChildren(slot.id));
      return acts.createSavePlaces(now, 'unit', [], [...bins, ...slots, unit], nowMs);
    }
    return acts.createSavePlaces(now, 'name', [{ ...leaf, name: text }], [], nowMs);
  },
  createRemoveRoom: ({ now, random, nowMs }) =>
    acts.createRemoveRoom(now, pick(random, createPlaceTree(now.places).rooms).id, nowMs),
  createMoveTogether: ({ now, lot, other, leaf, nowMs }) =>
    acts.createMoveTogether(
      now,
      [[lot.id, lot.form] as const, [other.id, other.form] as const],
      leaf.id,
      'both',
      nowMs,
    ),
  createSaveSettings: ({ now, text, random }) =>
    acts.createSaveSettings(now, { ...now.settings, name: text, statureMm: pick(random, [1500, 1700, 99]) }),
  createSort: ({ now, random }) =>
    acts.createSort(now, pick(random, KINDS), { order: 'name', tags: pick(random, [[], ['summer']]) }),
  createSetBounds: ({ now, random }) =>
    acts.createSetBounds(now, 'lengthMm', pick(random, [[], [900, 400], [5, 5], [-1]])),
  createSplit: ({ now, random }) =>
    acts.createSplit(now, pick(random, computeGroups(now)).id, 'wheel', pick(random, [[], [2], [3, 1]])),
  createPick: ({ now, lot, random }) =>
    acts.createPick(now, [lot.id], random() < 0.5 ? null : pick(random, computeGroups(now)).id),
  createSaveWare: ({ now, text, id, random }) => {
    const ware: Ware = { id: pick(random, ['ware', id()]), name: text, cost: 3, most: 2 };
    return acts.createSaveWare(now, ware);
  },
  createDropWare: ({ now }) => acts.createDropWare(now, 'ware'),
  createWish: ({ now, lot, leaf, id }) =>
    acts.createWish(now, { id: id(), kind: 'stays', lotIds: [lot.id], groupIds: [], placeId: leaf.id }),
  createHeap: ({ now, id, random, nowMs }) => {
    const item: Item = { ...pick(random, [...now.items.values()]), id: id() as ItemId };
    const lot = createLooseLot(id() as LotId, item, 1, item.kind === 'fabric' ? 1000 : undefined, nowMs);
    const by = pick(random, ['pieces', 'pile', 'row', 'mass', 'room'] as const);
    const told = heaps.computeHeap(item, lot, by, pick(random, [0, 30, 500, 1e6]), now.settings);
    return heaps.createHeap(now, item, { ...lot, ...told });
  },
  createCorrectHeap: ({ now, lot, random, nowMs }) =>
    heaps.createCorrectHeap(now, findHeap(now)?.id ?? lot.id, 'pieces', pick(random, [0, 3, 60]), nowMs),
  createListOut: ({ now, lot, id, random, nowMs }) => {
    const item: Item = { ...pick(random, [...now.items.values()]), id: id() as ItemId };
    const listed = createLooseLot(id() as LotId, item, 1, item.kind === 'fabric' ? 900 : undefined, nowMs);
    return heaps.createListOut(now, findHeap(now)?.id ?? lot.id, item, listed, nowMs);
  },
  createDivideHeaps: ({ now, id }) => heaps.createDivideHeaps(now, () => id() as LotId),
  createGatherHeaps: ({ now }) => heaps.createGatherHeaps(now),
  createHeapUp: ({ now, id, random, nowMs }) => {
    const ids = [...now.lots.keys()].filter(() => random() < 0.1);
    return heaps.createHeapUp(now, ids, { name: 'Odds', itemId: id() as ItemId, lotId: id() as LotId }, nowMs);
  },
  createLieOnFloor: ({ now, id, nowMs }) => heaps.createLieOnFloor(now, () => id() as PlaceId, nowMs),
  createRule: ({ now, leaf, id }) => {
    const wish = { id: id(), kind: 'free' as const, lotIds: [], groupIds: [], placeId: leaf.id };
    return acts.createRule(now, wish, [now.settings.wishes?.[0]?.id ?? 'none']);
  },
  createBond: ({ now, random }) => {
    const [a, b] = [pick(random, computeGroups(now)).id, pick(random, computeGroups(now)).id];
    return acts.createBond(now, [a, b], pick(random, [null, 'near', 'clash']));
  },
  createGrow: ({ now, random }) =>
    acts.createGrow(now, pick(random, computeGroups(now)).id, pick(random, [null, 0, 0.3])),
  createBegin: ({ now, random }) => setout.createBegin(now, pick(random, SETOUT_WAYS)),
  createTickStage: ({ now, random }) => setout.createTickStage(now, pick(random, SETOUT_STAGES), random() < 0.5),
  createEndSetout: ({ now }) => setout.createEndSetout(now),
  createLiftWish: ({ now }) => acts.createLiftWish(now, now.settings.wishes?.[0]?.id ?? 'none'),
  createLabelled: ({ now, leaf, lot, text, nowMs }) =>
    labels.createLabelled(
      now,
      'mark',
      [
        { of: { kind: 'place', id: leaf.id }, says: [{ about: 'group', value: text }], swatches: ['#aa0000'] },
        { of: { kind: 'lot', id: lot.id }, says: [], swatches: [] },
      ],
      text,
      nowMs,
    ),
  createLabelWords: ({ now, leaf, text }) => labels.createLabelWords(now, 'mark', leaf.id, text),
  createLearn: ({ now, events, nowMs }) => learning.createLearn(now, events, nowMs),
  createMended: ({ now, item, text }) =>
    mending.createMended(now, [
      { of: { table: 'items', id: item.id, raw: item, faults: [] }, record: { ...item, notes: text } },
    ]),
};

/** Exports that begin like an act and are none. */
const NO_ACTS: ReadonlySet<string> = new Set(['createLotDraft', 'createReleaseWrapped', 'createCode']);

/** Every act that the core offers. */
export function listActs(): string[] {
  return [acts, heaps, labels, learning, mending, packup, setout]
    .flatMap((folder) => Object.keys(folder))
    .filter((name) => name.startsWith('create') && !NO_ACTS.has(name));
}
