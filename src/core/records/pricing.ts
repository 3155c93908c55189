import { isFields as isRaw, type Fields as Raw } from './fields.ts';
import { liftAllSettings, mapChanges } from './lifting.ts';

/** What the estimates of version 8 say that those before it do not, as they were then: today's defaults may be others. */
const SENSE = {
  furtherPlaceSeconds: 12,
  furtherUnitSeconds: 40,
  furtherRoomSeconds: 40,
  rentSeconds: 0.6,
  nearSeconds: 3,
  kindSeconds: 15,
  stationSeconds: 45,
  strangerSeconds: 120,
  clashSeconds: 300,
  nameSeconds: 5,
  looseSeconds: 150,
  floppySeconds: 8,
  formSeconds: 10,
  floorSeconds: 40,
  mothSeconds: 4,
  relearnSeconds: 150,
};

/**
 * Room is rented and company is priced by kinship, where an empty place and a further group in a place had a price. A
 * table that was cleared at the price of those days is worth today's. Plans of before say nothing of what they did not
 * count.
 */
export function priceBySense(raw: Raw): Raw {
  const liftSettings = (settings: unknown) => {
    const estimates = isRaw(settings) ? settings['estimates'] : null;
    if (!isRaw(estimates)) return settings;
    const { mixSeconds: _mix, emptySeconds: _empty, tableSeconds, ...rest } = estimates;
    const table = tableSeconds === 30 ? 240 : tableSeconds;
    return {
      ...(settings as Raw),
      estimates: { ...SENSE, ...rest, ...(table !== undefined && { tableSeconds: table }) },
    };
  };
  const liftScore = (score: unknown) =>
    isRaw(score) && isRaw(score['parts'])
      ? { ...score, parts: { rent: 0, company: 0, holding: 0, ...score['parts'] } }
      : score;
  const liftPlan = (plan: unknown) =>
    isRaw(plan)
      ? Object.fromEntries(
          Object.entries(plan).map(([key, value]) => [
            key,
            key === 'score' || key === 'before' ? liftScore(value) : value,
          ]),
        )
      : plan;
  const lifted = mapChanges(raw, (change) => {
    const lift = change['table'] === 'settings' ? liftSettings : change['table'] === 'plans' ? liftPlan : null;
    return lift
      ? {
          ...change,
          ...('before' in change && { before: lift(change['before']) }),
          ...('after' in change && { after: lift(change['after']) }),
        }
      : change;
  });
  const { plans } = lifted;
  return {
    ...lifted,
    settings: liftSettings(raw['settings']),
    ...(Array.isArray(plans) && { plans: (plans as unknown[]).map(liftPlan) }),
  };
}

/** What was priced too low in version 8, and what it was raised to; a wrong name costs by group now and not by thing. */
const RAISED: Readonly<Record<string, readonly [before: number, after: number]>> = {
  nameSeconds: [5, 60],
  looseSeconds: [150, 200],
  floorSeconds: [40, 120],
};

/** Prices that nobody changed become those of the next version. */
export function raisePrices(raw: Raw): Raw {
  return liftAllSettings(raw, (settings) => {
    const estimates = isRaw(settings) ? settings['estimates'] : null;
    if (!isRaw(estimates)) return settings;
    const raised = Object.entries(RAISED).flatMap(([name, [before, after]]) =>
      estimates[name] === before ? [[name, after]] : [],
    );
    return { ...(settings as Raw), estimates: { ...estimates, ...Object.fromEntries(raised) } };
  });
}
