import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { PhotoFindings } from '../../../core/colour/index.ts';
import type { Photo, Print } from '../../../core/records/index.ts';
import { startPhotographer } from '../../../workers/client.ts';
import { tellPhotosCame } from '../../state/photos.ts';
import { wordLineFault } from '../../text/lineFaults.ts';
import { wordPictureFault } from '../../text/tables.ts';

/** A picture on its way to become a thing: what it shows, and what the sewist says it is. */
export interface Shot {
  readonly id: string;
  readonly fileName: string;
  readonly photo: Photo | null;
  readonly findings: PhotoFindings | null;
  readonly trouble: string | null;
  readonly text: string;
  /** Of the colours found, the one it goes by. */
  readonly colour: number;
  readonly print: Print;
}

let count = 0;

/** Pictures taken in one after the other by a worker; the page stays alive whatever their size. */
export function usePhotos() {
  const [shots, setShots] = useState<readonly Shot[]>([]);
  const [done, setDone] = useState({ read: 0, of: 0 });
  const stops = useRef<(() => void)[]>([]);
  useEffect(() => () => stops.current.forEach((stop) => stop()), []);

  const change = useCallback(
    (id: string, news: Partial<Shot>) =>
      setShots((all) => all.map((shot) => (shot.id === id ? { ...shot, ...news } : shot))),
    [],
  );
  const drop = useCallback(
    (ids: readonly string[]) => setShots((all) => all.filter((shot) => !ids.includes(shot.id))),
    [],
  );
  const add = (files: readonly File[]) => {
    if (files.length === 0) return;
    const fresh = files.map((file): Shot => {
      count += 1;
      return {
        id: `shot-${count}`,
        fileName: file.name,
        photo: null,
        findings: null,
        trouble: null,
        text: '',
        colour: 0,
        print: 'solid',
      };
    });
    // Taking over a hundred files keeps the browser busy by itself: their cards and the worker come in tasks of their own.
    startTransition(() => setShots((all) => [...all, ...fresh]));
    setDone((now) => ({ ...now, of: now.of + files.length }));
    const begin = () =>
      startPhotographer(files, (message) => {
        const shot = fresh[message.nth];
        if (!shot) return;
        setDone((now) => ({ ...now, read: now.read + 1 }));
        if (message.type === 'refused') change(shot.id, { trouble: wordPictureFault(message.fault) });
        else if (message.type === 'failed') change(shot.id, { trouble: wordLineFault(message.fault) });
        else {
          tellPhotosCame([message.photo]);
          change(shot.id, { photo: message.photo, findings: message.findings, print: message.findings.print });
        }
      });
    let stop: (() => void) | null = null;
    const wait = setTimeout(() => {
      stop = begin();
    });
    stops.current.push(() => {
      clearTimeout(wait);
      stop?.();
    });
  };
  return { shots, done, add, change, drop };
}
