import type { DaybookEvent, EventType } from '../../core/records/index.ts';
import { formatClothLength, type UnitSystem } from '../../core/units/index.ts';

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
};

/** One line of the daybook. */
export function wordEvent(event: DaybookEvent, units: UnitSystem): string {
  const { type, subject, amountMm } = event;
  if (amountMm !== undefined && type === 'cut') return `Cut ${formatClothLength(amountMm, units)} from ${subject}`;
  if (amountMm !== undefined && type === 'measured')
    return `Measured ${formatClothLength(amountMm, units)} of ${subject}`;
  if (type === 'undone') return `Took back: ${subject}`;
  if (type === 'settingsChanged') return TYPE[type];
  if (type === 'adopted' || type === 'carried' || type === 'roomChanged') return `${TYPE[type]}: ${subject}`;
  return `${TYPE[type]} ${subject}`;
}
