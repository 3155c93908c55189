import { useEffect, useState } from 'react';

/** What the bench scale shows. */
interface ScaleNews {
  readonly grams: number;
  readonly isStable: boolean;
  readonly resolutionG: number;
  readonly isOverloaded: boolean;
}

/** `off` until asked for; `absent` where no scale answers. */
type ScaleState = 'off' | 'looking' | 'there' | 'absent';

/** Reads a line of the scale's stream; null for anything else. */
function parseScaleNews(text: string): ScaleNews | null {
  try {
    const raw = JSON.parse(text) as Partial<ScaleNews> | null;
    const isGood =
      typeof raw?.grams === 'number' &&
      typeof raw.isStable === 'boolean' &&
      typeof raw.resolutionG === 'number' &&
      raw.resolutionG > 0;
    return isGood ? { ...(raw as ScaleNews), isOverloaded: raw.isOverloaded === true } : null;
  } catch {
    return null;
  }
}

/** Listens to the bench scale while `isWanted`. Without one the panel works all the same, by typing. */
export function useScale(isWanted: boolean): { state: ScaleState; news: ScaleNews | null } {
  const [news, setNews] = useState<ScaleNews | null>(null);
  const [isAbsent, setAbsent] = useState(false);
  useEffect(() => {
    if (!isWanted) return;
    const source = new EventSource('/devices/scale/stream');
    source.onmessage = (message: MessageEvent<string>) => {
      const read = parseScaleNews(message.data);
      if (!read) return;
      setNews(read);
    };
    source.onerror = () => {
      source.close();
      setAbsent(true);
    };
    return () => {
      source.close();
      setNews(null);
      setAbsent(false);
    };
  }, [isWanted]);
  const state: ScaleState = !isWanted ? 'off' : isAbsent ? 'absent' : news ? 'there' : 'looking';
  return { state, news };
}
