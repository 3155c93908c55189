import type { Random } from '../../core/random/index.ts';
import type { State } from '../score/index.ts';
import { MoveMaker } from './moves.ts';

/**
 * How warm a round begins and how cold it ends, as shares of what a lot costs on the average. Begun cooler, groups
 * stay in the places where the first arrangement had them.
 */
const HEAT = 3;
const COLD = 0.03;
/** A search for few moves starts from how things are, and does not scatter them first. */
const HOMING_HEAT = 0.1;
const HOMING_COLD = 0.0003;

/**
 * Where the end is known, the rounds after the first take these shares of the steps that are left then: one long round,
 * and before it, where there is time for so many first rounds, one that shows soon how good it will be.
 */
const SHARES = [0.9];
const LONG_SHARES = [0.15, 0.88];
const LONG = 60;
const LUKEWARM = 0.3;

/** Steps of the first round, a lot; each further round has twice as many, up to so many times. */
const FIRST_ROUND = 120;
const LEAST_ROUND = 4000;
const MOST_FIRST = 400_000;
/** Steps a lot that a round must have to begin as hot as can be. */
const SETTLING = 400;
const MOST_DOUBLINGS = 9;

/**
 * Simulated annealing over an arrangement, round after round, each cooling from hot to cold and twice as long as the
 * one before. Temperatures depend on the step alone, so the same seed and steps give the same end.
 */
export class Annealer {
  steps = 0;
  readonly best: Int32Array;
  bestPrice: number;
  private readonly mover: MoveMaker;
  private round = 0;
  private roundStart = 0;
  private roundEnd = 0;
  private readonly usual: number;
  private horizon = 0;
  private heat = HEAT;

  constructor(
    private readonly state: State,
    random: Random,
    private readonly isHoming = false,
  ) {
    this.mover = new MoveMaker(state, random, isHoming);
    this.best = state.option.slice();
    this.bestPrice = state.price;
    this.usual = state.seconds / Math.max(1, state.facts.lots.length);
    this.beginRound();
  }

  /**
   * Says how many steps will be taken in all. The rounds are then as long as that allows, for one long cooling finds
   * more than several short ones.
   */
  expect(steps: number): void {
    this.horizon = steps;
  }

  /** Feasible moves that were priced. */
  get evaluated(): number {
    return this.state.priced;
  }

  /** Between rounds there is a pause for packing. */
  get isRoundOver(): boolean {
    return this.steps >= this.roundEnd;
  }

  /** Begins the next round from the best arrangement, which may have been mended meanwhile. */
  startRound(from: Int32Array | null): void {
    if (from) {
      this.state.load(from);
      this.best.set(from);
      this.bestPrice = this.state.price;
    } else this.state.load(this.best);
    this.mover.rebuild();
    this.beginRound();
  }

  private beginRound(): void {
    const lots = Math.max(1, this.state.facts.lots.length);
    const first = Math.min(MOST_FIRST, Math.max(LEAST_ROUND, FIRST_ROUND * lots));
    let isLast = false;
    let length = first * 2 ** Math.min(MOST_DOUBLINGS, this.round);
    this.heat = HOMING_HEAT / Math.sqrt(this.round + 1);
    if (this.horizon > 0) {
      const share = (this.horizon > LONG * first ? LONG_SHARES : SHARES)[this.round - 1];
      // What packing had to mend after the long rounds is smoothed by short, lukewarm ones.
      if (share !== undefined) length = Math.max(first, share * (this.horizon - this.steps));
      else {
        length = first;
        isLast = true;
      }
    }
    length = Math.round(length);
    // What was scattered hot must have the time to settle again.
    if (!this.isHoming) this.heat = Math.min(isLast ? LUKEWARM : HEAT, (HEAT * length) / lots / SETTLING);
    this.roundStart = this.steps;
    this.roundEnd = this.steps + length;
    this.round += 1;
  }

  /** Takes up to `count` steps, not beyond the end of the round. */
  advance(count: number): void {
    const { mover, state } = this;
    const until = Math.min(this.roundEnd, this.steps + count);
    if (state.facts.lots.length === 0 || state.facts.places.length === 0) {
      this.steps = until;
      return;
    }
    const hot = Math.max(0.05, this.usual * this.heat);
    const cold = this.usual * (this.isHoming ? HOMING_COLD : COLD);
    const cooling = Math.min(1, cold / hot);
    for (; this.steps < until; this.steps += 1) {
      if ((this.steps & 63) === 0) {
        const progress = (this.steps - this.roundStart) / (this.roundEnd - this.roundStart);
        mover.temperature = hot * cooling ** progress;
      }
      if (!mover.step() || state.price >= this.bestPrice - 1e-6) continue;
      this.bestPrice = state.price;
      for (const lot of mover.strayed) this.best[lot] = state.option[lot]!;
      mover.forgetStrayed();
    }
  }
}
