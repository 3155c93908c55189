import type { Point } from './outline.ts';

/** A piece to be laid on the cloth: its shape, or a rectangle; across and along the grain, mm. */
export interface Block {
  /** Which of the given pieces it is one of. */
  readonly piece: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** It may lie a quarter turned. */
  readonly mayTurn: boolean;
  /** It may lie upside down: the cloth is the same both ways. Of a rectangle it makes no difference. */
  readonly mayFlip?: boolean;
  /** Its corners within the rectangle; absent for one that fills it. */
  readonly outline?: readonly Point[];
}

/** A hole or a flaw: nothing is laid over it. From the left selvage and the cut edge, mm. */
export interface Hole {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The cloth to lay on: its width between the selvages; its length, or as long as need be; and what is wrong with it. */
export interface Sheet {
  readonly widthMm: number;
  readonly lengthMm?: number;
  readonly holes?: readonly Hole[];
  /** Its print is to match: every piece begins at a whole repeat of it, mm. */
  readonly repeatMm?: number;
  /** An odd remnant: its corners within width and length. */
  readonly outline?: readonly Point[];
}

/** Where a block lies, on which of the sheets, and how it is turned: see `turnOutline`. */
export interface Laid {
  readonly block: number;
  readonly sheet: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly isTurned: boolean;
  readonly isFlipped?: boolean;
}

/** All blocks on the sheets, or as many as went on. */
export interface Layout {
  readonly laid: readonly Laid[];
  /** Numbers of the blocks that did not go on. */
  readonly left: readonly number[];
  /** How far down it reaches, mm; on several sheets, all together. */
  readonly lengthMm: number;
}

/** Whether a block can lie on a sheet of this width at all. */
export function goesOn({ widthMm, heightMm, mayTurn }: Block, sheet: Sheet): boolean {
  const isLongEnough = (mm: number) => sheet.lengthMm === undefined || mm <= sheet.lengthMm;
  return (
    (widthMm <= sheet.widthMm && isLongEnough(heightMm)) ||
    (mayTurn && heightMm <= sheet.widthMm && isLongEnough(widthMm))
  );
}
