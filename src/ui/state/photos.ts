import { useEffect } from 'react';
import { create } from 'zustand';
import type { Photo, PhotoId } from '../../core/records/index.ts';
import { photoStore } from './store.ts';

/** Addresses of photos within this page; null while one is looked for, or where it is not kept here. */
interface PhotoUrls {
  readonly swatch: string;
  readonly full: string;
}

const useUrls = create<{ readonly byId: ReadonlyMap<PhotoId, PhotoUrls | null> }>()(() => ({ byId: new Map() }));

const toUrl = (bytes: Uint8Array, type: string) => URL.createObjectURL(new Blob([bytes.slice().buffer], { type }));

/** So many that no screen shows any more stay at hand; a photo's address keeps its bytes in memory until it is given up. */
const MOST_IDLE = 120;
/** How many parts of screens show each, and those that none shows, the longest idle first. */
const users = new Map<PhotoId, number>();
const idle = new Set<PhotoId>();

function giveUp(): void {
  if (idle.size <= MOST_IDLE) return;
  const byId = new Map(useUrls.getState().byId);
  for (const id of [...idle].slice(0, idle.size - MOST_IDLE)) {
    idle.delete(id);
    const urls = byId.get(id);
    byId.delete(id);
    if (!urls) continue;
    URL.revokeObjectURL(urls.swatch);
    URL.revokeObjectURL(urls.full);
  }
  useUrls.setState({ byId });
}

/** Says that a photo is shown, until what is answered is called. */
function show(id: PhotoId): () => void {
  users.set(id, (users.get(id) ?? 0) + 1);
  idle.delete(id);
  return () => {
    const left = (users.get(id) ?? 1) - 1;
    if (left > 0) {
      users.set(id, left);
      return;
    }
    users.delete(id);
    idle.add(id);
    giveUp();
  };
}

function keep(photo: Photo): PhotoUrls {
  return { swatch: toUrl(photo.swatch, photo.type), full: toUrl(photo.bytes, photo.type) };
}

/** Asked for in one frame, told to the page in one go: a wall of photos is one change, not hundreds. */
const wanted = new Set<PhotoId>();
let isLoading = false;

async function loadWanted(): Promise<void> {
  if (isLoading) return;
  isLoading = true;
  while (wanted.size > 0) {
    const ids = [...wanted].slice(0, 60);
    const photos = await Promise.all(ids.map((id) => photoStore.loadPhoto(id)));
    const byId = new Map(useUrls.getState().byId);
    for (const [i, id] of ids.entries()) {
      wanted.delete(id);
      const photo = photos[i];
      byId.set(id, photo ? keep(photo) : null);
    }
    useUrls.setState({ byId });
  }
  isLoading = false;
}

/** The address of a photo's swatch or of the whole of it; null until it is there. */
export function usePhotoUrl(id: PhotoId | undefined, part: keyof PhotoUrls = 'swatch'): string | null {
  const urls = useUrls((state) => (id === undefined ? undefined : state.byId.get(id)));
  useEffect(() => {
    if (id === undefined) return undefined;
    const leave = show(id);
    if (!useUrls.getState().byId.has(id)) {
      wanted.add(id);
      void loadWanted();
    }
    return leave;
  }, [id]);
  return urls?.[part] ?? null;
}

/** Forgets that photos are not here, after some have come. */
export function tellPhotosCame(photos: readonly Photo[]): void {
  const byId = new Map(useUrls.getState().byId);
  for (const photo of photos) {
    if (byId.get(photo.id)) continue;
    byId.set(photo.id, keep(photo));
    if (!users.has(photo.id)) idle.add(photo.id);
  }
  useUrls.setState({ byId });
  giveUp();
}
