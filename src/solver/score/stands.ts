import type { Facts } from '../model/index.ts';
import { NONE } from './lookup.ts';

/**
 * What stands in each compartment, by what is in use: places of one standing are there at once, and no more containers
 * of a kind are in use than there are. A compartment with nothing in it may get any standing.
 */
export class Stands {
  /** Whether anything could stand otherwise than it does. */
  readonly isOpen: boolean;
  private readonly slotOf: Int32Array;
  private readonly standing: Int32Array;
  private readonly kindOf: Int32Array;
  private readonly kindCounts: Int32Array;
  /** Lots by place and by slot; what stands in a slot while there are any; containers in use, by kind. */
  private readonly inPlace: Int32Array;
  private readonly inSlot: Int32Array;
  private readonly now: Int32Array;
  private readonly used: Int32Array;

  constructor(
    { places, slotCount, kindCounts, standings }: Facts,
    /** The place of each lot. */
    private readonly place: Int32Array,
  ) {
    this.isOpen = standings.further.length > 0;
    this.slotOf = Int32Array.from(places, (one) => one.slot);
    this.standing = Int32Array.from(places, (one) => one.standing);
    this.kindOf = Int32Array.from(places, (one) => one.kind);
    this.kindCounts = kindCounts;
    this.inPlace = new Int32Array(places.length);
    this.inSlot = new Int32Array(slotCount);
    this.now = new Int32Array(slotCount).fill(NONE);
    this.used = new Int32Array(kindCounts.length);
  }

  /** Whether a place could be used, were one or two lots (NONE for none) taken out of where they are. */
  canOpen(p: number, out: number, self: number): boolean {
    if (!this.isOpen || this.inPlace[p]! > 0) return true;
    const slot = this.slotOf[p]!;
    const kind = this.kindOf[p]!;
    const isOther = this.inSlot[slot]! > 0 && this.now[slot] !== this.standing[p];
    if (!isOther && (kind < 0 || this.used[kind]! < this.kindCounts[kind]!)) return true;
    let inSlot = this.inSlot[slot]!;
    let used = kind < 0 ? 0 : this.used[kind]!;
    for (let i = 0; i < 2; i += 1) {
      const gone = i === 0 ? out : self;
      const q = gone === NONE ? NONE : this.place[gone]!;
      if (q === NONE) continue;
      if (this.slotOf[q] === slot) inSlot -= 1;
      if (kind >= 0 && this.kindOf[q] === kind && this.inPlace[q] === 1) used -= 1;
    }
    return !(isOther && inSlot > 0) && (kind < 0 || used < this.kindCounts[kind]!);
  }

  /** The same where so many lots come from one place. */
  canOpenFor(p: number, from: number, n: number): boolean {
    if (!this.isOpen || this.inPlace[p]! > 0) return true;
    const slot = this.slotOf[p]!;
    const kind = this.kindOf[p]!;
    const inSlot = this.inSlot[slot]! - (this.slotOf[from] === slot ? n : 0);
    if (inSlot > 0 && this.now[slot] !== this.standing[p]) return false;
    if (kind < 0) return true;
    const freed = this.kindOf[from] === kind && this.inPlace[from] === n ? 1 : 0;
    return this.used[kind]! - freed < this.kindCounts[kind]!;
  }

  /** Takes down that a lot came to a place (1) or left it (-1). */
  meet(p: number, comes: number): void {
    if (!this.isOpen) return;
    const slot = this.slotOf[p]!;
    const kind = this.kindOf[p]!;
    this.inSlot[slot]! += comes;
    if (comes > 0) this.now[slot] = this.standing[p]!;
    this.inPlace[p]! += comes;
    if (kind < 0) return;
    if (comes > 0 && this.inPlace[p] === 1) this.used[kind]! += 1;
    if (comes < 0 && this.inPlace[p] === 0) this.used[kind]! -= 1;
  }
}
