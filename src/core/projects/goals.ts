import { getColourFamily } from '../colour/index.ts';
import { getAmount, getReserved } from '../measure/index.ts';
import type { DaybookEvent, GoalLine, Household, Item, Lot, ScrapGoal } from '../records/index.ts';
import { SELVAGE_MM, STRAIGHTEN_MM, USUAL_SCRAP_SHARE } from './figures.ts';
import { isForQuilts } from './quilt.ts';

/** Sizes nearer than this are the same, mm. */
const SAME_MM = 1;
/** So much of one's own cutting, mm², weighs as much as what is usual. An estimate. */
const USUAL_MM2 = 500_000;
/** Cotton as it is sold, mm wide, where no cloth of the colour tells. */
const USUAL_WIDTH_MM = 1100;

/** What a cloth gives for a line: enough of it, or all that is free. */
interface ClothFor {
  readonly item: Item;
  readonly lot: Lot;
  readonly pieces: number;
  /** Cut off for them, mm. */
  readonly lengthMm: number;
}

/** How a line of a goal stands, in pieces. */
export interface LineStanding {
  readonly line: GoalLine;
  /** Cut already, of that size and colour, and not taken by a line before. */
  readonly have: number;
  /** What odd scraps of the colour would give, by the share of their area that cutting has given so far. */
  readonly fromScraps: number;
  readonly missing: number;
  /** What is missing, cut of cloth as wide as the cloths of this colour are, or as cotton is: mm along. */
  readonly clothMm: number;
  readonly clothWidthMm: number;
  /** Cloths of the colour with something free, such as quilts are made of where there are some; the best first: those that are enough with the least left over, then the largest. */
  readonly cloths: readonly ClothFor[];
}

export interface GoalStanding {
  readonly goal: ScrapGoal;
  readonly lines: readonly LineStanding[];
  readonly have: number;
  readonly wanted: number;
}

/**
 * The share of odd scraps' area that has become squares and strips, by the daybook: of what was cut up, with half of it taken as known
 * for the first half square metre.
 */
export function computeCutShare(events: readonly DaybookEvent[], household: Household): number {
  let [area, made] = [USUAL_MM2, USUAL_SCRAP_SHARE * USUAL_MM2];
  const came = new Map<string, Item>();
  for (const { type, amount, amountUnit, changes } of events) {
    for (const { table, id, before, after } of changes)
      if (table === 'items' && before === undefined && after) came.set(id, after as unknown as Item);
    if ((type !== 'cut' && type !== 'usedUp') || amountUnit !== 'area' || !amount) continue;
    let gained = 0;
    for (const { table, id, before, after } of changes) {
      if (table !== 'lots' || !after) continue;
      const itemId = (after['itemId'] ?? household.lots.get(id as Lot['id'])?.itemId) as Item['id'];
      const item = household.items.get(itemId) ?? came.get(itemId);
      if (!item?.scrap?.cutMm || item.scrap.cut === 'odd') continue;
      const [was, is] = [before?.['count'] ?? 0, after['count'] ?? 0] as [number, number];
      gained += Math.max(0, is - was) * item.scrap.cutMm ** 2 * (item.scrap.cut === 'strip' ? STRIP_TIMES : 1);
    }
    if (gained <= 0) continue;
    area += amount;
    made += Math.min(amount, gained);
  }
  return made / area;
}

/** A strip counts as so many times as long as it is wide, where its length is not known. */
const STRIP_TIMES = 5;

const longOf = ({ cut, sideMm, longMm }: GoalLine): number =>
  cut === 'square' ? sideMm : (longMm ?? STRIP_TIMES * sideMm);

const isColour = (item: Item, { colour }: GoalLine): boolean =>
  colour === undefined || (item.colours[0] !== undefined && getColourFamily(item.colours[0]) === colour);

/** So many pieces side by side across a cloth, and so much of it along for one row of them. */
function fitRow(widthMm: number, line: GoalLine): { perRow: number; rowMm: number } {
  const free = widthMm - 2 * SELVAGE_MM;
  const [side, long] = [line.sideMm, longOf(line)];
  // Strips run across the cloth, one below the other.
  return { perRow: Math.floor(free / long + 1e-9), rowMm: side };
}

function takeCloth(item: Item, lot: Lot, line: GoalLine, missing: number): ClothFor | null {
  const freeMm = Math.max(0, getAmount(item, lot) - getReserved(lot)) - STRAIGHTEN_MM;
  const { perRow, rowMm } = fitRow(Math.min(lot.widthMm ?? Infinity, item.fabric!.widthMm), line);
  const rows = Math.min(Math.floor(freeMm / rowMm + 1e-9), Math.ceil(missing / Math.max(1, perRow)));
  const pieces = Math.min(missing, rows * perRow);
  return pieces > 0 ? { item, lot, pieces, lengthMm: rows * rowMm + STRAIGHTEN_MM } : null;
}

/** What is cut, what there is of odd scraps, and what of each was taken by lines before. */
class Store {
  readonly cut: { item: Item; left: number }[] = [];
  readonly odd: { item: Item; areaMm2: number }[] = [];
  readonly cloths: { item: Item; lot: Lot }[] = [];

  constructor({ items, lots }: Household) {
    for (const lot of lots.values()) {
      const item = items.get(lot.itemId);
      if (!item || lot.state === 'gone' || lot.state === 'lent' || lot.heap) continue;
      const free = Math.max(0, getAmount(item, lot) - getReserved(lot));
      if (item.scrap?.cut === 'odd') this.odd.push({ item, areaMm2: free });
      else if (item.scrap) this.cut.push({ item, left: free });
      else if (item.kind === 'fabric' && item.fabric && !item.care.includes('heirloom'))
        this.cloths.push({ item, lot });
    }
  }

  takeCut(line: GoalLine): number {
    let want = line.count;
    for (const one of this.cut) {
      const { scrap } = one.item;
      if (scrap?.cut !== line.cut || Math.abs((scrap.cutMm ?? 0) - line.sideMm) >= SAME_MM) continue;
      if (!isColour(one.item, line)) continue;
      const taken = Math.min(want, one.left);
      one.left -= taken;
      want -= taken;
    }
    return line.count - want;
  }

  takeOdd(line: GoalLine, want: number, share: number): number {
    const each = (line.sideMm * longOf(line)) / share;
    let got = 0;
    for (const one of this.odd) {
      if (got >= want || !isColour(one.item, line)) continue;
      const pieces = Math.min(want - got, Math.floor(one.areaMm2 / each + 1e-9));
      one.areaMm2 -= pieces * each;
      got += pieces;
    }
    return got;
  }
}

/**
 * How goals stand: lines that name a colour take first, in their order, then those of any colour; no piece counts twice. What is missing
 * is told in cloth.
 */
export function standGoals(household: Household, events: readonly DaybookEvent[]): GoalStanding[] {
  const goals = household.settings.goals ?? [];
  if (goals.length === 0) return [];
  const share = computeCutShare(events, household);
  const store = new Store(household);
  const all = goals.flatMap((goal) => goal.lines.map((line) => ({ goal, line })));
  const inTurn = [...all.filter(({ line }) => line.colour), ...all.filter(({ line }) => !line.colour)];
  const stood = new Map<GoalLine, LineStanding>();
  for (const { line } of inTurn) {
    const have = store.takeCut(line);
    const fromScraps = store.takeOdd(line, line.count - have, share);
    const missing = line.count - have - fromScraps;
    const colour = store.cloths.filter(({ item }) => isColour(item, line));
    const forQuilts = colour.filter(({ item }) => isForQuilts(item));
    const ofColour = forQuilts.length > 0 ? forQuilts : colour;
    const cloths =
      missing === 0
        ? []
        : ofColour
            .flatMap(({ item, lot }) => takeCloth(item, lot, line, missing) ?? [])
            .toSorted(
              (a, b) =>
                b.pieces - a.pieces || getAmount(a.item, a.lot) - getAmount(b.item, b.lot) || a.lengthMm - b.lengthMm,
            );
    const widths = ofColour.map(({ item }) => item.fabric!.widthMm).toSorted((a, b) => a - b);
    const clothWidthMm = widths[Math.floor(widths.length / 2)] ?? USUAL_WIDTH_MM;
    const { perRow, rowMm } = fitRow(clothWidthMm, line);
    const clothMm = missing === 0 ? 0 : Math.ceil(missing / Math.max(1, perRow)) * rowMm + STRAIGHTEN_MM;
    stood.set(line, { line, have, fromScraps, missing, clothMm, clothWidthMm, cloths });
  }
  return goals.map((goal) => {
    const lines = goal.lines.map((line) => stood.get(line)!);
    const sum = (of: (one: LineStanding) => number) => lines.reduce((all2, one) => all2 + of(one), 0);
    return { goal, lines, have: sum((one) => one.have), wanted: sum(({ line }) => line.count) };
  });
}
