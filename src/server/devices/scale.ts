import type { World } from '../../core/records/index.ts';
import type { Random } from '../../core/random/index.ts';

/** One reading, as a bench scale shows it. */
export interface ScaleReading {
  readonly grams: number;
  /** The pointer has come to rest. */
  readonly isStable: boolean;
  /** It shows steps of this, g. */
  readonly resolutionG: number;
  readonly isOverloaded: boolean;
}

const RESOLUTION_G = 0.5;
const MOST_G = 5000;
/** After this many ms a change of load has died down to a third. */
const SETTLE_MS = 300;

/**
 * A made-up bench scale. What is put on it comes to rest within a second or so, with the small unrest of a
 * kitchen table. Clock and randomness are passed in.
 */
export class BenchScale {
  private fromG = 0;
  private toG = 0;
  private sinceMs = -Infinity;
  private tareG = 0;

  constructor(
    private readonly nowMs: World['nowMs'],
    private readonly random: Random,
  ) {}

  /** Puts so many grams on the bare scale. */
  put(grams: number): void {
    this.fromG = this.getTrueG();
    this.toG = Math.max(0, grams);
    this.sinceMs = this.nowMs();
  }

  /** Shows nothing from here on, whatever is on it. */
  tare(): void {
    this.tareG = this.toG;
  }

  read(): ScaleReading {
    // At rest once what is left of the swing is less than the scale can show.
    const isStable = Math.abs(this.getTrueG() - this.toG) < RESOLUTION_G / 4;
    const unrest = isStable ? 0 : (this.random() - 0.5) * 2;
    const shown = (isStable ? this.toG : this.getTrueG() + unrest) - this.tareG;
    return {
      grams: Math.round(shown / RESOLUTION_G) * RESOLUTION_G || 0,
      isStable,
      resolutionG: RESOLUTION_G,
      isOverloaded: this.toG > MOST_G,
    };
  }

  private getTrueG(): number {
    const share = Math.exp(-(this.nowMs() - this.sinceMs) / SETTLE_MS);
    return this.toG + (this.fromG - this.toG) * (Number.isFinite(share) ? share : 0);
  }
}
