import { getCompanySeconds, KINSHIPS } from '../../core/sense/index.ts';
import type { Facts } from '../model/index.ts';

/**
 * What the groups of each place cost each other, seconds a month, kept so that a group that comes or goes is priced in
 * constant time: by place × group, what all groups in the place are to that group, and what names there say against it. A
 * change takes time by their number.
 */
export class Company {
  private readonly groupCount: number;
  /** By group × group: seconds that both in one place cost; by place: how much of it is left there. */
  private readonly kinPrice: Float64Array;
  private readonly mingling: Float64Array;
  private readonly sums: Float64Array;
  /** By place × group: how wrong a name is, whoever else is there; and what each costs. */
  private readonly misnamed: Uint8Array;
  private readonly nameSeconds: number;

  constructor({ groups, places, kinships, misnamed, settings }: Facts) {
    this.groupCount = groups.length;
    this.kinPrice = Float64Array.from(kinships, (one) => getCompanySeconds(KINSHIPS[one]!, settings.estimates));
    for (let g = 0; g < groups.length; g += 1) this.kinPrice[g * groups.length + g] = 0;
    this.mingling = Float64Array.from(places, (one) => one.mingling);
    this.misnamed = misnamed;
    this.nameSeconds = settings.estimates.nameSeconds;
    this.sums = new Float64Array(places.length * groups.length);
    for (let i = 0; i < misnamed.length; i += 1) if (misnamed[i]! > 0) this.sums[i] = this.nameSeconds * misnamed[i]!;
  }

  /** What it costs more that a group comes to a place (1) or goes (-1); nothing where it does neither. `at` is place × group. */
  shift(at: number, comes: number): number {
    return comes === 0 ? 0 : comes * this.sums[at]!;
  }

  /** The same where one group leaves a place, or not, and another comes, or not. */
  shiftBoth(p: number, leaving: number, leaves: boolean, coming: number, comes: boolean): number {
    const row = p * this.groupCount;
    return (
      this.shift(row + leaving, leaves ? -1 : 0) +
      this.shift(row + coming, comes ? 1 : 0) -
      (leaves && comes ? this.mingling[p]! * this.kinPrice[leaving * this.groupCount + coming]! : 0)
    );
  }

  /** Tells all groups of a place that one came (1) or went (-1), and whether any is there now. */
  meet(p: number, g: number, comes: number, isEmpty: boolean): void {
    const { groupCount, kinPrice, sums } = this;
    const from = p * groupCount;
    // Sums of floats leave crumbs; in an empty place there is exactly no company, only its name.
    if (isEmpty) {
      for (let i = from; i < from + groupCount; i += 1) sums[i] = this.nameSeconds * this.misnamed[i]!;
      return;
    }
    const factor = comes * this.mingling[p]!;
    const row = g * groupCount;
    for (let h = 0; h < groupCount; h += 1) sums[from + h]! += factor * kinPrice[row + h]!;
  }
}
