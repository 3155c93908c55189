import { fail, ok, type Result } from '../result/index.ts';

/** The version written today. Each step below lifts a bundle by one; none is ever removed. */
export const BUNDLE_VERSION = 4;

type Raw = Record<string, unknown>;

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Changes every change in the daybook. What is not of that shape is left for validation to complain about. */
function mapChanges(raw: Raw, map: (change: Raw) => unknown): Raw {
  const { events } = raw;
  if (!Array.isArray(events)) return raw;
  const lifted = (events as unknown[]).map((event) =>
    isRaw(event) && Array.isArray(event['changes'])
      ? { ...event, changes: (event['changes'] as unknown[]).map((change) => (isRaw(change) ? map(change) : change)) }
      : event,
  );
  return { ...raw, events: lifted };
}

/**
 * Adds an estimate that older settings do not have. The daybook is lifted with them, or it would no longer
 * tell the same state.
 */
function addEstimate(raw: Raw, name: string, seconds: number): Raw {
  const lift = (settings: unknown) => {
    const estimates = isRaw(settings) ? settings['estimates'] : null;
    return isRaw(estimates) ? { ...(settings as Raw), estimates: { [name]: seconds, ...estimates } } : settings;
  };
  const lifted = mapChanges(raw, (change) =>
    change['table'] === 'settings'
      ? { ...change, before: lift(change['before']), after: lift(change['after']) }
      : change,
  );
  return { ...lifted, settings: lift(raw['settings']) };
}

/**
 * Gives the first event the settings whole. Before version 3 it told only what differed from the defaults of
 * its day; taking back all later changes from the settings as they are leads to what it meant.
 */
function completeFirstEvent(raw: Raw): Raw {
  const { events, settings } = raw;
  if (!Array.isArray(events) || !isRaw(settings)) return raw;
  const [first, ...later] = events as unknown[];
  if (!isRaw(first) || !Array.isArray(first['changes'])) return raw;
  const whole = { ...settings };
  for (const event of later.toReversed())
    if (isRaw(event) && Array.isArray(event['changes']))
      for (const change of (event['changes'] as unknown[]).toReversed())
        if (isRaw(change) && change['table'] === 'settings' && isRaw(change['before']))
          Object.assign(whole, change['before']);
  const rest = (first['changes'] as unknown[]).filter((change) => !isRaw(change) || change['table'] !== 'settings');
  const came = { table: 'settings', id: 'household', before: null, after: whole };
  return { ...raw, events: [{ ...first, changes: [...rest, came] }, ...later] };
}

/** Renames a field where it is, keeping its place among the others. */
function rename(raw: unknown, from: string, to: string): unknown {
  if (!isRaw(raw) || !(from in raw)) return raw;
  return Object.fromEntries(Object.entries(raw).map(([name, value]) => [name === from ? to : name, value]));
}

/** Three kinds more, each with a school; amounts that are not only lengths. */
function addKinds(raw: Raw): Raw {
  const schools = { scrap: 'colour', kit: 'state', other: 'type' };
  const liftSettings = (settings: unknown) =>
    isRaw(settings) && isRaw(settings['schools'])
      ? { ...settings, schools: { ...settings['schools'], ...schools } }
      : settings;
  const liftLot = (lot: unknown) => rename(lot, 'lengthSigmaMm', 'amountSigma');
  const lifted = mapChanges(raw, (change) => {
    const lift = change['table'] === 'settings' ? liftSettings : change['table'] === 'lots' ? liftLot : null;
    return lift ? { ...change, before: lift(change['before']), after: lift(change['after']) } : change;
  });
  const { lots, events } = lifted;
  return {
    ...lifted,
    settings: liftSettings(raw['settings']),
    lots: Array.isArray(lots) ? (lots as unknown[]).map(liftLot) : lots,
    events: Array.isArray(events)
      ? (events as unknown[]).map((event) =>
          isRaw(event) && 'amountMm' in event
            ? { ...(rename(event, 'amountMm', 'amount') as Raw), amountUnit: 'length' }
            : event,
        )
      : events,
  };
}

/** Step i lifts version i + 1 to i + 2. */
const STEPS: readonly ((raw: Raw) => Raw)[] = [
  // 1 → 2: a thing without a home costs looking for it.
  (raw) => addEstimate(raw, 'homelessSeconds', 90),
  // 2 → 3: cloth out of sight and mixed places cost something, and the daybook no longer leans on defaults.
  (raw) => completeFirstEvent(addEstimate(addEstimate(raw, 'hiddenSeconds', 6), 'mixSeconds', 15)),
  // 3 → 4: scraps, kits and other things; amounts by area and count.
  addKinds,
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
