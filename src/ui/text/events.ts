import type { DaybookEvent, EventType } from '../../core/records/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { formatAmount } from './things.ts';

const TYPE: Record<EventType, string> = {
  received: 'Received',
  catalogued: 'Catalogued',
  changed: 'Changed',
  removed: 'Removed',
  tookOut: 'Took out',
  putBack: 'Put back',
  moved: 'Moved',
  cut: 'Cut',
  measured: 'Measured',
  usedUp: 'Used up',
  planned: 'Planned',
  adopted: 'Adopted a plan',
  carried: 'Carried home',
  roomChanged: 'Changed the room',
  settingsChanged: 'Changed settings',
  undone: 'Took back',
  imported: 'Took in',
  merged: 'Made one of two',
  reserved: 'Promised',
  released: 'Released',
  washed: 'Washed',
  wrapped: 'Wrapped up',
  lent: 'Lent',
  returned: 'Came back:',
  gaveAway: 'Gave away',
  sold: 'Sold',
  threwOut: 'Threw out',
  counted: 'Counted',
  notFound: 'Not found:',
  notFitting: 'Does not fit:',
  relabelled: 'Labelled',
  joined: 'Joined',
  mended: 'Put right:',
  learnt: 'Learnt how often they are used:',
  heaped: 'Heaped up',
  listed: 'Listed out of a heap:',
  projected: 'Project:',
  gathered: 'Gathered for',
  finished: 'Finished',
  letGo: 'Let go:',
  inspected: 'Gone through',
  cared: 'Looked after',
  opened: 'Opened',
};

/** One line of the daybook. */
export function wordEvent(event: DaybookEvent, units: UnitSystem): string {
  const { type, subject, amount, amountUnit = 'length' } = event;
  if (amount !== undefined) {
    const words = formatAmount(amount, amountUnit, units);
    if (type === 'cut') return `Cut ${words} from ${subject}${event.forWhat ? ` for ${event.forWhat}` : ''}`;
    if (type === 'counted') return `Counted ${words} of ${subject}`;
    if (type === 'measured') return `Measured ${words} of ${subject}`;
    if (type === 'reserved') return `Promised ${words} of ${subject}${event.forWhat ? ` to ${event.forWhat}` : ''}`;
  }
  if (type === 'merged' || type === 'imported') return `${TYPE[type]}: ${subject}`;
  if (type === 'undone') return `Took back: ${subject}`;
  if (type === 'settingsChanged') return TYPE[type];
  if (type === 'adopted' || type === 'carried' || type === 'roomChanged') return `${TYPE[type]}: ${subject}`;
  return `${TYPE[type]} ${subject}${event.forWhat ? ` for ${event.forWhat}` : ''}`;
}
