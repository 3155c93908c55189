import { useEffect, useRef, useState } from 'react';

/** Reads a line of the scanner's stream: a code, or that it is there. */
function parseNews(text: string): { code?: string } | null {
  try {
    const raw = JSON.parse(text) as { code?: unknown; isThere?: unknown } | null;
    if (typeof raw?.code === 'string') return { code: raw.code };
    return raw?.isThere === true ? {} : null;
  } catch {
    return null;
  }
}

/** Listens to the hand scanner; null while it is looked for. A scanner that types like a keyboard needs none of this. */
export function useScanner(onCode: (code: string) => void): 'there' | 'absent' | null {
  const [state, setState] = useState<'there' | 'absent' | null>(null);
  const listener = useRef(onCode);
  useEffect(() => {
    listener.current = onCode;
  });
  useEffect(() => {
    const source = new EventSource('/devices/scanner/stream');
    source.onmessage = (message: MessageEvent<string>) => {
      const news = parseNews(message.data);
      if (!news) return;
      setState('there');
      if (news.code !== undefined) listener.current(news.code);
    };
    source.onerror = () => {
      source.close();
      setState('absent');
    };
    return () => source.close();
  }, []);
  return state;
}
