import type { Sheet } from '../../core/formats/sheet/index.ts';
import type { Random } from '../../core/random/index.ts';
import { fail, ok, type Result } from '../../core/result/index.ts';

/** Why a label does not come out. */
export type PrinterFault = 'off' | 'out' | 'jam';

/** What the printer says of itself. */
export interface PrinterState {
  readonly isOn: boolean;
  readonly isJammed: boolean;
  /** Labels left on the roll. */
  readonly left: number;
  readonly inTray: number;
}

const ROLL = 40;
/** One label in so many gets stuck. */
const JAM_IN = 60;

/** A made-up label printer: what it prints lies in its tray; its roll runs out, and now and then it jams. */
export class LabelPrinter {
  private isOn = true;
  private isJammed = false;
  private left = ROLL;
  private isJamDue = false;
  private readonly tray: Sheet[] = [];
  private readonly listeners = new Set<(state: PrinterState) => void>();

  constructor(private readonly random: Random) {}

  /** Prints one label, or says why not; a label that gets stuck is lost with its place on the roll. */
  print(sheet: Sheet): Result<PrinterState, PrinterFault> {
    if (!this.isOn) return fail('off');
    if (this.isJammed) return fail('jam');
    if (this.left === 0) return fail('out');
    this.left -= 1;
    if (this.isJamDue || this.random() < 1 / JAM_IN) {
      this.isJamDue = false;
      this.isJammed = true;
      this.tell();
      return fail('jam');
    }
    this.tray.push(sheet);
    this.tell();
    return ok(this.read());
  }

  loadRoll(): void {
    this.left = ROLL;
    this.tell();
  }
  /** All but one label are used up. */
  useUp(): void {
    this.left = Math.min(this.left, 1);
    this.tell();
  }
  jamNext(): void {
    this.isJamDue = true;
  }
  clearJam(): void {
    this.isJammed = false;
    this.tell();
  }
  turn(): void {
    this.isOn = !this.isOn;
    this.tell();
  }
  emptyTray(): void {
    this.tray.length = 0;
    this.tell();
  }
  /** What lies in the tray, the newest last. */
  getTray(): readonly Sheet[] {
    return this.tray;
  }

  read(): PrinterState {
    return { isOn: this.isOn, isJammed: this.isJammed, left: this.left, inTray: this.tray.length };
  }

  /** Told what it says of itself, now and at each change. Returns what ends that. */
  listen(listener: (state: PrinterState) => void): () => void {
    this.listeners.add(listener);
    listener(this.read());
    return () => this.listeners.delete(listener);
  }

  private tell(): void {
    for (const listener of this.listeners) listener(this.read());
  }
}
