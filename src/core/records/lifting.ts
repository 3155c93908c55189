import { isFields as isRaw, type Fields as Raw } from './fields.ts';

/** Changes every change in the daybook. What is not of that shape is left for validation to complain about. */
export function mapChanges(raw: Raw, map: (change: Raw) => unknown): Raw {
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
export function addEstimate(raw: Raw, name: string, seconds: number): Raw {
  const lift = (settings: unknown) => {
    const estimates = isRaw(settings) ? settings['estimates'] : null;
    return isRaw(estimates) ? { ...(settings as Raw), estimates: { [name]: seconds, ...estimates } } : settings;
  };
  return liftAllSettings(raw, lift);
}

/** Changes what the daybook says that the records of a table were; a state may be a part of one. */
export function mapStates(raw: Raw, table: string, lift: (state: unknown, id: unknown) => unknown): Raw {
  return mapChanges(raw, (change) =>
    change['table'] === table
      ? {
          ...change,
          ...('before' in change && { before: lift(change['before'], change['id']) }),
          ...('after' in change && { after: lift(change['after'], change['id']) }),
        }
      : change,
  );
}

/** The settings as they are, and as the daybook says that they were. */
export function liftAllSettings(raw: Raw, lift: (settings: unknown) => unknown): Raw {
  return { ...mapStates(raw, 'settings', lift), settings: lift(raw['settings']) };
}
