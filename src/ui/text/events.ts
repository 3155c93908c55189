import type { DaybookEvent, EventType } from '../../core/records/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { formatAmount } from './things.ts';
import { perLanguage, t } from '../language/index.ts';

const TYPE = perLanguage((): Record<EventType, string> => ({
  received: t('Received'),
  catalogued: t('Catalogued'),
  changed: t('Changed'),
  removed: t('Removed'),
  tookOut: t('Took out'),
  putBack: t('Put back'),
  moved: t('Moved'),
  cut: t('Cut some of'),
  measured: t('Measured'),
  usedUp: t('Used up'),
  planned: t('Planned'),
  adopted: t('Adopted a plan'),
  carried: t('Carried home'),
  roomChanged: t('Changed the room'),
  settingsChanged: t('Changed settings'),
  undone: t('Took back'),
  imported: t('Took in'),
  merged: t('Made one of two'),
  reserved: t('Promised'),
  released: t('Released'),
  washed: t('Washed'),
  wrapped: t('Wrapped up'),
  lent: t('Lent'),
  returned: t('Came back:'),
  gaveAway: t('Gave away'),
  sold: t('Sold'),
  threwOut: t('Threw out'),
  counted: t('Counted'),
  notFound: t('Not found:'),
  notFitting: t('Does not fit:'),
  relabelled: t('Labelled'),
  joined: t('Joined'),
  mended: t('Put right:'),
  learnt: t('Learnt:'),
  heaped: t('Heaped up'),
  listed: t('Listed out of a heap:'),
  projected: t('Project:'),
  gathered: t('Gathered for'),
  finished: t('Finished'),
  letGo: t('Let go:'),
  inspected: t('Gone through'),
  cared: t('Looked after'),
  opened: t('Opened a packet:'),
}));

/** Acts that are said as a heading of what they were done to. */
const WITH_COLON: ReadonlySet<EventType> = new Set(['merged', 'imported', 'adopted', 'carried', 'roomChanged']);

/** One line of the daybook. */
export function wordEvent(event: DaybookEvent, units: UnitSystem): string {
  const { type, subject, amount, amountUnit = 'length' } = event;
  if (amount !== undefined) {
    const words = formatAmount(amount, amountUnit, units);
    if (type === 'cut')
      return t(event.forWhat ? 'Cut {amount} from {subject} for {forWhat}' : 'Cut {amount} from {subject}', {
        amount: words,
        subject,
        forWhat: event.forWhat,
      });
    if (type === 'counted') return t('Counted {words} of {subject}', { words, subject });
    if (type === 'measured') return t('Measured {words} of {subject}', { words, subject });
    if (type === 'reserved')
      return t(event.forWhat ? 'Promised {amount} of {subject} to {forWhat}' : 'Promised {amount} of {subject}', {
        amount: words,
        subject,
        forWhat: event.forWhat,
      });
  }
  if (type === 'undone') return t('Took back: {subject}', { subject });
  if (type === 'settingsChanged') return TYPE()[type];
  const act = TYPE()[type];
  if (WITH_COLON.has(type)) return t('{act}: {subject}', { act, subject });
  // Elsewhere the two words are what a button does; other languages say that otherwise.
  if (type === 'putBack' && !event.forWhat) return t('Put back {subject}', { subject });
  return t(event.forWhat ? '{act} {subject} for {forWhat}' : '{act} {subject}', {
    act,
    subject,
    forWhat: event.forWhat,
  });
}
