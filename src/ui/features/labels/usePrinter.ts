import { useStream } from '../../state/useStream.ts';
import type { PrinterFault } from '../../text/labels.ts';
import type { Sheet } from '../../../core/formats/sheet/index.ts';

interface PrinterNews {
  readonly isOn: boolean;
  readonly isJammed: boolean;
  readonly left: number;
}

function readNews(raw: unknown): PrinterNews | null {
  const news = raw as Partial<PrinterNews> | null;
  const isGood =
    typeof news?.isOn === 'boolean' &&
    typeof news.isJammed === 'boolean' &&
    Number.isInteger(news.left) &&
    news.left! >= 0;
  return isGood ? (news as PrinterNews) : null;
}

/** What the label printer says of itself; null while it is looked for, `absent` where none answers. */
export function usePrinter(): PrinterNews | 'absent' | null {
  const { state, news } = useStream('/devices/printer/stream', readNews);
  return state === 'absent' ? 'absent' : news;
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
