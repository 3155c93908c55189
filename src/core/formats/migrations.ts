import { fail, ok, type Result } from '../result/index.ts';

/** The version written today. Each step below lifts a bundle by one; none is ever removed. */
export const BUNDLE_VERSION = 2;

type Raw = Record<string, unknown>;

/**
 * 1 → 2: a thing without a home costs looking for it (`estimates.homelessSeconds`), which version 1 did
 * not have. The daybook is lifted with it, or it would no longer tell the same state.
 */
function addHomelessSeconds(raw: Raw): Raw {
  const lift = (settings: unknown) => {
    const estimates = (settings as { estimates?: Raw } | null)?.estimates;
    return estimates ? { ...(settings as Raw), estimates: { homelessSeconds: 90, ...estimates } } : settings;
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

/** Step i lifts version i + 1 to i + 2. */
const STEPS: readonly ((raw: Raw) => Raw)[] = [addHomelessSeconds];

/** Lifts a bundle's contents to today's version. */
export function migrateBundle(raw: Raw): Result<Raw, 'too-new' | 'not-a-bundle'> {
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return fail('not-a-bundle');
  if (version > BUNDLE_VERSION) return fail('too-new');
  let lifted = raw;
  for (let at = version; at < BUNDLE_VERSION; at += 1) lifted = { ...STEPS[at - 1]!(lifted), version: at + 1 };
  return ok(lifted);
}
