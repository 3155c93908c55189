import { fail, ok, type Result } from '../result/index.ts';
import { isFields as isRaw, type Fields as Raw } from './fields.ts';
import { makeProjects } from './kits.ts';
import { markHeaps } from './heaps.ts';
import { addEstimate, mapChanges } from './lifting.ts';
import { priceBySense, raisePrices } from './pricing.ts';

/** The version written today. Each step below lifts a bundle by one; none is ever removed. */
export const BUNDLE_VERSION = 16;

/**
 * Gives the first event the settings whole. Before version 3 it told only what differed from the defaults of
 * its day; taking back all later changes from the settings as they are leads to what it meant.
 */
function completeFirstEvent(raw: Raw): Raw {
  const { events, settings } = raw;
  if (!Array.isArray(events) || !isRaw(settings)) return raw;
  const [first, ...later] = events as unknown[];
  if (!isRaw(first) || !Array.isArray(first['changes'])) return raw;
  const whole = { ...settings };
  for (const event of later.toReversed())
    if (isRaw(event) && Array.isArray(event['changes']))
      for (const change of (event['changes'] as unknown[]).toReversed())
        if (isRaw(change) && change['table'] === 'settings' && isRaw(change['before']))
          Object.assign(whole, change['before']);
  const rest = (first['changes'] as unknown[]).filter((change) => !isRaw(change) || change['table'] !== 'settings');
  const came = { table: 'settings', id: 'household', before: null, after: whole };
  return { ...raw, events: [{ ...first, changes: [...rest, came] }, ...later] };
}

/** Renames a field where it is, keeping its place among the others. */
function rename(raw: unknown, from: string, to: string): unknown {
  if (!isRaw(raw) || !(from in raw)) return raw;
  return Object.fromEntries(Object.entries(raw).map(([name, value]) => [name === from ? to : name, value]));
}

/** Three kinds more, each with a school; amounts that are not only lengths. */
function addKinds(raw: Raw): Raw {
  const schools = { scrap: 'colour', kit: 'state', other: 'type' };
  const liftSettings = (settings: unknown) =>
    isRaw(settings) && isRaw(settings['schools'])
      ? { ...settings, schools: { ...settings['schools'], ...schools } }
      : settings;
  const liftLot = (lot: unknown) => rename(lot, 'lengthSigmaMm', 'amountSigma');
  const lifted = mapChanges(raw, (change) => {
    const lift = change['table'] === 'settings' ? liftSettings : change['table'] === 'lots' ? liftLot : null;
    return lift ? { ...change, before: lift(change['before']), after: lift(change['after']) } : change;
  });
  const { lots, events } = lifted;
  return {
    ...lifted,
    settings: liftSettings(raw['settings']),
    lots: Array.isArray(lots) ? (lots as unknown[]).map(liftLot) : lots,
    events: Array.isArray(events)
      ? (events as unknown[]).map((event) =>
          isRaw(event) && 'amountMm' in event
            ? { ...(rename(event, 'amountMm', 'amount') as Raw), amountUnit: 'length' }
            : event,
        )
      : events,
  };
}

interface OldWall {
  id: string;
  name: string;
  from: { xMm: number; yMm: number };
  to: { xMm: number; yMm: number };
  ceiling: { xMm: number; yMm: number }[];
}

/**
 * A room was a few walls, each with its ceiling, and one door; it becomes a closed outline. Where walls are
 * missing they are added; a wall under a low ceiling has a slope that reaches as far as its neighbour's ceiling tells.
 */
function closeRoom(room: unknown): unknown {
  if (!isRaw(room) || !Array.isArray(room['walls']) || !isRaw(room['door'])) return room;
  const { widthMm: _, depthMm, door, passageMm, walls, stations, ...rest } = room;
  const old = walls as OldWall[];
  const isSame = (a: OldWall['from'], b: OldWall['from']) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) < 1;
  const lengthOf = (from: OldWall['from'], to: OldWall['from']) => Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm);
  const outline: { id: string; name: string; from: OldWall['from'] }[] = [];
  const add = (from: OldWall['from']) => {
    const n = outline.length + 1;
    outline.push({ id: `wall-${n}`, name: `Wall ${n}`, from });
  };
  for (const [i, wall] of old.entries()) {
    outline.push({ id: wall.id, name: wall.name, from: wall.from });
    const next = old[(i + 1) % old.length]!;
    if (old.length > 1 && !isSame(wall.to, next.from)) add(wall.to);
  }
  if (outline.length < 3) {
    // Walls that do not go round: the room is as deep as it was said to be, to the right of the first.
    const { from, to } = old[0]!;
    const share = Number(depthMm) / (lengthOf(from, to) || 1);
    const [dx, dy] = [-(to.yMm - from.yMm) * share, (to.xMm - from.xMm) * share];
    outline.length = 1;
    add(to);
    add({ xMm: to.xMm + dx, yMm: to.yMm + dy });
    add({ xMm: from.xMm + dx, yMm: from.yMm + dy });
  }
  const heightMm = Math.max(...old.flatMap((wall) => wall.ceiling.map((point) => point.yMm)));
  const slopes = old.flatMap((wall, i) => {
    const kneeMm = Math.max(...wall.ceiling.map((point) => point.yMm));
    if (kneeMm >= heightMm) return [];
    const before = old[(i + old.length - 1) % old.length]!;
    const end = before.ceiling.at(-1)!.xMm;
    const full = before.ceiling.findLast((point) => point.yMm >= heightMm);
    return [{ wallId: wall.id, kneeMm, runMm: Math.max(1, full ? end - full.xMm : heightMm - kneeMm) }];
  });
  const at = door as unknown as OldWall['from'];
  let [best, bestMm, along] = [0, Infinity, 0];
  for (const [i, { from }] of outline.entries()) {
    const to = outline[(i + 1) % outline.length]!.from;
    const length = lengthOf(from, to) || 1;
    const [ux, uy] = [(to.xMm - from.xMm) / length, (to.yMm - from.yMm) / length];
    const s = Math.min(length, Math.max(0, (at.xMm - from.xMm) * ux + (at.yMm - from.yMm) * uy));
    const mm = Math.hypot(at.xMm - from.xMm - s * ux, at.yMm - from.yMm - s * uy);
    if (mm < bestMm) [best, bestMm, along] = [i, mm, s];
  }
  const wall = outline[best]!;
  const lengthMm = lengthOf(wall.from, outline[(best + 1) % outline.length]!.from);
  const doorMm = Math.min(800, Math.max(100, lengthMm));
  return {
    ...rest,
    walls: outline,
    heightMm,
    slopes,
    doors: [
      {
        id: 'door',
        wallId: wall.id,
        xMm: Math.max(0, Math.min(lengthMm - doorMm, along - doorMm / 2)),
        widthMm: doorMm,
        heightMm: 2000,
        hinge: 'left',
        // How it swings was not asked: out is in nobody's way.
        swing: 'out',
        wayMm: passageMm,
      },
    ],
    windows: [],
    sockets: [],
    fixtures: [],
    circuits: [],
    stations,
    arrangements: [],
    upDeg: 0,
  };
}

/** Rooms with an outline, doors and all that is fixed. */
function closeRooms(raw: Raw): Raw {
  const lift = (place: unknown) =>
    isRaw(place) && isRaw(place['room']) ? { ...place, room: closeRoom(place['room']) } : place;
  const lifted = mapChanges(raw, (change) =>
    change['table'] === 'places' ? { ...change, before: lift(change['before']), after: lift(change['after']) } : change,
  );
  const { places } = lifted;
  return { ...lifted, places: Array.isArray(places) ? (places as unknown[]).map(lift) : places };
}

const SCHOOLS_BEFORE_6: Record<string, Record<string, string>> = {
  pattern: { type: 'garment' },
  scrap: { type: 'cut', kindAndFibre: 'fibre' },
  fabric: { kindAndFibre: 'fibre' },
  thread: { kindAndFibre: 'fibre' },
};
const ORDERS_OF_6: Record<string, string> = { fabric: 'wheel', pattern: 'number', thread: 'wheel', scrap: 'wheel' };
const CLASSES_BEFORE_6 = ['remnant', 'project', 'garment'];
const LABELS_BEFORE_6: Record<string, string> = { numbers: 'numberRun', kitState: 'state' };

/** `fabric:lengthClass:remnant` → `fabric:lengthClass:0`. */
function liftGroupId(id: unknown): unknown {
  if (typeof id !== 'string') return id;
  const [kind, code = '', ...value] = id.split(':');
  const words = value.join(':');
  const known = code === 'lengthClass' ? CLASSES_BEFORE_6.indexOf(words) : -1;
  return `${kind}:${LABELS_BEFORE_6[code] ?? code}:${known < 0 ? words : known}`;
}

/** One school and one order for each kind, and boundaries by their measure; settings may be a part of the whole. */
function liftSorting(settings: unknown): unknown {
  if (!isRaw(settings)) return settings;
  const { schools, remnantBelowMm, garmentFromMm, wishes, ...rest } = settings;
  const lifted: Raw = { ...rest };
  if (isRaw(schools))
    lifted['sorting'] = Object.fromEntries(
      Object.entries(schools).map(([kind, school]) => {
        const level = SCHOOLS_BEFORE_6[kind]?.[String(school)] ?? school;
        return [
          kind,
          { levels: [level], order: level === 'lengthClass' ? 'length' : (ORDERS_OF_6[kind] ?? 'name'), tags: [] },
        ];
      }),
    );
  if (remnantBelowMm !== undefined || garmentFromMm !== undefined)
    lifted['bounds'] = {
      lengthMm: [remnantBelowMm ?? 914.4, garmentFromMm ?? 4572],
      grammageGsm: [120, 250],
      tex: [30, 60],
      usesPerMonth: [0.2, 1, 4],
      numbers: [],
      envelopeMm: [240],
    };
  if (Array.isArray(wishes))
    lifted['wishes'] = (wishes as unknown[]).map((wish) =>
      isRaw(wish) && Array.isArray(wish['groupIds'])
        ? { ...wish, groupIds: (wish['groupIds'] as unknown[]).map(liftGroupId) }
        : wish,
    );
  return lifted;
}

/** Kinds are sorted by up to three schools and an order; classes meet at boundaries of their own. */
function nestSchools(raw: Raw): Raw {
  // A change may tell one boundary only: the other is as it was then.
  const bounds = new Map<string, unknown>();
  const whole = (settings: unknown) => {
    if (!isRaw(settings)) return settings;
    for (const name of ['remnantBelowMm', 'garmentFromMm']) if (name in settings) bounds.set(name, settings[name]);
    const isTold = 'remnantBelowMm' in settings || 'garmentFromMm' in settings;
    return liftSorting(isTold ? { ...settings, ...Object.fromEntries(bounds) } : settings);
  };
  const lifted = mapChanges(raw, (change) =>
    change['table'] === 'settings'
      ? { ...change, before: whole(change['before']), after: whole(change['after']) }
      : change,
  );
  return { ...lifted, settings: liftSorting(raw['settings']) };
}

/** A value without its fields that are null, at any depth. */
function dropNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(dropNulls);
  if (!isRaw(value)) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, field]) => (field === null ? [] : [[key, dropNulls(field)]])),
  );
}

/** What has no value is absent; one line may take back several; a line that joined says how many came with it. */
function makeAbsent(raw: Raw): Raw {
  const lifted = dropNulls(raw) as Raw;
  const { events } = lifted;
  if (!Array.isArray(events)) return lifted;
  return {
    ...lifted,
    events: (events as unknown[]).map((event) => {
      if (!isRaw(event)) return event;
      const { undoes, ...rest } = event;
      const lines = event['type'] === 'joined' ? /^\d+/.exec(String(event['subject'])) : null;
      return { ...rest, ...(undoes !== undefined && { undoes: [undoes] }), ...(lines && { joins: Number(lines[0]) }) };
    }),
  };
}

/** Step i lifts version i + 1 to i + 2. */
const STEPS: readonly ((raw: Raw) => Raw)[] = [
  // 1 → 2: a thing without a home costs looking for it.
  (raw) => addEstimate(raw, 'homelessSeconds', 90),
  // 2 → 3: cloth out of sight and mixed places cost something, and the daybook no longer leans on defaults.
  (raw) => completeFirstEvent(addEstimate(addEstimate(raw, 'hiddenSeconds', 6), 'mixSeconds', 15)),
  // 3 → 4: scraps, kits and other things; amounts by area and count.
  addKinds,
  // 4 → 5: a room is an outline with doors, windows and slopes; what hangs in front on a hook costs something.
  (raw) => closeRooms(addEstimate(raw, 'hookInFrontSeconds', 1.5)),
  // 5 → 6: schools inside each other, boundaries of one's own; an empty place and a clear table are worth something.
  (raw) => nestSchools(addEstimate(addEstimate(raw, 'emptySeconds', 25), 'tableSeconds', 30)),
  // 6 → 7: absence has one form.
  makeAbsent,
  // 7 → 8: plans that a sewist would defend.
  priceBySense,
  // 8 → 9: containers may stand elsewhere in a plan, and carrying one costs something.
  (raw) => raisePrices(addEstimate(raw, 'carryBinSeconds', 60)),
  // 9 → 10: how two groups get on may be said; none says so yet.
  (raw) => raw,
  // 10 → 11: how fast groups grow may be known, how many boards there are, and how far setting out is; nothing says so yet.
  (raw) => raw,
  // 11 → 12: projects.
  makeProjects,
  // 12 → 13: flaws and outlines of lots, thread on the machine, seams, what was paid for how much, a budget: all may be absent.
  (raw) => raw,
  // 13 → 14: chores, what leaves and by when, goals of scraps, seasons, climates, moving house: all may be absent.
  (raw) => raw,
  // 14 → 15: eleven prints more; nothing has one yet.
  (raw) => raw,
  // 15 → 16: a heap is marked as one.
  markHeaps,
];

/** Lifts a bundle's contents to a version, today's unless told otherwise. */
export function migrateBundle(raw: Raw, to = BUNDLE_VERSION): Result<Raw, 'too-new' | 'not-a-bundle'> {
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return fail('not-a-bundle');
  if (version > to) return fail('too-new');
  let lifted = raw;
  for (let at = version; at < to; at += 1) lifted = { ...STEPS[at - 1]!(lifted), version: at + 1 };
  return ok(lifted);
}
