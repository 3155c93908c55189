import { readFileSync, writeFileSync } from 'node:fs';
import type { Act } from '../core/acts/index.ts';
import { passGate, stampEvent } from '../core/daybook/index.ts';
import { parseBundle, toBundle, type BundleFault } from '../core/formats/index.ts';
import type { Chronicle } from '../core/records/index.ts';

/** Where a command speaks to, and its clock. */
export interface Terminal {
  readonly print: (text: string) => void;
  readonly complain: (text: string) => void;
  readonly nowMs: () => number;
}

/** Exit codes: 0 done, 1 the file is bad, 2 the call is. */
export type ExitCode = 0 | 1 | 2;

/** The call is wrong; its message says how. */
export class UsageError extends Error {}

/** A number that was given with a call, or what stands for it. */
export function readNumber(text: string | undefined, name: string, fallback: number, min: number, max: number): number {
  if (text === undefined) return fallback;
  const value = Number(text);
  if (!Number.isFinite(value) || value < min || value > max)
    throw new UsageError(`--${name} takes a number from ${min} to ${max}, not "${text}"`);
  return value;
}

function formatFault({ code, path, note }: BundleFault): string {
  return `${path === '' ? '(file)' : path}: ${code}: ${note}`;
}

/** Reads a bundle file or complains with every fault. */
export function readBundle(file: string | undefined, terminal: Terminal): Chronicle | ExitCode {
  if (file === undefined) throw new UsageError('which file?');
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    terminal.complain(`${file}: cannot be read: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
    return 1;
  }
  const read = parseBundle(bytes);
  if (read.ok) return read.value;
  for (const fault of read.fault.slice(0, 200)) terminal.complain(formatFault(fault));
  if (read.fault.length > 200) terminal.complain(`… and ${read.fault.length - 200} more`);
  return 1;
}

/** Writes a household to a file with one act more; the act was made for it as it is, so that it holds. */
export function writeWithAct(
  file: string,
  { household, events, photos }: Chronicle,
  draft: Act,
  id: string,
  terminal: Terminal,
): void {
  const world = { nowMs: terminal.nowMs, createId: () => `${id}-${events.length}` };
  const step = draft.ok ? passGate(household, stampEvent(draft.value, events.length, world)) : draft;
  if (!step.ok) throw new Error(`an act that was just made does not hold: ${id}`);
  const { household: after, event } = step.value;
  writeFileSync(file, toBundle({ household: after, events: [...events, event], photos }));
}
