import { listShapes } from '../core/projects/index.ts';
import type {
  ClothNeed,
  CutPiece,
  Household,
  Item,
  Lot,
  LotId,
  Need,
  Project,
  ProjectId,
  ProjectState,
  Step,
  StepStation,
} from '../core/records/index.ts';

const DAY_MS = 86_400_000;

/** What is promised of which cloth: so many mm of its longest length; nothing where it is cut already. */
type Promise = readonly [cloth: string, mm: number];

interface Plan {
  readonly name: string;
  readonly forWhom?: string;
  readonly state: ProjectState;
  readonly pattern?: string;
  readonly makes: readonly (readonly [size: string, count: number])[];
  readonly due?: string;
  readonly notes: string;
  readonly stopped?: string;
  /** Days before today on which something was last done on it. */
  readonly days: number;
  readonly bag?: string;
  readonly needs: readonly (readonly [need: Omit<Need, 'id'>, promise?: Promise])[];
  /** What is done has minutes that it took. */
  readonly steps: readonly (readonly [name: string, station: StepStation, minutes: number, done?: boolean])[];
  readonly pieces?: readonly (readonly [
    name: string,
    part: string,
    count: number,
    w: number,
    h: number,
    more?: string,
  ])[];
}

const cloth = (part: string, more: Partial<Need> = {}): Omit<Need, 'id'> => ({ kind: 'fabric', part, ...more });

/** What a sewist of the loft has begun, thought of and put aside. All of it is made up. */
const PLANS: readonly Plan[] = [
  {
    name: 'Cox’s smock',
    forWhom: 'the cox',
    state: 'sewing',
    pattern: 'Coxswain smock',
    makes: [['38', 1]],
    due: '2026-10-24',
    notes: 'Has to go over two jumpers.',
    stopped: 'Sleeves are pinned; look first which one is the left.',
    days: 9,
    bag: 'Cox’s smock kit',
    needs: [
      [cloth('main', { used: 2300, amount: 2300 }), ['Dusk oilskin', 0]],
      [cloth('lining', { amount: 1600 }), ['Slate linen plain', 1600]],
      [{ kind: 'notion', part: 'toggles', amount: 3, isThere: true }],
      [{ kind: 'notion', part: 'seam tape', amount: 1, isToGet: true }],
    ],
    steps: [
      ['Cut out', 'cutting', 55, true],
      ['Shoulders and side seams', 'sewing', 50, true],
      ['Set the sleeves in', 'sewing', 45],
      ['Tape the seams', 'pressing', 25],
      ['Hem and toggles by hand', 'handwork', 50],
    ],
  },
  {
    name: 'Berth curtains',
    state: 'waiting',
    pattern: 'Weir curtain',
    makes: [['', 2]],
    notes: 'For the fore berth: 68 cm long when they are done.',
    days: 40,
    bag: 'Berth curtains kit',
    needs: [
      [cloth('main', { amount: 2400 }), ['Straw stripe linen herringbone', 2400]],
      [cloth('lining', { amount: 2000 }), ['Moss poplin', 2000]],
      [{ kind: 'notion', part: 'curtain hooks', amount: 24, isThere: true }],
    ],
    steps: [
      ['Cut out', 'cutting', 30],
      ['Side seams and lining', 'sewing', 60],
      ['Heading tape', 'sewing', 30],
      ['Press', 'pressing', 15],
    ],
  },
  {
    name: 'Reel skirt',
    forWhom: 'myself',
    state: 'cut',
    pattern: 'Towpath skirt',
    makes: [['40', 1]],
    due: '2026-10-17',
    notes: 'For the harvest dance. Pockets deep enough for a tin whistle.',
    days: 16,
    bag: 'Reel skirt kit',
    needs: [
      [cloth('main', { amount: 1900, used: 1900 }), ['Tar skirt wool', 0]],
      [{ kind: 'notion', part: 'zip, 20 cm', isThere: true }],
      [cloth('interfacing', { amount: 250, isThere: true })],
    ],
    steps: [
      ['Cut out', 'cutting', 40, true],
      ['Interface the waistband', 'pressing', 15],
      ['Panels and pockets', 'sewing', 60],
      ['Zip and waistband', 'sewing', 45],
      ['Hem', 'handwork', 60],
    ],
  },
  {
    name: 'Four crew smocks',
    forWhom: 'the rowing club',
    state: 'planned',
    pattern: 'Reel smock',
    makes: [
      ['38', 2],
      ['42', 2],
    ],
    due: '2026-11-20',
    notes: 'Two of each size, all from the one bolt.',
    days: 5,
    needs: [
      [cloth('main'), ['Mist oilskin', 4200]],
      [{ kind: 'notion', part: 'toggles', amount: 12, isToGet: true }],
      [{ kind: 'thread', part: 'strong thread, grey', amount: 2 }],
    ],
    steps: [
      ['Cut out all four', 'cutting', 110],
      ['Side seams', 'overlocking', 60],
      ['Sleeves', 'sewing', 120],
      ['Hems and toggles', 'handwork', 140],
    ],
    pieces: [
      ['front', 'main', 4, 580, 720, 'bodice'],
      ['back', 'main', 4, 580, 740, 'bodice'],
      ['sleeve', 'main', 8, 420, 580, 'sleeve'],
      ['hood', 'main', 8, 260, 340],
      ['pocket', 'main', 4, 340, 260, 'turn'],
      ['hem facing', 'main', 8, 560, 60, 'turn'],
    ],
  },
  {
    name: 'Squall bag',
    state: 'planned',
    pattern: 'Squall bag',
    makes: [['', 1]],
    notes: 'Big enough for a wet sail tie.',
    days: 60,
    needs: [[cloth('main', { amount: 1800 }), ['Mist oilskin', 1100]], [{ kind: 'notion', part: 'zip, 60 cm' }]],
    steps: [
      ['Cut out', 'cutting', 20],
      ['Sew', 'sewing', 70],
    ],
  },
  {
    name: 'Sail quilt',
    state: 'idea',
    makes: [],
    notes: 'From sail ends, with the old numbers left on.',
    days: 200,
    bag: 'Sail quilt kit',
    needs: [[cloth('batting'), ['Chalk quilt batting', 1900]], [cloth('backing')]],
    steps: [],
  },
  {
    name: 'Harbour waistcoat',
    state: 'idea',
    makes: [],
    notes: 'The skirt wool was bought for this, two winters ago.',
    days: 620,
    needs: [[cloth('main'), ['Harbour skirt wool', 1200]]],
    steps: [],
  },
];

const row = (size: string, widthMm: number, lengthMm: number, part = ''): ClothNeed => ({
  size,
  widthMm,
  lengthMm,
  part,
});
/** What stands on the envelopes of some patterns. */
const TABLES: Readonly<Record<string, readonly ClothNeed[]>> = {
  'Reel smock': [
    row('38', 1120, 2500),
    row('42', 1120, 2700),
    row('38', 1500, 1750),
    row('42', 1500, 1900),
    row('', 1400, 1300, 'lining'),
  ],
  'Coxswain smock': [row('38', 1120, 2600), row('38', 1500, 1850), row('', 1400, 1600, 'lining')],
  'Towpath skirt': [row('38', 1120, 2100), row('40', 1120, 2200), row('38', 1500, 1500), row('40', 1500, 1600)],
};

/** What a metre of some cloths has cost. */
const COSTS: Readonly<Record<string, number>> = {
  'Mist oilskin': 14.5,
  'Slate linen plain': 11,
  'Straw stripe linen herringbone': 16,
  'Moss poplin': 7.5,
  'Harbour skirt wool': 24,
  'Chalk quilt batting': 8,
};

function toStep([name, station, minutes, done]: Plan['steps'][number], n: number, nowMs: number): Step {
  const base: Step = { id: `s${n}`, name, station, minutes };
  return done ? { ...base, spentMinutes: Math.round(minutes * 1.2), doneAtMs: nowMs } : base;
}

function toPiece(
  [name, part, count, widthMm, heightMm, more]: NonNullable<Plan['pieces']>[number],
  n: number,
): CutPiece {
  const shape = listShapes().find((one) => one.id === more);
  return {
    id: `c${n}`,
    name,
    part,
    count,
    widthMm,
    heightMm,
    ...(more === 'turn' && { mayTurn: true }),
    ...(shape && { outline: shape.draw(widthMm, heightMm) }),
  };
}

/** The household with its projects: their bags, what is promised to them, and what their patterns ask for. */
export function addProjects(household: Household, nowMs: number): Household {
  const items = new Map(household.items);
  const lots = new Map(household.lots);
  const byName = new Map([...items.values()].map((item): [string, Item] => [item.name, item]));
  const longestOf = (name: string): Lot | undefined =>
    [...lots.values()]
      .filter((lot) => lot.itemId === byName.get(name)?.id)
      .toSorted((a, b) => (b.lengthMm ?? 0) - (a.lengthMm ?? 0))[0];
  for (const [name, needs] of Object.entries(TABLES)) {
    const item = byName.get(name);
    if (item?.pattern) items.set(item.id, { ...item, pattern: { ...item.pattern, needs: [...needs] } });
  }
  for (const [name, costPerM] of Object.entries(COSTS)) {
    const item = byName.get(name);
    const lot = longestOf(name);
    if (item && lot?.lengthMm)
      items.set(item.id, {
        ...item,
        cost: Math.round((costPerM * lot.lengthMm) / 100) / 10,
        costFor: lot.lengthMm,
      });
  }
  const spool = [...lots.values()].find((lot) => items.get(lot.itemId)?.thread?.use === 'general');
  if (spool) lots.set(spool.id, { ...spool, isThreaded: true });
  const projects = PLANS.map((plan, at): Project => {
    const id = `p${at + 1}` as ProjectId;
    const atMs = nowMs - plan.days * DAY_MS;
    const pattern = plan.pattern && byName.get(plan.pattern);
    const bag = plan.bag && longestOf(plan.bag);
    const needs = plan.needs.map(([need, promise], n): Need => {
      const needId = `n${n}`;
      const lot = promise && longestOf(promise[0]);
      // Other seeds make other lengths: no more is promised than there is.
      const free = (lot?.lengthMm ?? 0) - (lot?.reserved ?? []).reduce((sum, one) => sum + one.amount, 0);
      const amount = Math.min(promise?.[1] ?? 0, free);
      if (lot && amount > 0) {
        const reserved = [...(lot.reserved ?? []), { id: `${id}-${n}`, projectId: id, needId, note: '', amount }];
        lots.set(lot.id, { ...lot, reserved });
      }
      return { id: needId, ...need, ...(lot && { itemId: lot.itemId }) };
    });
    return {
      id,
      name: plan.name,
      ...(plan.forWhom && { forWhom: plan.forWhom }),
      state: plan.state,
      ...(pattern && { patternItemId: pattern.id }),
      makes: plan.makes.map(([size, count]) => ({ size, count })),
      ...(plan.due && { due: plan.due }),
      notes: plan.notes,
      ...(plan.stopped && { stopped: plan.stopped }),
      needs,
      steps: plan.steps.map((step, n) => toStep(step, n, atMs)),
      ...(plan.pieces && { pieces: plan.pieces.map(toPiece) }),
      ...(bag && { bagLotId: bag.id satisfies LotId }),
      sinceMs: atMs,
    };
  });
  return { ...household, items, lots, projects: new Map(projects.map((project) => [project.id, project])) };
}
