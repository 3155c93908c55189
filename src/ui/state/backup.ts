import { format } from 'date-fns';
import type { RawHousehold } from '../../core/mending/index.ts';
import type { Chronicle } from '../../core/records/index.ts';
import type { Snapshot } from '../../storage/index.ts';
import { saveFile } from '../components/saveFile.ts';
import { wordStoreFault } from '../text/index.ts';
import { listPhotoIds, photoStore, snapshotStore, useApp, world } from './app.ts';
import { useChoices } from './choices.ts';

const isSameBytes = (a: Uint8Array, b: Uint8Array) => a.length === b.length && a.every((byte, i) => byte === b[i]);

/** The file of everything, with the photos that things name, once it was read back and says the same; or why not. */
export async function packEverything(): Promise<
  { ok: true; bytes: Uint8Array; without: string } | { ok: false; text: string }
> {
  const { household, events } = useApp.getState();
  if (!household) return { ok: false, text: 'There is nothing to save yet.' };
  const photos = await photoStore.loadPhotos(listPhotoIds(household));
  const { parseBundle, toBundle } = await import('../../core/formats/index.ts');
  // Better a file without the photos than none.
  const bytes = toBundle({ household, events, photos: photos.ok ? photos.value : [] });
  // A copy that does not read back is no copy.
  const proof = parseBundle(bytes);
  if (!proof.ok) return { ok: false, text: `It would not read back (${proof.fault[0]?.path ?? ''}).` };
  if (!isSameBytes(toBundle(proof.value), bytes)) return { ok: false, text: 'It would not come back the same.' };
  return { ok: true, bytes, without: photos.ok ? '' : `The photos are not in it: ${wordStoreFault(photos.fault)}` };
}

function nameFile(name: string): string {
  return `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.yardmist.zip`;
}

/** Remembers that all that is written by now stands in a file. */
export function rememberSaved(): void {
  const { generation, events } = useApp.getState();
  useChoices.setState({ saved: { generation, atMs: world.nowMs(), lines: events.length } });
}

/** Saves everything to a file, and says so. */
export async function saveEverything(): Promise<void> {
  const { household, tell } = useApp.getState();
  const packed = await packEverything();
  if (!packed.ok) {
    tell({ tone: 'fault', text: `The file was not saved. ${packed.text}`, canUndo: false });
    return;
  }
  const name = nameFile(household!.settings.name);
  saveFile(packed.bytes, name, 'application/zip');
  if (packed.without !== '') {
    tell({ tone: 'fault', text: `Saved ${name}. ${packed.without}`, canUndo: false });
    return;
  }
  rememberSaved();
  tell({ tone: 'done', text: `Saved ${name}; it was read back and is whole.`, canUndo: false });
}

/** Saves what is stored just as it was found, for who can mend it by hand. */
export function saveRaw(raw: RawHousehold | readonly unknown[]): void {
  saveFile(JSON.stringify(raw, null, 1), 'yardmist-as-found.json', 'application/json');
}

/** Keeps the household as it is at the first look of a day; seven days of it are there to come back to. */
export async function keepSnapshot(): Promise<void> {
  const { household, events, storeFault } = useApp.getState();
  if (!household || storeFault || events.length < 2) return;
  const day = format(world.nowMs(), 'yyyy-MM-dd');
  const kept = await snapshotStore.loadSnapshots();
  if (!kept.ok || kept.value.some((one) => one.day === day)) return;
  const { toBundle } = await import('../../core/formats/index.ts');
  await snapshotStore.saveSnapshot({
    day,
    atMs: world.nowMs(),
    name: household.settings.name,
    lots: household.lots.size,
    lines: events.length,
    bytes: toBundle({ household, events }),
  });
}

/** What coming back to a day would change: records that came, went or differ since, and lines that would be gone. */
export interface SinceThen {
  readonly chronicle: Chronicle;
  readonly changed: number;
  readonly lines: number;
}

export async function readSnapshot({ bytes }: Snapshot): Promise<SinceThen | null> {
  const { parseBundle } = await import('../../core/formats/index.ts');
  const { computeDifference } = await import('../../core/daybook/index.ts');
  const read = parseBundle(bytes);
  const { household, events } = useApp.getState();
  if (!read.ok || !household) return null;
  const changed = computeDifference(read.value.household, household).length;
  const known = new Set(read.value.events.map((event) => event.id));
  return { chronicle: read.value, changed, lines: events.filter((event) => !known.has(event.id)).length };
}
