import { readFileSync, writeFileSync } from 'node:fs';
import type { Act } from '../core/acts/index.ts';
import { passGate, stampEvent } from '../core/daybook/index.ts';
import { parseBundle, toBundle, type BundleFault } from '../core/formats/index.ts';
import type { Chronicle } from '../core/records/index.ts';
import { LANGUAGES, t, type Language } from '../ui/language/index.ts';

/** Where a command speaks to, and its clock. */
export interface Terminal {
  readonly print: (text: string) => void;
  readonly complain: (text: string) => void;
  readonly nowMs: () => number;
}

/** The language of the system, such as `de_DE.UTF-8`, in the order in which all commands ask for it; else English. */
export function findSpoken({ LC_ALL, LC_MESSAGES, LANG }: Readonly<Record<string, string | undefined>>): Language {
  const [wanted] = (LC_ALL || LC_MESSAGES || LANG || '').split(/[_.@]/);
  return LANGUAGES.find((language) => language === wanted) ?? 'en';
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
    throw new UsageError(t('--{name} takes a number from {min} to {max}, not “{text}”', { name, min, max, text }));
  return value;
}

function formatFault({ code, path, note }: BundleFault): string {
  return `${path === '' ? t('(file)') : path}: ${code}: ${note}`;
}

/** Reads a bundle file or complains with every fault. */
export function readBundle(file: string | undefined, terminal: Terminal): Chronicle | ExitCode {
  if (file === undefined) throw new UsageError(t('which file?'));
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    const why = (error as NodeJS.ErrnoException).code ?? String(error);
    terminal.complain(t('{file}: cannot be read: {why}', { file, why }));
    return 1;
  }
  const read = parseBundle(bytes);
  if (read.ok) return read.value;
  for (const fault of read.fault.slice(0, 200)) terminal.complain(formatFault(fault));
  if (read.fault.length > 200) terminal.complain(t('… and {more} more', { more: read.fault.length - 200 }));
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
