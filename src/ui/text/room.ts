import type {
  Finding,
  FindingCode,
  HeightAdvice,
  LoadFinding,
  PowerFinding,
  RoomFault,
  Spread,
  Triangle,
} from '../../core/room/index.ts';
import type { RoomSpec } from '../../core/records/index.ts';
import type { BoxSize, Nesting } from '../../core/storage/index.ts';
import { formatClothLength, formatMass, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import { toTable } from '../../core/words/index.ts';

/** Not in the index of words: only the plan needs these, and the first screen should not wait for them. */

/** What each finding says; `other` is what is in the way, empty where that is a wall. */
/** What there is of what is needed, and what takes the rest. */
const leavesOf = (other: string, left: string) => (other === '' ? `there are ${left}` : `${other} leaves ${left}`);

const SAYS: Record<
  FindingCode,
  (name: string, other: string, missing: string, needed: string, left: string) => string
> = {
  outside: (name, _, missing) => `${name} sticks ${missing} out of the room.`,
  overlap: (name, other, missing) => `${name} and ${other} are ${missing} in each other.`,
  headroom: (name, _, missing) => `${name} is ${missing} too high for the ceiling there.`,
  'door-swing': (name, other, missing) => `${other} hits ${name}: ${missing} in its swing.`,
  'door-way': (name, other, missing, needed) => `${name} stands ${missing} in the ${needed} before ${other}.`,
  'zone-stand': (name, other, _, needed, left) => `To stand before ${name} takes ${needed}; ${leavesOf(other, left)}.`,
  'zone-drawer': (name, other, _, needed, left) =>
    `To pull out ${name} takes ${needed}, a drawer and 60 cm; ${leavesOf(other, left)}.`,
  'zone-leaf': (name, other, _, needed, left) => `To open ${name} takes ${needed}; ${leavesOf(other, left)}.`,
  'zone-chair': (name, other, _, needed, left) => `A chair at ${name} takes ${needed}; ${leavesOf(other, left)}.`,
  'zone-around': (name, other, _, needed, left) => `To walk round ${name} takes ${needed}; ${leavesOf(other, left)}.`,
  stoop: (name, _, missing) => `Before ${name} you stoop: the ceiling is ${missing} too low.`,
  unreachable: (name) => `No way leads from the door to ${name}.`,
  'way-narrow': (name, _, missing, needed) => `The way to ${name} is ${missing} short of the ${needed} one needs.`,
  'way-tight': (name, _, missing, needed) => `The way to ${name} is ${missing} short of an easy ${needed}.`,
  'socket-behind': (name, other) => `${name} stands before ${other}.`,
  'heater-near': (name, other, missing, needed) => `${name} is ${missing} nearer to ${other} than ${needed}.`,
  'window-covered': (name, other, missing) => `${name} covers ${missing} of ${other}.`,
  'reach-over': (name, other, missing) => `${name} is reached over ${other}, ${missing} farther than one leans.`,
  knees: (name, other, _, needed, left) => `Knees at ${name} take ${needed}; ${leavesOf(other, left)}.`,
  'lid-under': (name, other, missing) => `The lid of ${name} hits ${other}: it needs ${missing} more above it.`,
  'work-under': (name, other, missing) => `To work on ${name} you need ${missing} more under ${other}.`,
  'reach-chair': (name, other, missing) =>
    `What you want daily from ${name} is ${missing} out of reach from the chair at ${other}.`,
  'own-shadow': (name, other, missing) =>
    `At ${name} your own shadow falls on the work: ${other} is behind you. ${missing} to the side it is not, or a lamp before you helps.`,
  'sun-on': (name) => `The sun shines on ${name}`,
};

/** Names of doors, windows and sockets, which have none of their own. */
function nameFixed(room: RoomSpec, id: string): string | null {
  const wallName = (wallId: string) => room.walls.find((wall) => wall.id === wallId)?.name ?? 'the wall';
  const door = room.doors.find((one) => one.id === id);
  if (door) return `the door in ${wallName(door.wallId)}`;
  const window = room.windows.find((one) => one.id === id);
  if (window) return `the window in ${wallName(window.wallId)}`;
  const socket = room.sockets.find((one) => one.id === id);
  if (socket) return `the socket in ${wallName(socket.wallId)}`;
  return [...room.fixtures, ...(room.lamps ?? [])].find((one) => one.id === id)?.name ?? null;
}

const SEASON = { june: 'in June', equinox: 'in March and September', december: 'in December' } as const;

function formatHours(hours: number): string {
  return hours < 1 ? `${Math.round(hours * 60)} minutes` : wordCount(Number(hours.toFixed(1)), 'hour');
}

/** A finding in words, with the missing centimetres. */
export function wordFinding(finding: Finding, room: RoomSpec, nameUnit: (id: string) => string, units: UnitSystem) {
  const name = (id: string) => nameFixed(room, id) ?? nameUnit(id);
  const other = finding.otherId === null ? '' : name(finding.otherId);
  const more = finding.more ? ` and ${wordCount(finding.more, 'more piece')}` : '';
  const words = SAYS[finding.code](
    name(finding.bodyId) + more,
    other,
    formatSize(Math.max(1, finding.missingMm), units),
    formatSize(finding.neededMm, units),
    formatSize(Math.max(0, finding.neededMm - finding.missingMm), units),
  );
  if (finding.sun)
    return `${words} ${formatHours(finding.sun.hours)} a day ${SEASON[finding.sun.season]}, where the sky is clear.`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What is wrong with a room as it was typed. */
export function wordRoomFault({ code, neededMm, availableMm }: RoomFault, units: UnitSystem): string {
  const [needed, available] = [formatSize(neededMm ?? 0, units), formatSize(availableMm ?? 0, units)];
  switch (code) {
    case 'walls-cross':
      return 'This wall crosses another. Check its length and the corners before it.';
    case 'wall-too-short':
      return `This wall is ${available} long; less than ${needed} is no wall.`;
    case 'goes-round-wrong':
      return 'The walls go round to the left. Measure them to the right, as you see them from inside.';
    case 'knee-above-ceiling':
      return `The slope begins at ${needed}, above the ceiling of ${available}.`;
    case 'beyond-wall':
      return `It takes ${needed} of its wall, where ${available} are left.`;
    case 'above-ceiling':
      return `It is ${needed} high; the ceiling there is at ${available}.`;
    case 'doors-overlap':
      return 'Another door is there already.';
    case 'outside':
      return 'It is outside of the room.';
  }
}

/** How the metres of an hour were made, leg by leg. */
export function wordTriangle({ legs }: Triangle, units: UnitSystem): string {
  const parts = legs.map(({ from, to, lengthMm, perHour }) =>
    lengthMm === null
      ? `no way leads from ${from.toLowerCase()} to ${to.toLowerCase()}`
      : `${from.toLowerCase()} to ${to.toLowerCase()} ${formatSize(lengthMm, units)}, ${perHour} times there and back`,
  );
  return `The shortest ways round the furniture: ${parts.join('; ')}. How often one gets up is an estimate.`;
}

/** How often a bin goes into a compartment, how it stands and what is left over; where it does not, what is missing. */
export function wordNesting(nesting: Nesting, box: BoxSize, room: BoxSize, units: UnitSystem): string {
  const { count, perLayer, layers, nooks, leftOver } = nesting;
  const size = (mm: number) => formatSize(mm, units);
  if (count === 0) {
    const high = box.heightMm - room.heightMm;
    if (high > 0.5) return `It is ${size(high)} too high.`;
    // The way round that misses by less.
    const misses = (a: number, b: number) => Math.max(0, a - room.widthMm) + Math.max(0, b - room.depthMm);
    const isTurned = misses(box.depthMm, box.widthMm) < misses(box.widthMm, box.depthMm);
    const [a, b] = isTurned ? [box.depthMm, box.widthMm] : [box.widthMm, box.depthMm];
    const wide = a - room.widthMm > 0.5 ? [`${size(a - room.widthMm)} too wide`] : [];
    const deep = b - room.depthMm > 0.5 ? [`${size(b - room.depthMm)} too deep`] : [];
    return `It is ${[...wide, ...deep].join(' and ')}.`;
  }
  const turned = nooks.filter((nook) => nook.isTurned).length;
  const behind = new Set(nooks.map((nook) => nook.yMm)).size > 1;
  const ways = [
    turned === 0 ? '' : turned === count ? 'side to the front' : `${turned} of them side to the front`,
    behind ? 'one behind the other' : '',
    layers > 1 ? `${layers} high, ${perLayer} on the floor` : '',
  ].filter((way) => way !== '');
  const left = [
    [leftOver.widthMm, 'beside'],
    [leftOver.depthMm, 'behind'],
    [leftOver.heightMm, 'above'],
  ] as const;
  const over = left.map(([mm, where]) => `${size(mm)} ${where}`).join(', ');
  return `${count === 1 ? 'One goes in' : `${count.toLocaleString('en')} go in`}${ways.length > 0 ? `, ${ways.join(', ')}` : ''}; ${over} left over.`;
}

/** What is too heavy or can fall, with the figures and what is usual against it. */
export function wordLoadFinding(finding: LoadFinding, name: string, units: UnitSystem): string {
  const [mass, limit] = [formatMass(finding.massG, units), formatMass(finding.limitG, units)];
  switch (finding.code) {
    case 'slot-load':
      return `${name} is loaded with ${mass} and carries ${limit}.`;
    case 'unit-load':
      return `In ${name} lie ${mass}; it carries ${limit}.`;
    case 'bin-load':
      return `${name} weighs ${mass}; it is made for ${limit}.`;
    case 'bin-lift':
      return `${name} weighs ${mass}: more than the ${limit} one lifts there. Split it, or keep it lower.`;
    case 'anchor':
      return `Nothing anchors ${name}: ${mass} in all, and a pull of ${limit} at the top tips it. Anchor it to the wall.`;
    case 'rolls':
      return `${name} rolls, so nothing can hold it: ${mass} in all, and a pull of ${limit} at the top tips it. Fill it from the bottom and brake its wheels.`;
    case 'drawers-tip':
    case 'drawers-roll':
      return `${finding.drawers === 1 ? 'One full drawer pulled out tips' : `${finding.drawers} full drawers pulled out together tip`} ${name}. ${finding.code === 'drawers-tip' ? 'Anchor it to the wall.' : 'Pull out one at a time, and fill it from the bottom.'}`;
  }
}

/** What is wrong with what runs at once. */
export function wordPowerFinding({ code, names, value, limit }: PowerFinding, units: UnitSystem): string {
  const [name = ''] = names;
  const amps = (a: number) => `${Number(a.toFixed(1))} A`;
  switch (code) {
    case 'breaker':
      return `${name} would draw ${amps(value)}; its fuse goes at ${amps(limit)}. Do not run all of it at once.`;
    case 'continuous':
      return `${name} draws ${amps(value)}: for hours no more than ${amps(limit)}, four fifths of its fuse.`;
    case 'two-hot':
      return `${names.join(' and ')} hang on one socket: never two heaters on one lead.`;
    case 'no-socket':
      return `No socket is known for ${name}.`;
    case 'long-lead':
      return `${name} is ${formatSize(value, units)} from the nearest socket: a lead would lie in the way.`;
    case 'no-circuit':
      return `The socket of ${names.join(' and ')} is on no circuit yet; the room’s form takes one.`;
  }
}

/** The parts shelf in words. */
const PART = toTable<string>({
  'cube-shelf': 'cube shelf',
  bookcase: 'bookcase with shelves',
  cupboard: 'cupboard with doors',
  'wall-shelf': 'shelf on the wall',
  'door-rack': 'rack on a wardrobe door',
  closet: 'closet with a rail',
  rail: 'rail on a stand',
  dresser: 'dresser',
  'drawer-tower': 'tower of drawers',
  'under-bed': 'drawer under a bed',
  chest: 'chest with a lid',
  cart: 'open cart on wheels',
  trolley: 'trolley with drawers',
  table: 'table',
  'table-below': 'table with space below',
  'cutting-table': 'cutting table to walk round',
  'peg-round': 'peg field, round holes',
  'peg-slotted': 'peg field, slots',
  'free-hooks': 'row of hooks',
  'spool-rack': 'spool rack',
  'ribbon-bar': 'bar for ribbon reels',
  'jar-shelf': 'shelf for jars',
  floor: 'spot on the floor',
  overflow: 'basket for what is left over',
});
const BIN_SIZE = toTable<string>({
  'cube-bin': 'bin for a cube',
  'shoe-box': 'shoe box',
  'clear-box-small': 'clear box, small',
  'clear-box-large': 'clear box, large',
  basket: 'basket',
  jar: 'jar',
  case: 'flat case',
});
export const wordBinSize = (id: string): string => BIN_SIZE[id] ?? id;

export const wordPart = (id: string): string => PART[id] ?? id;

/** Whether a table is as high as its work and this sewist want it, and what gets it there. */
export function wordHeight(advice: HeightAdvice, units: UnitSystem): string {
  const size = (mm: number) => formatSize(mm, units);
  const wanted = `${size(advice.fromMm)} to ${size(advice.toMm)}`;
  if (advice.risersMm > 0) return `${wanted}; risers of ${size(advice.risersMm)} bring it there`;
  if (advice.raiseMm === 0) return `${wanted}; it is`;
  const how = advice.seatMm === null ? 'stand on a platform' : 'sit, with a rest for the feet,';
  return `${wanted}; ${how} ${size(advice.raiseMm)} higher`;
}

/** What of the widest and longest cloth hangs over a table. */
export function wordSpread(spread: Spread, units: UnitSystem): readonly (readonly [name: string, words: string])[] {
  const size = (mm: number) => formatSize(mm, units);
  const { name, clothMm, overMm, foldedOverMm, longestMm, longestName, shifts, mats, matShare } = spread;
  const over =
    overMm === 0
      ? 'lies on it whole'
      : foldedOverMm === 0
        ? `${size(overMm)} hang over; folded once it lies on it`
        : `${size(overMm)} hang over; folded once a leaf of ${size(foldedOverMm)} takes it`;
  const moves = shifts === 0 ? 'lies on it at once' : `is moved along ${wordCount(shifts, 'time')}`;
  const rows: (readonly [string, string])[] = [
    ['Widest cloth', `${name}, ${size(clothMm)}: ${over}`],
    ['Longest', `${longestName}, ${formatClothLength(longestMm, units)}: ${moves}`],
  ];
  if (mats > 0) rows.push(['Mats', `${wordCount(mats, 'mat')}: ${Math.round(100 * matShare)} % of it`]);
  return rows;
}
