import type { ActFault } from '../../core/acts/index.ts';
import type { Draft } from '../../core/daybook/index.ts';
import type { Apart, Mend, RawHousehold } from '../../core/mending/index.ts';
import type {
  Chronicle,
  DaybookEvent,
  Household,
  Item,
  ItemId,
  Kind,
  Lot,
  LotId,
  PlaceId,
} from '../../core/records/index.ts';
import type { KeptApart, StoreFault } from '../../storage/index.ts';

export type ActResult = { readonly ok: true; readonly value: Draft } | { readonly ok: false; readonly fault: ActFault };

/** An item with a lot of it, not in the household yet. */
export interface Thing {
  readonly item: Item;
  readonly lot: Lot;
}

/** What hangs at the right. */
export type Ticket =
  | { readonly type: 'lot'; readonly id: LotId }
  | { readonly type: 'place'; readonly id: PlaceId }
  | { readonly type: 'editItem'; readonly id: ItemId; readonly lotId: LotId }
  | { readonly type: 'newItem'; readonly kind: Kind; readonly like?: LotId; readonly draft?: Thing }
  | { readonly type: 'editUnit'; readonly id: PlaceId }
  | { readonly type: 'editSlot'; readonly id: PlaceId }
  | { readonly type: 'newUnit'; readonly wallId: string }
  | { readonly type: 'pool' };

export interface Notice {
  readonly tone: 'done' | 'fault';
  readonly text: string;
  readonly canUndo: boolean;
  /** Something to do about it, other than undo; the notice stays until it is answered. */
  readonly offer?: { readonly label: string; readonly take: () => void };
}

/** How another household takes the place of this one. */
export interface Replacing {
  /** The lines that it was made from; refused where more was written meanwhile. */
  readonly from?: readonly DaybookEvent[];
  /** What of it did not read, to be kept beside it. */
  readonly apart?: readonly Apart[];
}

export interface AppState {
  /** `damaged`: nothing of what is stored could be opened. `newer`: a later program wrote it. */
  readonly phase: 'loading' | 'ready' | 'damaged' | 'newer';
  readonly household: Household | null;
  readonly events: readonly DaybookEvent[];
  readonly generation: string;
  /** What did not read and is set apart. */
  readonly apart: readonly KeptApart[];
  /** What is stored, as it was found, where nothing of it could be opened. */
  readonly raw: RawHousehold | null;
  /** Set while the browser does not keep what is written. */
  readonly storeFault: StoreFault | null;
  /** Whether the sewist goes on all the same, and how many lines are only in this window then. */
  readonly isUnkept: boolean;
  readonly unkept: number;
  /** So many tickets and lists show a household that is only looked at. */
  readonly previews: number;
  readonly ticket: Ticket | null;
  readonly notice: Notice | null;
  /** Cutting is asked for in the ticket. */
  readonly isCutting: boolean;
  readonly open: () => Promise<void>;
  readonly act: (make: (household: Household) => ActResult, done?: string) => Promise<boolean>;
  /**
   * What a form changed, against the household that it began from: what changed elsewhere meanwhile is kept, and where
   * both changed the same the sewist is asked.
   */
  readonly edit: (from: Household, make: (household: Household) => ActResult, done?: string) => Promise<boolean>;
  readonly undo: (event?: DaybookEvent) => Promise<boolean>;
  readonly replace: (chronicle: Chronicle, done: string, how?: Replacing) => Promise<boolean>;
  readonly bringBack: () => Promise<boolean>;
  /** Tries again to keep what is only in this window. */
  readonly keepAgain: () => Promise<boolean>;
  readonly goOnUnkept: () => void;
  readonly putRight: (mend: Mend, apart: readonly KeptApart[]) => Promise<boolean>;
  readonly dropApart: (apart: readonly KeptApart[]) => Promise<boolean>;
  readonly show: (ticket: Ticket | null) => void;
  readonly setCutting: (isCutting: boolean) => void;
  readonly tell: (notice: Notice | null) => void;
}
