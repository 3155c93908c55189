import { useEffect } from 'react';
import { create } from 'zustand';
import type { Photo, PhotoId } from '../../core/records/index.ts';
import { photoStore } from './app.ts';

/** Addresses of photos within this page; null while one is looked for, or where it is not kept here. */
interface PhotoUrls {
  readonly swatch: string;
  readonly full: string;
}

const useUrls = create<{ readonly byId: ReadonlyMap<PhotoId, PhotoUrls | null> }>()(() => ({ byId: new Map() }));

const toUrl = (bytes: Uint8Array, type: string) => URL.createObjectURL(new Blob([bytes.slice().buffer], { type }));

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
    if (id === undefined || useUrls.getState().byId.has(id)) return;
    wanted.add(id);
    void loadWanted();
  }, [id]);
  return urls?.[part] ?? null;
}

/** Forgets that photos are not here, after some have come. */
export function tellPhotosCame(photos: readonly Photo[]): void {
  const byId = new Map(useUrls.getState().byId);
  for (const photo of photos) if (!byId.get(photo.id)) byId.set(photo.id, keep(photo));
  useUrls.setState({ byId });
}
