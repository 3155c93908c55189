import { create } from 'zustand';
import { t } from '../language/index.ts';

/** Where the service worker lays what another app shared. */
const SHELF = 'yardmist-handed';

/** A household’s file that was opened from outside, until it is read. */
export const useHanded = create<{ readonly file: File | null }>()(() => ({ file: null }));

interface LaunchQueue {
  setConsumer(take: (launch: { readonly files: readonly FileSystemFileHandle[] }) => void): void;
}

/** Takes a file that was opened by a double click, where the browser hands it over; its screen is opened by the browser. */
export function takeOpenedFile(): void {
  const { launchQueue } = window as unknown as { launchQueue?: LaunchQueue };
  launchQueue?.setConsumer(({ files: [handle] }) => {
    void handle?.getFile().then((file) => useHanded.setState({ file }));
  });
}

/** Photos that another app shared, once; what was taken is on the shelf no more. */
export async function takeShared(): Promise<File[]> {
  if (!('caches' in window) || !(await caches.has(SHELF))) return [];
  const shelf = await caches.open(SHELF);
  const files: File[] = [];
  for (const request of await shelf.keys()) {
    const reply = await shelf.match(request);
    if (!reply) continue;
    const name = decodeURIComponent(reply.headers.get('x-name') ?? t('a shared photo'));
    files.push(new File([await reply.blob()], name, { type: reply.headers.get('content-type') ?? '' }));
  }
  await caches.delete(SHELF);
  return files;
}
