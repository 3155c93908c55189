import { computeWheelKey, getColourFamily } from '../colour/index.ts';
import { takesRoom, type Household, type Item, type Kind, type Lot, type School } from '../records/index.ts';

/** What a group is called: a code worded by the interface, with the user's own word or number in it. */
export interface GroupLabel {
  readonly code:
    'fibre' | 'colour' | 'lengthClass' | 'numbers' | 'garment' | 'use' | 'type' | 'station' | 'cut' | 'kitState';
  readonly value: string;
}

/** A live group: the rule's lots at this moment, in the order they stand. */
export interface Group {
  readonly id: string;
  readonly kind: Kind;
  readonly school: School;
  readonly label: GroupLabel;
  readonly lots: readonly Lot[];
}

/** The schools offered for each kind; the first is the default. */
export const SCHOOLS_OF_KIND: Record<Kind, readonly School[]> = {
  fabric: ['kindAndFibre', 'colour', 'lengthClass'],
  pattern: ['numberRun', 'type'],
  thread: ['use', 'colour', 'kindAndFibre'],
  notion: ['type', 'station'],
  tool: ['station', 'type'],
  scrap: ['colour', 'kindAndFibre', 'type'],
  kit: ['state', 'station'],
  other: ['type', 'station'],
};

/** Patterns are kept in runs of a hundred numbers. */
const RUN = 100;

function getLabel(item: Item, lot: Lot, school: School, household: Household): GroupLabel {
  const { settings } = household;
  switch (school) {
    case 'colour':
      return { code: 'colour', value: getColourFamily(item.colours[0] ?? '#888888') };
    case 'lengthClass': {
      const mm = lot.lengthMm ?? 0;
      const value = mm < settings.remnantBelowMm ? 'remnant' : mm < settings.garmentFromMm ? 'project' : 'garment';
      return { code: 'lengthClass', value };
    }
    case 'kindAndFibre':
      return { code: 'fibre', value: item.fabric?.fibre ?? item.thread?.fibre ?? '' };
    case 'numberRun':
      return { code: 'numbers', value: String(Math.floor((item.pattern?.number ?? 0) / RUN) * RUN) };
    case 'use':
      return { code: 'use', value: item.thread?.use ?? '' };
    case 'station':
      return { code: 'station', value: item.stationId };
    case 'state':
      return { code: 'kitState', value: item.kit?.state ?? '' };
    case 'type':
      if (item.scrap) return { code: 'cut', value: item.scrap.cut };
      return item.pattern
        ? { code: 'garment', value: item.pattern.garment }
        : { code: 'type', value: item.box?.type ?? '' };
  }
}

/** Order inside a group: patterns by number, cloth by length class from long to short, what has colour round the wheel, else by name. */
function compareInGroup(school: School, a: { item: Item; lot: Lot }, b: { item: Item; lot: Lot }): number {
  let by = 0;
  if (a.item.pattern && b.item.pattern) by = a.item.pattern.number - b.item.pattern.number;
  else if (school === 'lengthClass') by = (b.lot.lengthMm ?? 0) - (a.lot.lengthMm ?? 0);
  else if ((a.item.fabric && b.item.fabric) || (a.item.thread && b.item.thread))
    by = computeWheelKey(a.item.colours[0] ?? '#888888') - computeWheelKey(b.item.colours[0] ?? '#888888');
  return by || a.item.name.localeCompare(b.item.name, 'en') || (a.lot.id < b.lot.id ? -1 : 1);
}

/** Sorts every lot that takes room by the school of its kind. Groups come by kind, then by label. */
export function computeGroups(household: Household): Group[] {
  const found = new Map<
    string,
    { kind: Kind; school: School; label: GroupLabel; members: { item: Item; lot: Lot }[] }
  >();
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || !takesRoom(lot)) continue;
    const school = household.settings.schools[item.kind];
    const label = getLabel(item, lot, school, household);
    const id = `${item.kind}:${label.code}:${label.value}`;
    const group = found.get(id);
    if (group) group.members.push({ item, lot });
    else found.set(id, { kind: item.kind, school, label, members: [{ item, lot }] });
  }
  const kinds = Object.keys(SCHOOLS_OF_KIND);
  return [...found]
    .map(([id, { kind, school, label, members }]): Group => {
      const lots = members.toSorted((a, b) => compareInGroup(school, a, b)).map((one) => one.lot);
      return { id, kind, school, label, lots };
    })
    .toSorted(
      (a, b) =>
        kinds.indexOf(a.kind) - kinds.indexOf(b.kind) ||
        a.label.value.localeCompare(b.label.value, 'en', { numeric: true }),
    );
}
