import type { LotId, PhotoId, PlaceId } from '../records/index.ts';
import type { DrawnPrint } from './prints.ts';

/** What a shape is, for the interface to give it its ink. */
export type Ink =
  | 'wall'
  | 'floor'
  | 'glass'
  | 'doorway'
  | 'wood'
  | 'inside'
  | 'dim'
  | 'front'
  | 'knob'
  | 'bin'
  | 'level'
  | 'levelNear'
  | 'levelOver'
  | 'card'
  /** A card that is only there to be written on. */
  | 'plate'
  | 'cloth'
  | 'thing'
  | 'paper'
  | 'blade'
  | 'dark'
  /** Glass and clear plastic, before what is in it. */
  | 'clear'
  /** The same, over what is in it. */
  | 'pane'
  /** A fine line on a thing: a fold, a seam. */
  | 'shade'
  | 'ruler'
  | 'steel'
  | 'hole'
  | 'lid'
  /** Stitches that tell how a thing is: it belongs elsewhere, it is promised, it is out, it is lent. */
  | 'planned'
  | 'promised'
  | 'out'
  | 'lent'
  | 'overFull'
  | 'tick'
  | 'flange';

export type TextInk = 'unitName' | 'slotName' | 'cardText' | 'quiet' | 'free' | 'band' | 'onThing';

/** A plain shape in mm; x to the right, y down from the top of the drawing. */
export type Shape =
  | {
      readonly type: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly ink: Ink;
      readonly colour?: string;
      readonly print?: DrawnPrint;
      /** Lies over colour and print, where it is at hand. */
      readonly photo?: PhotoId;
      readonly round?: number;
    }
  | {
      readonly type: 'circle';
      readonly x: number;
      readonly y: number;
      readonly radius: number;
      readonly ink: Ink;
      readonly colour?: string;
    }
  | {
      readonly type: 'path';
      readonly points: readonly (readonly [number, number])[];
      readonly isClosed: boolean;
      readonly ink: Ink;
      readonly colour?: string;
    }
  | {
      readonly type: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly ink: TextInk;
      readonly anchor: 'start' | 'middle' | 'end';
      /** The room it has; in less it is broken, shortened, or left out. */
      readonly widthMm?: number;
      readonly heightMm?: number;
    };

/** Something one can point at: a compartment with what is drawn of it, or a lot in it. */
export interface Figure {
  readonly kind: 'place' | 'lot' | 'unit';
  readonly id: PlaceId | LotId;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}
