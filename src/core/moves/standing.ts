import type { ContainerSpec, PlaceId } from '../records/index.ts';
import { checkContainers, standIn } from '../storage/index.ts';
import type { MovePlace } from './bins.ts';
import type { MoveFacts } from './facts.ts';

interface Where {
  readonly slot: number;
  readonly unit: number;
}

/** Where a container is that stands idle. */
export const NOWHERE: Where = { slot: -1, unit: -1 };

/** Where containers stand while all is carried, which of them are still to be carried, and which places there are. */
export class Standing {
  /** By place: whether it is there. */
  readonly stands: boolean[];
  /** Containers that are still to be carried, by their number. */
  readonly pending: Set<number>;
  private readonly where: Where[];
  /** What stands in each compartment that a container comes to or leaves, by the id of the container. */
  private readonly boxes = new Map<PlaceId, Map<PlaceId, ContainerSpec>>();

  constructor(private readonly facts: MoveFacts) {
    const { places, carries, tree } = facts;
    this.stands = places.map((one) => one.standsNow);
    this.where = places.map(({ slot, unit }) => ({ slot, unit }));
    this.pending = new Set(carries.keys());
    for (const { bin, from } of carries)
      for (const id of [bin.slotId, from])
        if (id && !this.boxes.has(id))
          this.boxes.set(id, new Map(tree.getChildren(id).map((one) => [one.id, one.container!])));
  }

  at(p: number): Where {
    return this.where[p]!;
  }

  tareOf(b: number): number {
    return this.facts.tree.places.get(this.facts.carries[b]!.bin.placeId)!.container!.tareG;
  }

  private specOf(b: number): ContainerSpec {
    const { bin } = this.facts.carries[b]!;
    return standIn(this.facts.tree.places.get(bin.placeId)!, bin, 0).container!;
  }

  /** Containers that are in the way of one where it goes: they are to be carried away themselves. */
  private listInTheWay(b: number): number[] {
    const { carries } = this.facts;
    const { slotId } = carries[b]!.bin;
    const there = slotId && this.boxes.get(slotId);
    return there ? [...this.pending].filter((other) => other !== b && there.has(carries[other]!.bin.placeId)) : [];
  }

  /** Whether a container stands where it goes, with what stands there now. */
  canStand(b: number): boolean {
    return this.listInTheWay(b).length === 0 && this.canChange([b]);
  }

  /** All containers that have to go so that one can stand where it goes, and that one. */
  listRing(b: number): number[] {
    const ring = [b];
    for (const one of ring) for (const other of this.listInTheWay(one)) if (!ring.includes(other)) ring.push(other);
    return ring;
  }

  /** Whether containers stand where they go once all of them are carried. */
  canChange(which: readonly number[]): boolean {
    const { carries, tree } = this.facts;
    const gone = new Set(which.map((b) => carries[b]!.bin.placeId));
    const slots = new Set(which.flatMap((b) => carries[b]!.bin.slotId ?? []));
    return [...slots].every((slotId) => {
      const stay = [...this.boxes.get(slotId)!].flatMap(([id, box]) => (gone.has(id) ? [] : [box]));
      const come = which.filter((b) => carries[b]!.bin.slotId === slotId).map((b) => this.specOf(b));
      return checkContainers(tree.places.get(slotId)!.slot!, [...stay, ...come]) === null;
    });
  }

  /** Carries containers. A compartment is bare once none stands in it, and no more once one does. */
  carry(which: readonly number[], places: readonly MovePlace[]): void {
    const { carries, slotNumber } = this.facts;
    for (const b of which) {
      const { bin, place, from } = carries[b]!;
      this.pending.delete(b);
      if (from) this.boxes.get(from)!.delete(bin.placeId);
      if (bin.slotId) this.boxes.get(bin.slotId)!.set(bin.placeId, this.specOf(b));
      if (place < 0) continue;
      this.stands[place] = bin.slotId !== undefined;
      this.where[place] = bin.slotId === undefined ? NOWHERE : slotNumber.get(bin.slotId)!;
    }
    for (const [p, { place }] of places.entries()) {
      const there = place.container ? undefined : this.boxes.get(place.id);
      if (there) this.stands[p] = there.size === 0;
    }
  }
}
