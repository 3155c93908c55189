import { computeDifference, listNamedPhotos, listShownPhotos } from '../../core/daybook/index.ts';
import type { RawHousehold } from '../../core/mending/index.ts';
import { countGiven } from './given.ts';
import { toDay } from '../../core/units/index.ts';
import type { Chronicle, EventId } from '../../core/records/index.ts';
import type { Snapshot } from '../../storage/index.ts';
import { saveFile } from '../components/saveFile.ts';
import { wordStoreFault } from '../text/index.ts';
import { wordPackFault } from '../text/lineFaults.ts';
import { useApp, world } from './app.ts';
import { openBeside, photoStore } from './store.ts';
import { useChoices } from './choices.ts';
import { t } from '../language/index.ts';

/** What a file holds: of which household, and how many lines of its daybook. */
interface Saved {
  readonly generation: string;
  readonly lines: number;
}

/** The file of everything, with the photos that things name, once it was read back and says the same; or why not. */
export async function packEverything(): Promise<
  { ok: true; bytes: Uint8Array; without: string; saved: Saved } | { ok: false; text: string }
> {
  const { household, events, generation } = useApp.getState();
  if (!household) return { ok: false, text: t('There is nothing to save yet.') };
  const photos = await photoStore.loadPhotos(listShownPhotos(household));
  const { packChronicle } = await import('../../workers/keeping.ts');
  // Better a file without the photos than none.
  const packed = await packChronicle({ household, events, photos: photos.ok ? photos.value : [] });
  if (!packed.ok) return { ok: false, text: wordPackFault(packed.fault) };
  return {
    ok: true,
    bytes: packed.value,
    saved: { generation, lines: events.length },
    without: photos.ok ? '' : t('The photos are not in it: {storeFault}', { storeFault: wordStoreFault(photos.fault) }),
  };
}

export function nameFile(name: string): string {
  return `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.yardmist.zip`;
}

/** Remembers that so much stands in a file; something may have been done since it was packed. */
export function rememberSaved(saved: Saved): void {
  useChoices.setState({ saved: { ...saved, atMs: world.nowMs() } });
}

/** Saves everything to a file, and says so. */
export async function saveEverything(): Promise<void> {
  const { household, tell } = useApp.getState();
  const packed = await packEverything();
  if (!packed.ok) {
    tell({ tone: 'fault', text: t('The file was not saved. {packed}', { packed: packed.text }), canUndo: false });
    return;
  }
  const name = nameFile(household!.settings.name);
  saveFile(packed.bytes, name, 'application/zip');
  if (packed.without !== '') {
    tell({ tone: 'fault', text: t('Saved {name}. {without}', { name, without: packed.without }), canUndo: false });
    return;
  }
  rememberSaved(packed.saved);
  tell({ tone: 'done', text: t('Saved {name}; it was read back and is whole.', { name }), canUndo: false });
}

/** Saves what is stored just as it was found, for who can mend it by hand. */
export function saveRaw(raw: RawHousehold | readonly unknown[]): void {
  saveFile(JSON.stringify(raw, null, 1), 'yardmist-as-found.json', 'application/json');
}

let keeping: Promise<void> | null = null;

/** Keeps the household as it is at the first look of a day; seven days of it are there to come back to. */
export function keepSnapshot(): Promise<void> {
  keeping ??= keepToday().finally(() => {
    keeping = null;
  });
  return keeping;
}

async function keepToday(): Promise<void> {
  const { household, events, storeFault } = useApp.getState();
  if (!household || storeFault || events.length <= countGiven(events)) return;
  const day = toDay(world.nowMs());
  const beside = await openBeside();
  const kept = await beside.loadSnapshots();
  if (!kept.ok || kept.value.some((one) => one.day === day)) return;
  const { packChronicle } = await import('../../workers/keeping.ts');
  const packed = await packChronicle({ household, events });
  // A copy that cannot be made today is made tomorrow; files and the storage itself say what fails there.
  if (!packed.ok) return;
  await beside.saveSnapshot({
    day,
    atMs: world.nowMs(),
    name: household.settings.name,
    lots: household.lots.size,
    lines: events.length,
    bytes: packed.value,
    photoIds: [...listShownPhotos(household)],
  });
  await beside.sweepPhotos(listNamedPhotos({ household, events }));
}

/** What coming back to a day would change: records that came, went or differ since, and lines that would be gone. */
export interface SinceThen {
  readonly chronicle: Chronicle;
  readonly changed: number;
  readonly lines: number;
}

export async function readSnapshot({ bytes }: Snapshot): Promise<SinceThen | null> {
  const { unpackChronicle } = await import('../../workers/keeping.ts');
  const read = await unpackChronicle(bytes, { id: world.createId() as EventId, atMs: world.nowMs() });
  const { household, events } = useApp.getState();
  if (!read.ok || read.value.type !== 'whole' || !household) return null;
  const { chronicle } = read.value;
  const changed = computeDifference(chronicle.household, household).length;
  const known = new Set(chronicle.events.map((event) => event.id));
  return { chronicle, changed, lines: events.filter((event) => !known.has(event.id)).length };
}
