import type { Facts } from '../model/index.ts';
import { NONE } from './lookup.ts';

/**
 * In how many places, pieces of furniture and rooms each group is, kept so that what one place more or less costs is told
 * in constant time: each after the first costs a wrong look in half of the searches, and that it is to be kept in mind.
 */
export class Spread {
  private readonly groupCount: number;
  private readonly unitOf: Int32Array;
  private readonly roomOf: Int32Array;
  /** By group: seconds a month of a place, piece and room more. */
  private readonly placePrice: Float64Array;
  private readonly unitPrice: Float64Array;
  private readonly roomPrice: Float64Array;
  private readonly placesOf: Int32Array;
  /** By unit × group and room × group: in how many of its places the group is. */
  private readonly inUnit: Int32Array;
  private readonly inRoom: Int32Array;

  constructor({ groups, places, groupUses, settings, unitCount, roomCount }: Facts) {
    const { estimates } = settings;
    this.groupCount = groups.length;
    this.unitOf = Int32Array.from(places, (one) => one.unit);
    this.roomOf = Int32Array.from(places, (one) => one.room);
    const price = (look: number, further: number) => groupUses.map((uses) => (uses / 2) * look + further);
    this.placePrice = price(estimates.splitPlaceSeconds, estimates.furtherPlaceSeconds);
    this.unitPrice = price(estimates.splitUnitSeconds, estimates.furtherUnitSeconds);
    this.roomPrice = price(estimates.splitRoomSeconds, estimates.furtherRoomSeconds);
    this.placesOf = new Int32Array(groups.length);
    this.inUnit = new Int32Array(unitCount * groups.length);
    this.inRoom = new Int32Array(roomCount * groups.length);
  }

  /** What a group costs more or less when it leaves one place (NONE for none) and comes into another. */
  shift(g: number, from: number, to: number): number {
    const { groupCount, inUnit, inRoom } = this;
    const places = this.placesOf[g]!;
    const unit = this.unitPrice[g]!;
    const room = this.roomPrice[g]!;
    let seconds = 0;
    if (to === NONE) {
      if (places < 2) return 0;
      seconds = -this.placePrice[g]!;
      if (inUnit[this.unitOf[from]! * groupCount + g] === 1) seconds -= unit;
      if (inRoom[this.roomOf[from]! * groupCount + g] === 1) seconds -= room;
    } else if (from === NONE) {
      if (places === 0) return 0;
      seconds = this.placePrice[g]!;
      if (inUnit[this.unitOf[to]! * groupCount + g] === 0) seconds += unit;
      if (inRoom[this.roomOf[to]! * groupCount + g] === 0) seconds += room;
    } else {
      const unitFrom = this.unitOf[from]!;
      const unitTo = this.unitOf[to]!;
      if (places < 2 || unitFrom === unitTo) return 0;
      if (inUnit[unitFrom * groupCount + g] === 1) seconds -= unit;
      if (inUnit[unitTo * groupCount + g] === 0) seconds += unit;
      const roomFrom = this.roomOf[from]!;
      const roomTo = this.roomOf[to]!;
      if (roomFrom !== roomTo) {
        if (inRoom[roomFrom * groupCount + g] === 1) seconds -= room;
        if (inRoom[roomTo * groupCount + g] === 0) seconds += room;
      }
    }
    return seconds;
  }

  /** Takes down that a group came to a place (1) or left it (-1). */
  meet(p: number, g: number, comes: number): void {
    this.placesOf[g]! += comes;
    this.inUnit[this.unitOf[p]! * this.groupCount + g]! += comes;
    this.inRoom[this.roomOf[p]! * this.groupCount + g]! += comes;
  }
}
