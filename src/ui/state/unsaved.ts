import type { DaybookEvent } from '../../core/records/index.ts';
import { countGiven } from './given.ts';

/** Written so much, or so long ago, a file should be saved again. */
const MANY_LINES = 60;
const MANY_DAYS = 14;
const DAY_MS = 86_400_000;

/** What is not in a file yet. */
export interface Unsaved {
  readonly lines: number;
  readonly savedAtMs: number | null;
  readonly isDue: boolean;
}

export function computeUnsaved(
  { generation, events }: { generation: string; events: readonly Pick<DaybookEvent, 'id' | 'atMs'>[] },
  saved: { generation: string; atMs: number; lines: number } | null,
  nowMs: number,
): Unsaved {
  const known = saved?.generation === generation ? saved : null;
  const given = countGiven(events);
  const lines = events.length - (known?.lines ?? given);
  const sinceMs = known?.atMs ?? events[given]?.atMs ?? nowMs;
  const isDue = lines >= MANY_LINES || (lines > 0 && nowMs - sinceMs >= MANY_DAYS * DAY_MS);
  return { lines, savedAtMs: known?.atMs ?? null, isDue };
}
