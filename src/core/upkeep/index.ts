export { listGroupYears, type GroupYear } from './flowsByGroup.ts';
export { forecast, HORIZONS, listHelp, type Forecast, type Help, type Outlook, type PlaceOutlook } from './forecast.ts';
export { drawFutures, getQuantile, MONTHS_AHEAD } from './resample.ts';
export { getLastDay, listDue, type Due } from './clockwork.ts';
export { listReview, takeSitting, USUAL_PACE_SECONDS, type ReviewEntry, type ReviewReason } from './review.ts';
