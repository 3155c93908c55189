import type { Random } from '../../core/random/index.ts';
import type { Batch, State } from '../score/index.ts';
import { Drawer } from './draw.ts';

const NONE = -1;

/** Carries out moves, takes back what is not welcome, and keeps what is in each place and what has none. */
export class Handler extends Drawer {
  temperature = 1;
  /** Lots that may be elsewhere than when this list was last emptied. */
  readonly strayed: number[] = [];
  private readonly hasStrayed: Uint8Array;
  protected readonly inside: number[][];
  private readonly slotInPlace: Int32Array;
  protected readonly homeless: number[] = [];
  protected readonly setOf: Int32Array;
  private readonly undo: { lot: number; option: number }[] = [];

  constructor(state: State, random: Random, isHoming: boolean) {
    super(state, random, isHoming);
    this.setOf = this.facts.wishes.setOf;
    this.inside = this.facts.places.map(() => []);
    this.slotInPlace = new Int32Array(this.lotCount);
    this.hasStrayed = new Uint8Array(this.lotCount);
    this.rebuild();
  }

  /** Reads the state anew, after it was changed from without. */
  rebuild(): void {
    for (const list of this.inside) list.length = 0;
    this.homeless.length = 0;
    for (let l = 0; l < this.lotCount; l += 1) this.enlist(l);
    this.forgetStrayed();
  }

  forgetStrayed(): void {
    for (const l of this.strayed) this.hasStrayed[l] = 0;
    this.strayed.length = 0;
  }

  private enlist(lot: number): void {
    const p = this.state.place[lot]!;
    const list = p === NONE ? this.homeless : this.inside[p]!;
    this.slotInPlace[lot] = list.length;
    list.push(lot);
  }

  private delist(lot: number): void {
    const p = this.state.place[lot]!;
    const list = p === NONE ? this.homeless : this.inside[p]!;
    const at = this.slotInPlace[lot]!;
    const last = list.pop()!;
    if (last !== lot) {
      list[at] = last;
      this.slotInPlace[last] = at;
    }
  }

  private stray(lot: number): void {
    if (this.hasStrayed[lot] === 1) return;
    this.hasStrayed[lot] = 1;
    this.strayed.push(lot);
  }

  protected take(lot: number): void {
    this.undo.push({ lot, option: this.state.option[lot]! });
    this.delist(lot);
    this.state.remove(lot);
    this.enlist(lot);
  }

  protected put(lot: number, option: number): void {
    this.undo.push({ lot, option: NONE });
    this.delist(lot);
    this.state.insert(lot, option);
    this.enlist(lot);
  }

  private rollback(): void {
    for (let i = this.undo.length - 1; i >= 0; i -= 1) {
      const { lot, option } = this.undo[i]!;
      this.delist(lot);
      if (option === NONE) this.state.remove(lot);
      else this.state.insert(lot, option);
      this.enlist(lot);
    }
  }

  protected isWelcome(delta: number): boolean {
    return delta <= 0 || (delta < Infinity && this.random() < Math.exp(-delta / this.temperature));
  }

  /** Makes a move of many changes, and takes it back where it fails or is not welcome. */
  protected tryAll(move: () => boolean): boolean {
    const before = this.state.price;
    this.undo.length = 0;
    const isDone = move();
    if (!isDone || !this.isWelcome(this.state.price - before)) {
      this.rollback();
      return false;
    }
    for (const { lot } of this.undo) this.stray(lot);
    return true;
  }

  protected isBound(lot: number): boolean {
    return this.setOf[lot] !== NONE;
  }

  protected leave(lot: number): void {
    this.delist(lot);
    this.state.remove(lot);
    this.enlist(lot);
    this.stray(lot);
  }

  protected enter(lot: number, option: number): void {
    this.delist(lot);
    this.state.insert(lot, option);
    this.enlist(lot);
    this.stray(lot);
  }

  protected leaveAll({ lots, n }: Batch): void {
    for (let i = 0; i < n; i += 1) this.leave(lots[i]!);
  }

  protected enterAll({ lots, ways, n }: Batch, place: number): void {
    for (let i = 0; i < n; i += 1) this.enter(lots[i]!, ways[i]! * this.placeCount + place);
  }
}
