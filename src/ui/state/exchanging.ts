import { listShownPhotos, passWhole, type WholeChronicle } from '../../core/daybook/index.ts';
import type { Apart } from '../../core/mending/index.ts';
import type { Chronicle, DaybookEvent, EventId } from '../../core/records/index.ts';
import type { HouseholdStore } from '../../storage/index.ts';
import { wordStoreFault } from '../text/index.ts';
import type { Acting } from './acting.ts';
import type { AppState } from './appState.ts';
import { inTurn } from './inTurn.ts';
import type { Kept } from './kept.ts';
import { world } from './world.ts';
import { t } from '../language/index.ts';

interface ReplaceHow {
  /** The lines that it was made from; refused where more was written meanwhile. */
  readonly from?: readonly DaybookEvent[];
  /** What of it did not read, to be kept beside it. */
  readonly apart?: readonly Apart[];
}

/** How another household takes the place of this one, which is first proved to be there to come back. */
export class Exchanging {
  constructor(
    private readonly store: HouseholdStore,
    private readonly kept: Kept,
    private readonly acting: Acting,
    private readonly get: () => AppState,
    private readonly set: (part: Partial<AppState>) => void,
  ) {}

  readonly replace = (chronicle: Chronicle, done: string, { from, apart = [] }: ReplaceHow = {}): Promise<boolean> =>
    inTurn(async () => {
      if (from && this.get().events !== from)
        return this.acting.refuse(t('Something was done here meanwhile. Nothing was changed; look at it again.'));
      const whole = passWhole(chronicle);
      if (whole.ok) return this.replaceBy(whole.value, done, apart);
      const { wordGateFaults } = await import('./later.ts');
      return this.acting.refuse(wordGateFaults(whole.fault, chronicle.household));
    });

  /** Brings back the household that the last one took the place of. */
  readonly bringBack = async (): Promise<boolean> => {
    const previous = await this.store.loadPrevious();
    if (!previous.ok) return this.acting.refuse(wordStoreFault(previous.fault));
    if (!previous.value) return this.acting.refuse(t('There is no earlier household to bring back.'));
    const { unpackChronicle } = await import('../../workers/keeping.ts');
    const read = await unpackChronicle(previous.value, { id: world.createId() as EventId, atMs: world.nowMs() });
    if (!read.ok || read.value.type !== 'whole') return this.acting.refuse(t('The earlier household cannot be read.'));
    const { chronicle } = read.value;
    return this.replace(chronicle, t('{name} is back.', { name: chronicle.household.settings.name }));
  };

  /** The file of the household as it is, once it is proved that it brings it back. */
  private async packPrevious(): Promise<Uint8Array | null | 'unproved'> {
    const { household, events } = this.get();
    if (!household) return null;
    const { packChronicle } = await import('../../workers/keeping.ts');
    const photos = await this.store.loadPhotos(listShownPhotos(household));
    const packed = await packChronicle({ household, events, photos: photos.ok ? photos.value : [] });
    return packed.ok ? packed.value : 'unproved';
  }

  private async replaceBy(whole: WholeChronicle, done: string, apart: readonly Apart[]): Promise<boolean> {
    const { store, kept, acting } = this;
    const previous = await this.packPrevious();
    if (previous === 'unproved')
      return acting.refuse(
        t('What is here now could not be set aside so that it can be brought back. Nothing was changed.'),
      );
    const generation = world.createId();
    const written = await store.replace(whole, generation, previous, apart);
    if (!written.ok && !this.get().isUnkept) {
      this.set({ storeFault: written.fault });
      return acting.refuse(t('{storeFault} Nothing was changed.', { storeFault: wordStoreFault(written.fault) }));
    }
    kept.waiting = [];
    kept.isBaseKept = written.ok;
    const stored = apart.length > 0 && written.ok ? await store.load() : null;
    this.set({
      phase: 'ready',
      household: whole.household,
      events: whole.events,
      generation,
      apart: stored?.ok ? (stored.value?.apart ?? []) : [],
      raw: null,
      ticket: null,
      looked: null,
      unkept: 0,
      storeFault: written.ok ? null : written.fault,
      notice: { tone: 'done', text: done, canUndo: false },
    });
    return true;
  }
}
