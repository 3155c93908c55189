/** How closely the most that a lot can pay is looked for. */
const HALVINGS = 6;

/** What one group costs at least, in seconds a month: the places it might go to, at the prices of the moment. */
export interface GroupProblem {
  /** Uses of each lot, and what it costs without a home. */
  readonly uses: Float64Array;
  readonly homeless: Float64Array;
  /** Seconds to pass one of the kin, halved, by place. */
  readonly halfPass: Float64Array;
  /** As many of the lots as a place could take at all. */
  readonly most: Int32Array;
  /** By lot × place: what the lot costs there at today's prices; Infinity where it may not be. */
  readonly cost: Float64Array;
  /** By lot × place: the share of an empty place that the lot takes. */
  readonly share: Float64Array;
  /** By place: what it costs to be there at all. */
  readonly opening: Float64Array;
}

/**
 * Prices that the lots of a group can pay for their homes without any set of them being able to share a place for less:
 * a feasible dual of choosing sets of lots for places. Their sum is a lower bound on what the group costs, for in any
 * arrangement the lots of every place pay no more than what they cost there.
 */
export class GroupDual {
  /** What each lot pays. */
  readonly pays: Float64Array;
  private readonly gains: Float64Array;
  private readonly wanting: Int32Array;
  private readonly ratios: Float64Array;
  private readonly picked: Int32Array;
  private readonly least: Float64Array;
  private readonly trial: Float64Array;
  private turn = 0;

  constructor(private readonly of: GroupProblem) {
    const n = of.uses.length;
    this.pays = new Float64Array(n);
    this.least = new Float64Array(n);
    this.trial = new Float64Array(n);
    this.gains = new Float64Array(n);
    this.wanting = new Int32Array(n);
    this.ratios = new Float64Array(n);
    this.picked = new Int32Array(n);
  }

  /** Whether some set of lots could save more in a place, beside what they pay, than it costs to be there. */
  private isOverpaid(p: number, pays: Float64Array): boolean {
    const { cost, uses, halfPass, most, opening } = this.of;
    const n = uses.length;
    const places = opening.length;
    const limit = opening[p]! + 1e-9;
    const { gains, wanting } = this;
    let all = 0;
    let wants = 0;
    for (let l = 0; l < n; l += 1) {
      const gain = pays[l]! - cost[l * places + p]!;
      if (gain <= 0) continue;
      all += gain;
      wanting[wants] = l;
      wants += 1;
    }
    // Nearly always not even all of them together.
    if (all <= limit) return false;
    const last = Math.min(most[p]!, wants);
    for (let k = 1; k <= last; k += 1) {
      const pass = halfPass[p]! * (k - 1);
      let count = 0;
      let sum = 0;
      // The k largest, kept in order.
      for (let i = 0; i < wants; i += 1) {
        const l = wanting[i]!;
        const gain = pays[l]! - cost[l * places + p]! - pass * uses[l]!;
        if (gain <= 0 || (count === k && gain <= gains[k - 1]!)) continue;
        let at = count < k ? count : k - 1;
        if (count < k) count += 1;
        else sum -= gains[k - 1]!;
        while (at > 0 && gains[at - 1]! < gain) {
          gains[at] = gains[at - 1]!;
          at -= 1;
        }
        gains[at] = gain;
        sum += gain;
      }
      if (sum > limit && this.fillUp(p, pays, pass) > limit) return true;
      // With fewer than k that gain anything, more of them only pass each other more.
      if (count < k) break;
    }
    return false;
  }

  /** What could be gained at most by what goes into a place: the most for its room first, the last one in part. */
  private fillUp(p: number, pays: Float64Array, pass: number): number {
    const { cost, uses, share, opening } = this.of;
    const places = opening.length;
    const { ratios, picked } = this;
    let count = 0;
    let all = 0;
    let sum = 0;
    for (let l = 0; l < uses.length; l += 1) {
      const at = l * places + p;
      const gain = pays[l]! - cost[at]! - pass * uses[l]!;
      if (gain <= 0) continue;
      // What takes no room is gained whatever else comes.
      if (share[at] === 0) {
        sum += gain;
        continue;
      }
      all += share[at]!;
      const ratio = gain / share[at]!;
      let i = count;
      while (i > 0 && ratios[i - 1]! < ratio) {
        ratios[i] = ratios[i - 1]!;
        picked[i] = picked[i - 1]!;
        i -= 1;
      }
      ratios[i] = ratio;
      picked[i] = at;
      count += 1;
    }
    if (all <= 1) return Infinity;
    let room = 1;
    for (let i = 0; i < count && room > 0; i += 1) {
      const taken = Math.min(room, share[picked[i]!]!);
      sum += ratios[i]! * taken;
      room -= taken;
    }
    return sum;
  }

  /** Whether the lots of no place are overpaid. */
  private isFeasible(pays: Float64Array): boolean {
    for (let p = 0; p < this.of.opening.length; p += 1) if (this.isOverpaid(p, pays)) return false;
    return true;
  }

  /**
   * Finds payments at the present costs, from those of the last time on, and returns their sum. `sweeps` is how often
   * every lot is asked to pay more.
   */
  raise(sweeps: number): number {
    const { of, pays, least, trial } = this;
    const n = of.uses.length;
    const places = of.opening.length;
    // What it costs where it is cheapest can always be paid.
    for (let l = 0; l < n; l += 1) {
      let low = of.homeless[l]!;
      for (let p = 0; p < places; p += 1) low = Math.min(low, of.cost[l * places + p]!);
      least[l] = low;
      pays[l] = Math.min(of.homeless[l]!, Math.max(low, pays[l]!));
    }
    // From the sure ones towards the last ones, as far as one gets.
    let [low, high] = [0, 1];
    const mix = (share: number) => {
      for (let l = 0; l < n; l += 1) trial[l] = least[l]! + share * (pays[l]! - least[l]!);
      return this.isFeasible(trial);
    };
    if (!mix(1)) {
      for (let i = 0; i < 12; i += 1) {
        const mid = (low + high) / 2;
        if (mix(mid)) low = mid;
        else high = mid;
      }
      mix(low);
      // Crumbs of rounding are left on the safe side.
      pays.set(trial);
    }
    // A little more from each in turn, then as much as they can: what a place may charge is shared by those who want it.
    const opening = of.opening.reduce((sum, one) => sum + one, 0) / Math.max(1, places);
    for (let sweep = 0; sweep < sweeps; sweep += 1) {
      const most = sweep === sweeps - 1 ? Infinity : (opening * 2 ** sweep) / n;
      for (let i = 0; i < n; i += 1) this.raiseOne((i + this.turn) % n, most);
      this.turn += 1;
    }
    return pays.reduce((sum, one) => sum + one, 0);
  }

  /** Lets one lot pay as much as it can, the others as they do. */
  private raiseOne(lot: number, most: number): void {
    const { of, pays } = this;
    const places = of.opening.length;
    const now = pays[lot]!;
    let high = Math.min(of.homeless[lot]!, now + most);
    // Beyond the charges of a place of its own nothing is gained.
    for (let p = 0; p < places; p += 1) high = Math.min(high, of.cost[lot * places + p]! + of.opening[p]!);
    for (let p = 0; p < places && high > now + 1e-6; p += 1) {
      if (high <= of.cost[lot * places + p]!) continue;
      pays[lot] = high;
      if (!this.isOverpaid(p, pays)) continue;
      // What is possible in this place is possible below it: each place only lowers the most.
      let low = Math.max(now, of.cost[lot * places + p]!);
      for (let i = 0; i < HALVINGS; i += 1) {
        const mid = (low + high) / 2;
        pays[lot] = mid;
        if (this.isOverpaid(p, pays)) high = mid;
        else low = mid;
      }
      high = low;
    }
    pays[lot] = Math.max(now, high);
  }
}
