import type { Photo } from '../../core/records/index.ts';
import { startPhotographer } from '../../workers/client.ts';
import { wordStoreFault } from '../text/index.ts';
import { wordLineFault } from '../text/lineFaults.ts';
import { wordPictureFault } from '../text/tables.ts';
import { tellPhotosCame } from './photos.ts';
import { photoStore } from './store.ts';

/** Pictures that are photos of this browser now; and of those that are none the last trouble, in words. */
export interface Developed {
  readonly photos: readonly Photo[];
  readonly trouble: string | null;
}

/** Makes photos of pictures and keeps them. */
export async function developPhotos(files: readonly File[]): Promise<Developed> {
  const photos: Photo[] = [];
  let trouble: string | null = null;
  await new Promise<void>((resolve) => {
    let heard = 0;
    startPhotographer(files, (message) => {
      heard += 1;
      if (message.type === 'developed') photos.push(message.photo);
      else trouble = message.type === 'failed' ? wordLineFault(message.fault) : wordPictureFault(message.fault);
      if (heard === files.length) resolve();
    });
  });
  if (photos.length === 0) return { photos, trouble };
  const kept = await photoStore.savePhotos(photos);
  if (!kept.ok) return { photos: [], trouble: wordStoreFault(kept.fault) };
  tellPhotosCame(photos);
  return { photos, trouble };
}
