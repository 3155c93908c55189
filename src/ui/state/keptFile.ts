import { create } from 'zustand';
import type { KeptFile } from '../../storage/index.ts';
import { nameFile, packEverything, rememberSaved } from './backup.ts';
import { useApp, world } from './app.ts';
import { openBeside } from './store.ts';
import { t } from '../language/index.ts';

/** What browsers have of files that a page may write to again; the library of types does not know all of it yet. */
interface Writable extends FileSystemFileHandle {
  queryPermission?: (asked: { mode: 'readwrite' }) => Promise<PermissionState>;
  requestPermission?: (asked: { mode: 'readwrite' }) => Promise<PermissionState>;
}
type Picker = (options: {
  suggestedName: string;
  types: { description: string; accept: Record<string, string[]> }[];
}) => Promise<FileSystemFileHandle>;

const getPicker = () => (window as unknown as { showSaveFilePicker?: Picker }).showSaveFilePicker;

/** Whether this browser lets a page write to a file again that was picked once. */
export const canKeepFile = () => getPicker() !== undefined;

/** A file that was picked once and is kept up to date by itself. */
interface FileState {
  readonly file: KeptFile | null;
  /** `asks`: the browser wants to be told again that it may be written to. */
  readonly state: 'idle' | 'writing' | 'asks' | 'failed';
  readonly note: string;
  readonly writtenAtMs: number | null;
}
export const useKeptFile = create<FileState>()(() => ({ file: null, state: 'idle', note: '', writtenAtMs: null }));

/** Written when nothing was done for so long. */
const QUIET_MS = 15_000;
let timer: ReturnType<typeof setTimeout> | undefined;
/** The lines that stand in the file. */
let written = -1;
let isWriting = false;

const isOfThis = ({ generation }: KeptFile) => generation === useApp.getState().generation;

/** How many lines stand in the file then, or why it was not written. */
async function writeTo(handle: FileSystemFileHandle): Promise<number | string> {
  const packed = await packEverything();
  if (!packed.ok) return packed.text;
  // What was there stays whole until the new one is: the browser writes beside it first.
  const stream = await handle.createWritable();
  await stream.write(packed.bytes.slice());
  await stream.close();
  const back = new Uint8Array(await (await handle.getFile()).arrayBuffer());
  const isSame = back.length === packed.bytes.length && back.every((byte, i) => byte === packed.bytes[i]);
  if (!isSame) return t('What was written does not read back the same.');
  if (packed.without !== '') return packed.without;
  rememberSaved(packed.saved);
  return packed.saved.lines;
}

/** Writes the file where something was done since, and says when it could not. */
async function write(): Promise<void> {
  const { file } = useKeptFile.getState();
  const { events } = useApp.getState();
  if (!file || !isOfThis(file) || isWriting || written === events.length) return;
  const { handle } = file as { handle: Writable };
  if ((await handle.queryPermission?.({ mode: 'readwrite' })) === 'prompt') {
    useKeptFile.setState({ state: 'asks' });
    return;
  }
  isWriting = true;
  useKeptFile.setState({ state: 'writing' });
  // Two windows do not write the same file at once.
  const done = await navigator.locks
    .request('yardmist-file', () => writeTo(handle))
    .catch((error: unknown) => (error instanceof Error ? error.message : String(error)));
  isWriting = false;
  if (typeof done === 'string') {
    useKeptFile.setState({ state: 'failed', note: done });
    useApp.getState().tell({
      tone: 'fault',
      text: t('{file} could not be kept up to date: {reason}', { file: handle.name, reason: done }),
      canUndo: false,
    });
    return;
  }
  written = done;
  useKeptFile.setState({ state: 'idle', note: '', writtenAtMs: world.nowMs() });
  if (useApp.getState().events.length !== written) writeSoon();
}

function writeSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void write(), QUIET_MS);
}

/** Follows the household from now on. Called once. */
export async function startKeeping(): Promise<void> {
  const beside = await openBeside();
  useKeptFile.setState({ file: await beside.loadFile() });
  useApp.subscribe((now, before) => {
    if (now.events !== before.events) writeSoon();
  });
  document.addEventListener('visibilitychange', () => {
    // One may not come back.
    if (document.visibilityState === 'hidden') void write();
  });
  writeSoon();
}

/** Lets the sewist pick the file, and writes it for the first time. */
export async function pickFile(): Promise<void> {
  const { household, generation, tell } = useApp.getState();
  const pick = getPicker();
  if (!household || !pick) return;
  let handle: FileSystemFileHandle;
  try {
    handle = await pick({
      suggestedName: nameFile(household.settings.name),
      types: [{ description: t('Yardmist file'), accept: { 'application/zip': ['.zip'] } }],
    });
  } catch {
    // The browser's dialog was closed again.
    return;
  }
  const file: KeptFile = { generation, handle };
  const beside = await openBeside();
  const kept = await beside.keepFile(file);
  if (!kept.ok)
    tell({
      tone: 'fault',
      text: t('This browser does not remember the file; pick it again next time.'),
      canUndo: false,
    });
  written = -1;
  useKeptFile.setState({ file, state: 'idle', note: '' });
  await write();
}

/** Asks the browser once more for the same file; it only asks the sewist when a button was pressed. */
export async function goOnKeeping(): Promise<void> {
  const handle = useKeptFile.getState().file?.handle as Writable | undefined;
  if ((await handle?.requestPermission?.({ mode: 'readwrite' })) === 'denied') return;
  written = -1;
  await write();
}

/** Leaves the file as it is from now on. */
export async function stopKeeping(): Promise<void> {
  clearTimeout(timer);
  const beside = await openBeside();
  await beside.keepFile(null);
  useKeptFile.setState({ file: null, state: 'idle', note: '', writtenAtMs: null });
}
