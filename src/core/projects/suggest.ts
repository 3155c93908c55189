import { computeDeltaE, getLab } from '../colour/index.ts';
import { getAmount } from '../measure/index.ts';
import { getFreeFor } from '../promises/index.ts';
import type { FabricSpec, Item, Lot, Need, Project } from '../records/index.ts';
import { toTable } from '../words/index.ts';
import { findForGarment } from './figures.ts';
import { computeClothNeed, type ClothNeeded, type NeedFound } from './need.ts';
import { STRETCHES_FROM } from './quilt.ts';
import { createThreadMatch } from './shopping.ts';
import type { ProjectFacts } from './standing.ts';

/** What speaks against a cloth. */
export type Against =
  | { readonly code: 'short'; readonly byMm: number }
  | { readonly code: 'promised'; readonly mm: number }
  | { readonly code: 'too-narrow'; readonly widestMm: number }
  | { readonly code: 'too-light' | 'too-heavy'; readonly gsm: number }
  | { readonly code: 'stretches' | 'does-not-stretch' | 'too-stiff' | 'too-limp' }
  | { readonly code: 'unwashed' }
  | { readonly code: 'heirloom' }
  | { readonly code: 'no-thread' }
  | { readonly code: 'off-colour'; readonly of: string };

/** A length of cloth that might do, with what would be left of it. */
export interface Suggested {
  readonly lot: Lot;
  readonly item: Item;
  readonly needed: ClothNeeded | null;
  /** Free of it, with what this project holds already; mm. */
  readonly freeMm: number;
  readonly restMm: number;
  readonly against: readonly Against[];
  /** Less is better. */
  readonly cost: number;
}

interface Suits {
  readonly fromGsm: number;
  readonly toGsm: number;
  readonly stretch?: boolean;
  /** How it may fall, at the least and at the most: see `DRAPE`. Absent: as it likes. */
  readonly drape?: readonly [least: number, most: number];
}

/** How cloth falls, from what flows (0) over what is soft (1) and crisp (2) to what stands by itself (3). Estimates of ours. */
const DRAPE = toTable<number>({
  chiffon: 0,
  satin: 0,
  jersey: 0,
  suiting: 1,
  flannel: 1,
  fleece: 1,
  longPile: 1,
  ponte: 1,
  sweatshirting: 1,
  poplin: 2,
  linen: 2,
  corduroy: 2,
  denim10: 2,
  ripstop: 2,
  coating: 2,
  denim14: 3,
  canvas: 3,
  waxed: 3,
  vinyl: 3,
});
/** Viscose and silk flow whatever they are woven like. */
const FLOWING: ReadonlySet<string> = new Set(['viscose', 'silk']);

function getDrape({ cloth, fibre }: FabricSpec): number | null {
  const drape = DRAPE[cloth];
  return drape === undefined ? null : FLOWING.has(fibre) ? Math.min(drape, 0) : drape;
}

/** The weight of cloth that a garment is mostly made of, g/m². Estimates of ours. */
const SUITS = toTable<Suits>({
  apron: { fromGsm: 150, toGsm: 420, drape: [1, 3] },
  bag: { fromGsm: 180, toGsm: 700, drape: [2, 3] },
  blouse: { fromGsm: 50, toGsm: 180, drape: [0, 2] },
  cap: { fromGsm: 120, toGsm: 450, drape: [1, 3] },
  coat: { fromGsm: 250, toGsm: 750, drape: [1, 3] },
  curtain: { fromGsm: 100, toGsm: 450, drape: [0, 2] },
  cushion: { fromGsm: 110, toGsm: 500 },
  dress: { fromGsm: 70, toGsm: 260, drape: [0, 2] },
  hoodie: { fromGsm: 200, toGsm: 420, stretch: true },
  jacket: { fromGsm: 180, toGsm: 600, drape: [1, 3] },
  leggings: { fromGsm: 150, toGsm: 340, stretch: true, drape: [0, 1] },
  pyjamas: { fromGsm: 90, toGsm: 220, drape: [0, 2] },
  quilt: { fromGsm: 100, toGsm: 190, stretch: false },
  shirt: { fromGsm: 70, toGsm: 190, drape: [0, 2] },
  shorts: { fromGsm: 130, toGsm: 380, drape: [1, 3] },
  skirt: { fromGsm: 90, toGsm: 400 },
  smock: { fromGsm: 100, toGsm: 420, drape: [1, 3] },
  tee: { fromGsm: 120, toGsm: 240, stretch: true, drape: [0, 1] },
  trousers: { fromGsm: 150, toGsm: 480, drape: [1, 3] },
  waistcoat: { fromGsm: 150, toGsm: 420, drape: [1, 3] },
});
const LININGS: Suits = { fromGsm: 40, toGsm: 150, drape: [0, 2] };
const KNITS: ReadonlySet<string> = new Set(['jersey', 'ponte', 'sweatshirting']);

/** What each thing that speaks against a cloth weighs; more than one length short outweighs all. Estimates of ours. */
const COST = {
  narrow: 10,
  short: 4,
  promised: 1,
  weight: 1.5,
  stretch: 2,
  drape: 1,
  unwashed: 0.2,
  heirloom: 2,
  restPerM: 0.05,
  perDeltaE: 0.02,
};

function getSuits(garment: string, part: string): Suits | null {
  if (part === 'lining') return LININGS;
  if (part !== 'main' && part !== 'contrast') return null;
  return findForGarment(SUITS, garment);
}

/** Cloth classes that only do for one part, and parts that only they do for. */
const OWN_PART = toTable<string>({ interfacing: 'interfacing', batting: 'batting' });

/**
 * Which lengths of cloth would do for a need, the best first, each with what speaks against it and what would be left. Cloth
 * that is interfacing or batting is only asked for that. `most`: so many are told.
 */
export function suggestCloths(facts: ProjectFacts, project: Project, need: Need, most = 12): Suggested[] {
  const { household } = facts;
  const pattern = (project.patternItemId && household.items.get(project.patternItemId)) || undefined;
  const part = need.part.trim().toLowerCase();
  const found: Suggested[] = [];
  for (const [itemId, lots] of facts.lotsOf) {
    const item = household.items.get(itemId as Item['id']);
    const fabric = item?.fabric;
    if (!item || item.kind !== 'fabric' || !fabric) continue;
    if ((OWN_PART[fabric.cloth] ?? '') !== (OWN_PART[part] ?? '')) continue;
    // Lots of one cloth differ only in how much there is, and whether it was washed.
    const needOf = new Map<boolean, NeedFound>();
    for (const lot of lots) {
      if (lot.heap || lot.state === 'digital' || lot.lengthMm === undefined) continue;
      const isWashed = lot.isWashed ?? false;
      const known = needOf.get(isWashed) ?? computeClothNeed(project, need, pattern, { fabric, isWashed });
      needOf.set(isWashed, known);
      found.push(judgeCloth(project, need, pattern, item, lot, known));
    }
  }
  const main = part === 'lining' ? findMainCloth(facts, project) : null;
  const matched = main ? found.map((one) => matchColour(one, main)) : found;
  const best = matched.toSorted((a, b) => a.cost - b.cost || a.restMm - b.restMm).slice(0, most);
  return part === 'main' || part === 'contrast' ? matchThread(facts, best) : best;
}

/** What the main cloth of a project is to be, where that is settled. */
function findMainCloth({ promisedOf, household }: ProjectFacts, project: Project): Item | null {
  const need = project.needs.find((one) => one.kind === 'fabric' && one.part.trim().toLowerCase() === 'main');
  if (!need) return null;
  const promised = (promisedOf.get(project.id) ?? []).find(({ promise }) => promise.needId === need.id);
  return promised?.item ?? (need.itemId && household.items.get(need.itemId)) ?? null;
}

/** A lining further than this from its main cloth shows. ΔE00; an estimate. */
const OFF_COLOUR = 30;

/** A lining goes with its main cloth: the nearer its colour, the better. */
function matchColour(one: Suggested, main: Item): Suggested {
  const [a, b] = [getLab(one.item), getLab(main)];
  if (!a || !b) return one;
  const deltaE = computeDeltaE(a, b);
  const against: Against[] = deltaE > OFF_COLOUR ? [{ code: 'off-colour', of: main.name }] : [];
  return { ...one, cost: one.cost + deltaE * COST.perDeltaE, against: [...one.against, ...against] };
}

/** Of each it is said where no thread at home goes with it. */
function matchThread(facts: ProjectFacts, some: readonly Suggested[]): Suggested[] {
  const isMatched = createThreadMatch(facts);
  return some.map((one) =>
    one.item.colours.length === 0 || isMatched(one.item)
      ? one
      : { ...one, against: [...one.against, { code: 'no-thread' }] },
  );
}

/** What speaks for and against a length of cloth for a need of a project. */
export function judgeCloth(
  project: Project,
  need: Need,
  pattern: Item | undefined,
  item: Item,
  lot: Lot,
  found: NeedFound,
): Suggested {
  const suits = getSuits(pattern?.pattern?.garment || project.name, need.part.trim().toLowerCase());
  const fabric = item.fabric!;
  const freeMm = getFreeFor(item, lot, project.id);
  const promisedMm = getAmount(item, lot) - freeMm;
  const needed = found.ok ? found.value : null;
  const wantedMm = (needed?.lengthMm ?? need.amount ?? 0) - (need.used ?? 0);
  const against: Against[] = [];
  let cost = 0;
  const add = (one: Against, price: number) => {
    against.push(one);
    cost += price;
  };
  if (!found.ok && found.fault.code === 'too-narrow')
    add({ code: 'too-narrow', widestMm: found.fault.widestMm }, COST.narrow);
  if (wantedMm > freeMm + 0.5) {
    const share = (wantedMm - freeMm) / Math.max(1, wantedMm);
    // There would be enough, were it not for others.
    if (wantedMm <= freeMm + promisedMm + 0.5) add({ code: 'promised', mm: promisedMm }, COST.promised);
    else add({ code: 'short', byMm: wantedMm - freeMm }, COST.short * (0.25 + share));
  }
  if (suits && fabric.grammageGsm < suits.fromGsm * 0.9)
    add({ code: 'too-light', gsm: fabric.grammageGsm }, COST.weight * (suits.fromGsm / fabric.grammageGsm));
  if (suits && fabric.grammageGsm > suits.toGsm * 1.1)
    add({ code: 'too-heavy', gsm: fabric.grammageGsm }, COST.weight * (fabric.grammageGsm / suits.toGsm));
  const isStretchy = (fabric.stretchPercent ?? 0) >= STRETCHES_FROM || KNITS.has(fabric.cloth);
  if (suits?.stretch === true && !isStretchy) add({ code: 'does-not-stretch' }, COST.stretch);
  if (suits && suits.stretch !== true && isStretchy) add({ code: 'stretches' }, COST.stretch);
  const drape = getDrape(fabric);
  if (suits?.drape && drape !== null && drape > suits.drape[1]) add({ code: 'too-stiff' }, COST.drape);
  if (suits?.drape && drape !== null && drape < suits.drape[0]) add({ code: 'too-limp' }, COST.drape);
  if (item.care.includes('heirloom')) add({ code: 'heirloom' }, COST.heirloom);
  if (lot.isWashed === false) add({ code: 'unwashed' }, COST.unwashed);
  const restMm = Math.max(0, freeMm - wantedMm);
  // Of two that do, the one of which less is left over.
  return { lot, item, needed, freeMm, restMm, against, cost: cost + (restMm / 1000) * COST.restPerM };
}
