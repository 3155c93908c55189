export { listGroupYears, listGroupYearsInSlices, type GroupYear } from './flowsByGroup.ts';
export { lookAhead, type Forecast, type Help, type Outlook, type PlaceOutlook } from './forecast.ts';
export { listDue, type Due } from './clockwork.ts';
export {
  listReview,
  listReviewInSlices,
  takeSitting,
  USUAL_PACE_SECONDS,
  type ReviewEntry,
  type ReviewReason,
} from './review.ts';
export { listWaiting, sumWon, withoutLeaving, type SittingWon } from './won.ts';
export { listFetchedFromAfar, listOfSeason, planTurn, type Turn, type TurnPlan } from './season.ts';
export { drawStashCurve, type StashCurve } from './stash.ts';
export { formatChoreLine, parseChoreLine } from './choreLines.ts';
export {
  computeSunYear,
  listAgainstClimate,
  listCarried,
  listFading,
  type AgainstClimate,
  type Carried,
  type Fading,
} from './air.ts';
