import loadHighs from 'highs';
import { OPENED_SHARE } from '../src/core/sense/index.ts';
import { getOptionPackage, getPlaceOf, getShare, listOptions, type Facts } from '../src/solver/model/index.ts';
import { scoreCompany, scoreNaming, UNPLACED_PRICE } from '../src/solver/score/index.ts';

/** So many tangents stand in for the parabola of crowding. */
const TANGENTS = 12;

const terms = (list: readonly (readonly [number, string])[]) =>
  list.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ');

/** Long rows are broken, for the format allows no line of any length. */
function wrapRow(row: string): string {
  return row.replace(/(.{1,400})(?= [+-] |$)/g, '$1\n ');
}

const FREE = -2;

export interface Exact {
  /** Option of each lot, -1 for none. */
  readonly options: Int32Array;
  readonly status: string;
  /** Proven: no arrangement's price is lower. */
  readonly bound: number;
}

/**
 * The whole score as a mixed-integer programme in the LP format: exact for instances without piles, hooks and
 * cautions, but for the parabola of crowding, whose tangents lie under it. With `countsOnly`, only lots without a home
 * are counted, by their weight. With `fixed`, lots stay in their option there, or without one (-1), but for those that are
 * free (`FREE`).
 */
function writeProgramme(facts: Facts, countsOnly = false, fixed: Int32Array | null = null): string {
  const { settings, places, groups } = facts;
  const { estimates, fillTarget } = settings;
  const n = facts.lots.length;
  const objective: [number, string][] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const loads: [number, string][][] = places.map(() => []);
  const fills: [number, string][][] = places.map(() => []);
  const unitLoads: [number, string][][] = Array.from({ length: facts.unitCount }, () => []);
  /** By group, by place: the lots' variables. */
  const inside: Map<number, string[]>[] = groups.map(() => new Map());
  const passing: { l: number; p: number; sum: string[] }[] = [];
  for (let l = 0; l < n; l += 1) {
    const g = facts.groupOf[l]!;
    const mine: string[] = [`z${l}`];
    binaries.push(`z${l}`);
    objective.push([
      countsOnly ? facts.weight[l]! : UNPLACED_PRICE * facts.weight[l]! + facts.uses[l]! * estimates.homelessSeconds,
      `z${l}`,
    ]);
    const byPlace = new Map<number, string[]>();
    for (const option of fixed && fixed[l] !== FREE ? [fixed[l]!].filter((one) => one >= 0) : listBest(facts, l)) {
      const name = `x${l}_${option}`;
      const p = getPlaceOf(facts, option);
      const pkg = getOptionPackage(facts, l, option);
      const offered = facts.describe(l, p, pkg)!;
      mine.push(name);
      binaries.push(name);
      if (!countsOnly)
        objective.push([
          offered.fetching +
            offered.moving +
            offered.wear +
            offered.rent +
            offered.holding +
            facts.uses[l]! * estimates.findSeconds,
          name,
        ]);
      fills[p]!.push([offered.share, name]);
      loads[p]!.push([pkg.massG, name]);
      unitLoads[places[p]!.unit]!.push([pkg.massG, name]);
      byPlace.set(p, [...(byPlace.get(p) ?? []), name]);
    }
    rows.push(`${terms(mine.map((name) => [1, name]))} = 1`);
    for (const [p, names] of byPlace) {
      inside[g]!.set(p, [...(inside[g]!.get(p) ?? []), ...names]);
      passing.push({ l, p, sum: names });
    }
  }
  for (const [p, { traits, unit }] of places.entries()) {
    if (fills[p]!.length === 0) continue;
    rows.push(`${terms(fills[p]!)} <= 1`);
    if (loads[p]!.reduce((sum, [g]) => sum + g, 0) > traits.loadG) rows.push(`${terms(loads[p]!)} <= ${traits.loadG}`);
    if (facts.unitLoadG[unit]! < Infinity) throw new Error('units of an instance carry everything');
  }
  if (!countsOnly) {
    for (const [p] of places.entries()) {
      if (fills[p]!.length === 0) continue;
      objective.push([1, `c${p}`]);
      const factor = estimates.crowdSeconds / Math.max(0.01, 1 - fillTarget) ** 2;
      for (let k = 0; k < TANGENTS; k += 1) {
        const over = ((k + 0.5) / TANGENTS) * (1 - fillTarget);
        // c ≥ factor × (2 × over × (fill - target) - over²)
        const slope = 2 * factor * over;
        rows.push(
          `c${p} ${terms(fills[p]!.map(([share, name]) => [-slope * share, name]))} >= ${-slope * fillTarget - factor * over * over}`,
        );
      }
      // Two groups that are both in a place pay for each other's company.
      const here = groups.flatMap((_, g) => (inside[g]!.has(p) ? [g] : []));
      objective.push([OPENED_SHARE * places[p]!.worth * estimates.rentSeconds, `o${p}`]);
      for (const g of here) objective.push([scoreNaming(facts, p, g), `y${g}_${p}`]);
      for (const g of here) rows.push(`o${p} - y${g}_${p} >= 0`);
      for (const [i, a] of here.entries())
        for (const b of here.slice(i + 1)) {
          const seconds = scoreCompany(facts, p, [a, b]);
          if (seconds === 0) continue;
          const m = `m${p}_${a}_${b}`;
          objective.push([seconds, m]);
          rows.push(`${m} - y${a}_${p} - y${b}_${p} >= -1`);
        }
    }
    for (const [g] of groups.entries()) {
      const half = facts.groupUses[g]! / 2;
      const units = new Map<number, string[]>();
      const rooms = new Map<number, string[]>();
      for (const [p, names] of inside[g]!) {
        const y = `y${g}_${p}`;
        binaries.push(y);
        objective.push([half * estimates.splitPlaceSeconds + estimates.furtherPlaceSeconds, y]);
        for (const name of names) rows.push(`${y} - ${name} >= 0`);
        units.set(places[p]!.unit, [...(units.get(places[p]!.unit) ?? []), y]);
        rooms.set(places[p]!.room, [...(rooms.get(places[p]!.room) ?? []), y]);
      }
      // Of a group that is anywhere, the first place, unit and room are free.
      const some = `a${g}`;
      objective.push([
        -half * (estimates.splitPlaceSeconds + estimates.splitUnitSeconds + estimates.splitRoomSeconds) -
          (estimates.furtherPlaceSeconds + estimates.furtherUnitSeconds + estimates.furtherRoomSeconds),
        some,
      ]);
      rows.push(`${some} <= 1`, `${some} ${terms([...units.values()].flat().map((y) => [-1, y]))} <= 0`);
      for (const [kind, seconds, map] of [
        ['v', half * estimates.splitUnitSeconds + estimates.furtherUnitSeconds, units],
        ['r', half * estimates.splitRoomSeconds + estimates.furtherRoomSeconds, rooms],
      ] as const)
        for (const [i, ys] of map) {
          objective.push([seconds, `${kind}${g}_${i}`]);
          for (const y of ys) rows.push(`${kind}${g}_${i} - ${y} >= 0`);
        }
    }
    // By the number of kin in a place, at least the least used of them pass each other: implied, but a tighter bound.
    for (const [g] of groups.entries()) {
      const members = facts.lots.flatMap((_, l) => (facts.groupOf[l] === g ? [l] : []));
      const uses = members.map((l) => facts.uses[l]!).toSorted((a, b) => a - b);
      for (const [p, names] of inside[g]!) {
        const most = countMost(facts, members, p);
        const half = places[p]!.passSeconds / 2;
        const counts: [number, string][] = [];
        const costs: [number, string][] = [];
        let least = 0;
        for (let k = 1; k <= most; k += 1) {
          least += uses[k - 1]!;
          const q = `q${g}_${p}_${k}`;
          binaries.push(q);
          counts.push([k, q]);
          costs.push([-half * (k - 1) * least, q]);
        }
        rows.push(`${terms(counts.map(([, q]) => [1, q]))} - y${g}_${p} = 0`);
        rows.push(`${terms(counts)} ${terms(names.map((name) => [-1, name]))} = 0`);
        const passed = passing
          .filter((one) => one.p === p && facts.groupOf[one.l] === g)
          .map((one) => `t${one.l}_${p}`);
        rows.push(`${terms(passed.map((t) => [1, t]))} ${terms(costs)} >= 0`);
      }
    }
    // Kin and other groups that are passed: counted for a lot only where it is.
    for (const { l, p, sum } of passing) {
      const g = facts.groupOf[l]!;
      const u = facts.uses[l]!;
      const half = (u * places[p]!.passSeconds) / 2;
      const kin = inside[g]!.get(p)!;
      const others = groups.flatMap((_, h) => (inside[h]!.has(p) ? [`y${h}_${p}`] : []));
      const most = countMost(
        facts,
        facts.lots.flatMap((_, j) => (facts.groupOf[j] === g ? [j] : [])),
        p,
      );
      const big = half * Math.max(0, most - 1) + u * estimates.passGroupSeconds * (others.length - 1);
      const t = `t${l}_${p}`;
      objective.push([1, t]);
      rows.push(
        `${t} ${terms(kin.map((name) => [-half, name]))} ${terms(others.map((y) => [-u * estimates.passGroupSeconds, y]))} ${terms(sum.map((name) => [-big, name]))} >= ${-half - u * estimates.passGroupSeconds - big}`,
      );
    }
  }
  return [
    'Minimize',
    wrapRow(` obj: ${terms(objective)}`),
    'Subject To',
    ...rows.map((row, i) => wrapRow(` r${i}: ${row}`)),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n');
}

/** Of the ways to keep a lot in a place that cost the same there, the one that takes least. */
function listBest(facts: Facts, lot: number): number[] {
  const best = new Map<number, number>();
  for (const option of listOptions(facts, lot)) {
    const p = getPlaceOf(facts, option);
    const known = best.get(p);
    if (known === undefined || getShare(facts, option) < getShare(facts, known)) best.set(p, option);
  }
  return [...best.values()];
}

function sharesOf(facts: Facts, lot: number, place: number): number[] {
  const shares = [Infinity];
  for (let w = facts.wayStart[lot]!; w < facts.wayStart[lot + 1]!; w += 1)
    shares.push(facts.shares[w * facts.spaceCount + facts.spaceOf[place]!]!);
  return shares;
}

/** As many of these lots as could be in a place at all. */
function countMost(facts: Facts, lots: readonly number[], p: number): number {
  const shares = lots
    .map((l) => Math.min(...sharesOf(facts, l, p)))
    .filter((share) => share < Infinity)
    .toSorted((a, b) => a - b);
  let [most, fill] = [0, 0];
  for (const share of shares) if ((fill += share) <= 1 + 1e-9) most += 1;
  return most;
}

/** Solves a programme within so many seconds. */
export async function solveExactly(
  facts: Facts,
  seconds: number,
  countsOnly = false,
  fixed: Int32Array | null = null,
): Promise<Exact> {
  const highs = await loadHighs();
  const solution = highs.solve(writeProgramme(facts, countsOnly, fixed), {
    time_limit: seconds,
    mip_rel_gap: 0,
    mip_abs_gap: 1e-3,
    output_flag: false,
  }) as unknown as { Status: string; ObjectiveValue: number; Columns: Record<string, { Primal?: number }> };
  const options = new Int32Array(facts.lots.length).fill(-1);
  for (const [name, { Primal }] of Object.entries(solution.Columns)) {
    const match = /^x(\d+)_(\d+)$/.exec(name);
    if (match && (Primal ?? 0) > 0.5) options[Number(match[1])] = Number(match[2]);
  }
  return { options, status: solution.Status, bound: solution.ObjectiveValue };
}

/** So long one part is solved, at most. */
const PART_SECONDS = 6;

/**
 * The programme in its best form as a peer: from a start on, two groups at a time are set free and placed exactly among all
 * others, whichever is better is kept, until the time is over. `priceOf` prices an arrangement by the search's own score.
 */
export async function improveExactly(
  facts: Facts,
  start: Int32Array,
  seconds: number,
  random: () => number,
  priceOf: (options: Int32Array) => number,
): Promise<{ readonly options: Int32Array; readonly parts: number }> {
  const until = performance.now() + 1000 * seconds;
  let best = start;
  let price = priceOf(start);
  let parts = 0;
  while (performance.now() < until) {
    const pair = [0, 1].map(() => Math.floor(random() * facts.groups.length));
    const fixed = best.map((option, l) => (pair.includes(facts.groupOf[l]!) ? FREE : option));
    const left = (until - performance.now()) / 1000;
    const { options } = await solveExactly(facts, Math.min(PART_SECONDS, Math.max(1, left)), false, fixed);
    parts += 1;
    const next = priceOf(options);
    if (next >= price) continue;
    best = options;
    price = next;
  }
  return { options: best, parts };
}
