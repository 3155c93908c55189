import { useEffect, useState } from 'react';
import type { PrinterFault } from '../../text/labels.ts';
import type { Sheet } from '../../../core/formats/sheet/index.ts';

interface PrinterNews {
  readonly isOn: boolean;
  readonly isJammed: boolean;
  readonly left: number;
}

function parseNews(text: string): PrinterNews | null {
  try {
    const raw = JSON.parse(text) as Partial<PrinterNews> | null;
    const isGood =
      typeof raw?.isOn === 'boolean' &&
      typeof raw.isJammed === 'boolean' &&
      Number.isInteger(raw.left) &&
      raw.left! >= 0;
    return isGood ? (raw as PrinterNews) : null;
  } catch {
    return null;
  }
}

/** What the label printer says of itself; null while it is looked for, `absent` where none answers. */
export function usePrinter(): PrinterNews | 'absent' | null {
  const [news, setNews] = useState<PrinterNews | 'absent' | null>(null);
  useEffect(() => {
    const source = new EventSource('/devices/printer/stream');
    source.onmessage = (message: MessageEvent<string>) => {
      const read = parseNews(message.data);
      if (read) setNews(read);
    };
    source.onerror = () => {
      source.close();
      setNews('absent');
    };
    return () => source.close();
  }, []);
  return news;
}

const FAULTS: readonly string[] = ['off', 'out', 'jam'] satisfies PrinterFault[];

/** Sends one label; null where it came out. */
export async function printLabel(sheet: Sheet): Promise<PrinterFault | null> {
  try {
    const reply = await fetch('/devices/printer/print', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(sheet),
    });
    if (!reply.ok) return 'absent';
    const { fault } = (await reply.json()) as { fault?: string };
    return fault !== undefined && FAULTS.includes(fault) ? (fault as PrinterFault) : null;
  } catch {
    return 'absent';
  }
}
