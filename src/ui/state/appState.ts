import type { ActFault } from '../../core/acts/index.ts';
import type { Draft } from '../../core/daybook/index.ts';
import type { RawHousehold } from '../../core/mending/index.ts';
import type { DaybookEvent, Household, Item, ItemId, Kind, Lot, LotId, PlaceId } from '../../core/records/index.ts';
import type { Glimpse, KeptApart, StoreFault } from '../../storage/index.ts';

export type ActResult = { readonly ok: true; readonly value: Draft } | { readonly ok: false; readonly fault: ActFault };

/** Makes what is to be done from the household as it is. */
export type Make = (household: Household) => ActResult;

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

/** What can be chosen of a household that is only looked at, such as a plan: nothing that changes it. */
export type Looked = Extract<Ticket, { readonly type: 'lot' | 'place' }>;

export interface Notice {
  readonly tone: 'done' | 'fault';
  readonly text: string;
  readonly canUndo: boolean;
  /** Something to do about it, other than undo; the notice stays until it is answered. */
  readonly offer?: { readonly label: string; readonly take: () => void };
}

export interface AppState {
  /** `damaged`: nothing of what is stored could be opened. `newer`: a later program wrote it. */
  readonly phase: 'loading' | 'ready' | 'damaged' | 'newer';
  readonly household: Household | null;
  /** As much of the household as the first screen begins with; nothing is shown of it once all is there. */
  readonly glimpse: Glimpse | null;
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
  readonly ticket: Ticket | null;
  /** What is chosen of a household that is only looked at; then there is no ticket. */
  readonly looked: Looked | null;
  readonly notice: Notice | null;
  /** Cutting is asked for in the ticket. */
  readonly isCutting: boolean;
  readonly show: (ticket: Ticket | null) => void;
  readonly look: (looked: Looked | null) => void;
  readonly setCutting: (isCutting: boolean) => void;
  readonly tell: (notice: Notice | null) => void;
}
