import { useEffect, useRef, useState } from 'react';

/** After a device went, it is looked for again so soon at first, and no more seldom than at last. */
const FIRST_MS = 1000;
const LAST_MS = 30_000;

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/**
 * Listens to a device of the server while `isWanted`. `read` takes a line of its stream: what it says, or null where it
 * is none of the device's. A line that breaks is taken up again by itself; what was said last is shown as long as the
 * device is there.
 */
export function useStream<T>(
  path: string,
  read: (raw: unknown) => T | null,
  isWanted = true,
  onNews?: (news: T) => void,
): { readonly state: 'off' | 'looking' | 'there' | 'absent'; readonly news: T | null } {
  const [news, setNews] = useState<T | null>(null);
  const [isAbsent, setAbsent] = useState(false);
  const listener = useRef({ read, onNews });
  useEffect(() => {
    listener.current = { read, onNews };
  });
  useEffect(() => {
    if (!isWanted) return;
    let source: EventSource;
    let timer = 0;
    let waitMs = FIRST_MS;
    const connect = () => {
      source = new EventSource(path);
      source.onmessage = (message: MessageEvent<string>) => {
        const told = listener.current.read(parse(message.data));
        if (told === null) return;
        waitMs = FIRST_MS;
        setAbsent(false);
        setNews(told);
        listener.current.onNews?.(told);
      };
      // The browser's own way of trying again stops at an answer that is none.
      source.onerror = () => {
        source.close();
        setAbsent(true);
        setNews(null);
        timer = window.setTimeout(connect, waitMs);
        waitMs = Math.min(LAST_MS, waitMs * 2);
      };
    };
    connect();
    return () => {
      source.close();
      window.clearTimeout(timer);
      setNews(null);
      setAbsent(false);
    };
  }, [path, isWanted]);
  return { state: !isWanted ? 'off' : isAbsent ? 'absent' : news === null ? 'looking' : 'there', news };
}
