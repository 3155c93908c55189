import { fail, ok, type Result } from '../result/index.ts';

/** The version written today. Each step below lifts a bundle by one; none is ever removed. */
export const BUNDLE_VERSION = 3;

type Raw = Record<string, unknown>;

/**
 * Adds an estimate that older settings do not have. The daybook is lifted with them, or it would no longer
 * tell the same state.
 */
function addEstimate(raw: Raw, name: string, seconds: number): Raw {
  const lift = (settings: unknown) => {
    const estimates = (settings as { estimates?: Raw } | null)?.estimates;
    return estimates ? { ...(settings as Raw), estimates: { [name]: seconds, ...estimates } } : settings;
  };
  const events = Array.isArray(raw['events']) ? (raw['events'] as { changes?: Raw[] }[]) : [];
  return {
    ...raw,
    settings: lift(raw['settings']),
    events: events.map((event) => ({
      ...event,
      changes: event.changes?.map((change) =>
        change['table'] === 'settings'
          ? { ...change, before: lift(change['before']), after: lift(change['after']) }
          : change,
      ),
    })),
  };
}

/**
 * Gives the first event the settings whole. Before version 3 it told only what differed from the defaults of
 * its day; taking back all later changes from the settings as they are leads to what it meant.
 */
function completeFirstEvent(raw: Raw): Raw {
  const events = Array.isArray(raw['events']) ? (raw['events'] as { changes?: Raw[] }[]) : [];
  const [first, ...later] = events;
  if (!first?.changes || typeof raw['settings'] !== 'object') return raw;
  let settings = raw['settings'] as Raw;
  for (const event of later.toReversed())
    for (const change of (event.changes ?? []).toReversed())
      if (change['table'] === 'settings') settings = { ...settings, ...(change['before'] as Raw) };
  const rest = first.changes.filter((change) => change['table'] !== 'settings');
  const whole = { table: 'settings', id: 'household', before: null, after: settings };
  return { ...raw, events: [{ ...first, changes: [...rest, whole] }, ...later] };
}

/** Step i lifts version i + 1 to i + 2. */
const STEPS: readonly ((raw: Raw) => Raw)[] = [
  // 1 → 2: a thing without a home costs looking for it.
  (raw) => addEstimate(raw, 'homelessSeconds', 90),
  // 2 → 3: cloth out of sight and mixed places cost something, and the daybook no longer leans on defaults.
  (raw) => completeFirstEvent(addEstimate(addEstimate(raw, 'hiddenSeconds', 6), 'mixSeconds', 15)),
];

/** Lifts a bundle's contents to a version, today's unless told otherwise. */
export function migrateBundle(raw: Raw, to = BUNDLE_VERSION): Result<Raw, 'too-new' | 'not-a-bundle'> {
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return fail('not-a-bundle');
  if (version > to) return fail('too-new');
  let lifted = raw;
  for (let at = version; at < to; at += 1) lifted = { ...STEPS[at - 1]!(lifted), version: at + 1 };
  return ok(lifted);
}
