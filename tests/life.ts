import { foldEvents } from '../src/core/daybook/fold.ts';
import {
  getUndoable,
  listTakenBack,
  passGate,
  passWhole,
  planUndo,
  stampEvent,
  type Draft,
  type GateFault,
  type Passed,
  type WholeChronicle,
} from '../src/core/daybook/index.ts';
import { applyMerge, getLater, planMerge } from '../src/core/merging/index.ts';
import { createRandom, pick, type Random } from '../src/core/random/index.ts';
import type { Chronicle, DaybookEvent, EventId, Household } from '../src/core/records/index.ts';
import { createPlaceTree } from '../src/core/storage/index.ts';
import { TEXTS } from './drawn.ts';
import { ACTS } from './lifeActs.ts';

/** A household that is lived in by a seed: random acts of all sorts, undo, undoing the undo, another device. */
export class Life {
  household: Household;
  events: DaybookEvent[];
  /** Acts that were done, those that said no by themselves, and those that the gate refused. */
  readonly done = new Map<string, number>();
  readonly refused: { readonly name: string; readonly faults: readonly GateFault[] }[] = [];
  /** What passed the gate and is to be kept, in its order: lines, or a joined household whole. */
  readonly passed: (Passed | WholeChronicle)[] = [];
  private count = 0;
  readonly random: Random;

  constructor(
    readonly start: Chronicle,
    readonly seed: number,
    private readonly device = 'a',
  ) {
    this.household = start.household;
    this.events = [...start.events];
    this.random = createRandom(seed);
  }

  private readonly id = () => `${this.device}${this.seed}-${(this.count += 1)}`;
  private nowMs(): number {
    // Some clocks are set back by a year now and then.
    const back = this.seed % 4 === 2 && this.events.length % 9 > 5 ? 31_536_000_000 : 0;
    return 1_800_000_000_000 + this.events.length * 3_600_000 - back + (this.device === 'a' ? 0 : 1);
  }

  write(name: string, draft: Draft): boolean {
    const event = stampEvent(draft, this.events.length, { nowMs: () => this.nowMs(), createId: this.id });
    const step = passGate(this.household, event);
    if (!step.ok) {
      this.refused.push({ name, faults: step.fault });
      return false;
    }
    this.events.push(event);
    this.passed.push(step.value);
    this.household = step.value.household;
    this.done.set(name, (this.done.get(name) ?? 0) + 1);
    return true;
  }

  act(name = pick(this.random, Object.keys(ACTS))): boolean {
    const draft = this.propose(name);
    return draft !== null && this.write(name, draft);
  }

  /** What an act would write, about something drawn at random; null where it says no by itself. */
  propose(name: string): Draft | null {
    const { household: now, random, events } = this;
    const lots = [...now.lots.values()];
    const { leaves } = createPlaceTree(now.places);
    if (lots.length === 0 || leaves.length === 0 || now.items.size === 0) return null;
    const draft = ACTS[name]!({
      now,
      events,
      random,
      nowMs: this.nowMs(),
      id: this.id,
      lot: pick(random, lots),
      other: pick(random, lots),
      item: pick(random, [...now.items.values()]),
      leaf: pick(random, leaves),
      text: random() < 0.5 ? 'a coat' : pick(random, TEXTS),
    });
    return draft.ok ? draft.value : null;
  }

  undo(event: DaybookEvent | null = getUndoable(this.events)): boolean {
    if (!event) return false;
    const plan = planUndo(this.household, this.events, event);
    return plan.ok && this.write('undo', plan.value.draft);
  }

  /** Another device that begins with this one's file, lives on, and is joined. */
  join(acts: number): void {
    const other = new Life(
      { household: this.household, events: this.events },
      this.seed + 7919,
      `b${this.events.length}-`,
    );
    for (let n = 0; n < acts; n += 1) {
      other.live();
      this.act();
    }
    const mine = { household: this.household, events: this.events };
    const plan = planMerge(mine, { household: other.household, events: other.events });
    if (!plan.ok) throw new Error(plan.fault);
    const joined = applyMerge(plan.value, getLater, { id: this.id() as EventId, atMs: this.nowMs() });
    if (!joined.ok) {
      // Refused whole, and told: nothing was changed.
      this.refused.push({
        name: 'join',
        faults: joined.fault.map((one) => ({ ...one, code: 'invariant', rule: one.code })),
      });
      return;
    }
    const whole = passWhole(joined.value);
    if (!whole.ok) throw new Error(`joined: ${JSON.stringify(whole.fault.slice(0, 3))}`);
    this.passed.push(whole.value);
    this.household = whole.value.household;
    this.events = [...whole.value.events];
    this.done.set('join', (this.done.get('join') ?? 0) + 1);
  }

  /** One thing or another. */
  live(): void {
    const { random } = this;
    const what = random();
    if (what < 0.86) this.act();
    else if (what < 0.92) this.undo();
    else if (what < 0.97) {
      const taken = listTakenBack(this.events);
      const standing = this.events.slice(1).filter((event) => !taken.has(event.id));
      if (standing.length > 0) this.undo(pick(random, standing));
    } else {
      // Undoing an undo does it again.
      const taken = listTakenBack(this.events);
      const undone = this.events.findLast((event) => event.type === 'undone' && !taken.has(event.id));
      if (undone) this.undo(undone);
    }
  }

  /** The fold of the daybook is the state. */
  isFolded(): boolean {
    return foldEvents(this.events).ok && passWhole({ household: this.household, events: this.events }).ok;
  }
}
