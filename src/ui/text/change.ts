import { formatMinutes } from '../../core/units/index.ts';
import { t } from '../language/index.ts';

/** `3.1 min a month more`. Next to nothing is said by each place in its own words. */
export function wordChange(moreSeconds: number): string {
  const minutes = formatMinutes(Math.abs(moreSeconds));
  return moreSeconds > 0 ? t('{minutes} a month more', { minutes }) : t('{minutes} a month less', { minutes });
}
