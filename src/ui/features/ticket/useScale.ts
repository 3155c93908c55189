import { useStream } from '../../state/useStream.ts';

/** What the bench scale shows. */
interface ScaleNews {
  readonly grams: number;
  readonly isStable: boolean;
  readonly resolutionG: number;
  readonly isOverloaded: boolean;
}

/** `off` until asked for; `absent` where no scale answers. */
type ScaleState = 'off' | 'looking' | 'there' | 'absent';

/** A line of the scale's stream; null for anything else. */
function readNews(raw: unknown): ScaleNews | null {
  const news = raw as Partial<ScaleNews> | null;
  const isGood =
    typeof news?.grams === 'number' &&
    typeof news.isStable === 'boolean' &&
    typeof news.resolutionG === 'number' &&
    news.resolutionG > 0;
  return isGood ? { ...(news as ScaleNews), isOverloaded: news.isOverloaded === true } : null;
}

/** Listens to the bench scale while `isWanted`. Without one the panel works all the same, by typing. */
export function useScale(isWanted: boolean): { state: ScaleState; news: ScaleNews | null } {
  return useStream('/devices/scale/stream', readNews, isWanted);
}
