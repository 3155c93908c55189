import { useStream } from '../../state/useStream.ts';

/** A line of the scanner's stream: a code, or that it is there. */
function readNews(raw: unknown): { code?: string } | null {
  const news = raw as { code?: unknown; isThere?: unknown } | null;
  if (typeof news?.code === 'string') return { code: news.code };
  return news?.isThere === true ? {} : null;
}

/** Listens to the hand scanner; null while it is looked for. A scanner that types like a keyboard needs none of this. */
export function useScanner(onCode: (code: string) => void): 'there' | 'absent' | null {
  const { state } = useStream('/devices/scanner/stream', readNews, true, ({ code }) => {
    if (code !== undefined) onCode(code);
  });
  return state === 'there' || state === 'absent' ? state : null;
}
