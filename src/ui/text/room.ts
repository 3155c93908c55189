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
import { toTable } from '../../core/words/index.ts';
import { formatShort, perLanguage, t } from '../language/index.ts';
import { joinAnd, midSentence } from './grammar.ts';

/** Not in the index of words: only the plan needs these, and the first screen should not wait for them. */

/** What each finding says; `other` is what is in the way, empty where that is a wall. */
/** What there is of what is needed, and what takes the rest. */
const leavesOf = (other: string, left: string) =>
  other === '' ? t('there are {left}', { left }) : t('{other} leaves {left}', { other, left });

const SAYS: Record<
  FindingCode,
  (name: string, other: string, missing: string, needed: string, left: string) => string
> = {
  outside: (name, _, missing) => t('{name} sticks {missing} out of the room.', { name, missing }),
  overlap: (name, other, missing) => t('{name} and {other} are {missing} in each other.', { name, other, missing }),
  headroom: (name, _, missing) => t('{name} is {missing} too high for the ceiling there.', { name, missing }),
  'door-swing': (name, other, missing) => t('{other} hits {name}: {missing} in its swing.', { other, name, missing }),
  'door-way': (name, other, missing, needed) =>
    t('{name} stands {missing} in the {needed} before {other}.', { name, missing, needed, other }),
  'zone-stand': (name, other, _, needed, left) =>
    t('To stand before {name} takes {needed}; {left}.', { name, needed, left: leavesOf(other, left) }),
  'zone-drawer': (name, other, _, needed, left) =>
    t('To pull out {name} takes {needed}, a drawer and 60 cm; {left}.', {
      name,
      needed,
      left: leavesOf(other, left),
    }),
  'zone-leaf': (name, other, _, needed, left) =>
    t('To open {name} takes {needed}; {left}.', { name, needed, left: leavesOf(other, left) }),
  'zone-chair': (name, other, _, needed, left) =>
    t('A chair at {name} takes {needed}; {left}.', { name, needed, left: leavesOf(other, left) }),
  'zone-around': (name, other, _, needed, left) =>
    t('To walk round {name} takes {needed}; {left}.', { name, needed, left: leavesOf(other, left) }),
  stoop: (name, _, missing) => t('Before {name} you stoop: the ceiling is {missing} too low.', { name, missing }),
  unreachable: (name) => t('No way leads from the door to {name}.', { name }),
  'way-narrow': (name, _, missing, needed) =>
    t('The way to {name} is {missing} short of the {needed} one needs.', { name, missing, needed }),
  'way-tight': (name, _, missing, needed) =>
    t('The way to {name} is {missing} short of an easy {needed}.', { name, missing, needed }),
  'socket-behind': (name, other) => t('{name} stands before {other}.', { name, other }),
  'heater-near': (name, other, missing, needed) =>
    t('{name} is {missing} nearer to {other} than {needed}.', { name, missing, other, needed }),
  'window-covered': (name, other, missing) => t('{name} covers {missing} of {other}.', { name, missing, other }),
  'reach-over': (name, other, missing) =>
    t('{name} is reached over {other}, {missing} farther than one leans.', { name, other, missing }),
  knees: (name, other, _, needed, left) =>
    t('Knees at {name} take {needed}; {left}.', { name, needed, left: leavesOf(other, left) }),
  'lid-under': (name, other, missing) =>
    t('The lid of {name} hits {other}: it needs {missing} more above it.', { name, other, missing }),
  'work-under': (name, other, missing) =>
    t('To work on {name} you need {missing} more under {other}.', { name, missing, other }),
  'reach-chair': (name, other, missing) =>
    t('What you want daily from {name} is {missing} out of reach from the chair at {other}.', { name, missing, other }),
  'own-shadow': (name, other, missing) =>
    t(
      'At {name} your own shadow falls on the work: {other} is behind you. {missing} to the side it is not, or a lamp before you helps.',
      { name, other, missing },
    ),
  'sun-on': (name) => t('The sun shines on {name}', { name }),
};

/** Names of doors, windows and sockets, which have none of their own. */
function nameFixed(room: RoomSpec, id: string): string | null {
  const wallName = (wallId: string) => room.walls.find((wall) => wall.id === wallId)?.name ?? t('the wall');
  const door = room.doors.find((one) => one.id === id);
  if (door) return t('the door in {wallName}', { wallName: wallName(door.wallId) });
  const window = room.windows.find((one) => one.id === id);
  if (window) return t('the window in {wallName}', { wallName: wallName(window.wallId) });
  const socket = room.sockets.find((one) => one.id === id);
  if (socket) return t('the socket in {wallName}', { wallName: wallName(socket.wallId) });
  return [...room.fixtures, ...(room.lamps ?? [])].find((one) => one.id === id)?.name ?? null;
}

const SEASON = perLanguage(
  () => ({ june: t('in June'), equinox: t('in March and September'), december: t('in December') }) as const,
);

function formatHours(hours: number): string {
  return hours < 1
    ? t('{hours} minutes', { hours: Math.round(hours * 60) })
    : t('{n, plural, one {# hour} other {# hours}}', { n: Number(hours.toFixed(1)) });
}

/** A finding in words, with the missing centimetres. */
export function wordFinding(finding: Finding, room: RoomSpec, nameUnit: (id: string) => string, units: UnitSystem) {
  const name = (id: string) => nameFixed(room, id) ?? nameUnit(id);
  const other = finding.otherId === null ? '' : name(finding.otherId);
  const more = finding.more
    ? t(' and {more, plural, one {# more piece} other {# more pieces}}', { more: finding.more })
    : '';
  const words = SAYS[finding.code](
    name(finding.bodyId) + more,
    other,
    formatSize(Math.max(1, finding.missingMm), units),
    formatSize(finding.neededMm, units),
    formatSize(Math.max(0, finding.neededMm - finding.missingMm), units),
  );
  if (finding.sun)
    return t('{words} {hours} a day {season}, where the sky is clear.', {
      words,
      hours: formatHours(finding.sun.hours),
      season: SEASON()[finding.sun.season],
    });
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What is wrong with a room as it was typed. */
export function wordRoomFault({ code, neededMm, availableMm }: RoomFault, units: UnitSystem): string {
  const [needed, available] = [formatSize(neededMm ?? 0, units), formatSize(availableMm ?? 0, units)];
  switch (code) {
    case 'walls-cross':
      return t('This wall crosses another. Check its length and the corners before it.');
    case 'wall-too-short':
      return t('This wall is {available} long; less than {needed} is no wall.', { available, needed });
    case 'goes-round-wrong':
      return t('The walls go round to the left. Measure them to the right, as you see them from inside.');
    case 'knee-above-ceiling':
      return t('The slope begins at {needed}, above the ceiling of {available}.', { needed, available });
    case 'beyond-wall':
      return t('It takes {needed} of its wall, where {available} are left.', { needed, available });
    case 'above-ceiling':
      return t('It is {needed} high; the ceiling there is at {available}.', { needed, available });
    case 'doors-overlap':
      return t('Another door is there already.');
    case 'outside':
      return t('It is outside of the room.');
  }
}

/** How the metres of an hour were made, leg by leg. */
export function wordTriangle({ legs }: Triangle, units: UnitSystem): string {
  const parts = legs.map(({ from, to, lengthMm, perHour }) =>
    lengthMm === null
      ? t('no way leads from {from} to {to}', { from: midSentence(from), to: midSentence(to) })
      : t('{from} to {to} {size}, {perHour} times there and back', {
          from: midSentence(from),
          to: midSentence(to),
          size: formatSize(lengthMm, units),
          perHour,
        }),
  );
  return t('The shortest ways round the furniture: {parts}. How often one gets up is an estimate.', {
    parts: parts.join('; '),
  });
}

/** How often a bin goes into a compartment, how it stands and what is left over; where it does not, what is missing. */
export function wordNesting(nesting: Nesting, box: BoxSize, room: BoxSize, units: UnitSystem): string {
  const { count, perLayer, layers, nooks, leftOver } = nesting;
  const size = (mm: number) => formatSize(mm, units);
  if (count === 0) {
    const high = box.heightMm - room.heightMm;
    if (high > 0.5) return t('It is {high} too high.', { high: size(high) });
    // The way round that misses by less.
    const misses = (a: number, b: number) => Math.max(0, a - room.widthMm) + Math.max(0, b - room.depthMm);
    const isTurned = misses(box.depthMm, box.widthMm) < misses(box.widthMm, box.depthMm);
    const [a, b] = isTurned ? [box.depthMm, box.widthMm] : [box.widthMm, box.depthMm];
    const wide = a - room.widthMm > 0.5 ? [t('{widthMm} too wide', { widthMm: size(a - room.widthMm) })] : [];
    const deep = b - room.depthMm > 0.5 ? [t('{depthMm} too deep', { depthMm: size(b - room.depthMm) })] : [];
    return t('It is {n}.', { n: joinAnd([...wide, ...deep]) });
  }
  const turned = nooks.filter((nook) => nook.isTurned).length;
  const behind = new Set(nooks.map((nook) => nook.yMm)).size > 1;
  const ways = [
    turned === 0 ? '' : turned === count ? t('side to the front') : t('{turned} of them side to the front', { turned }),
    behind ? t('one behind the other') : '',
    layers > 1 ? t('{layers} high, {perLayer} on the floor', { layers, perLayer }) : '',
  ].filter((way) => way !== '');
  const left = [
    [leftOver.widthMm, t('beside')],
    [leftOver.depthMm, t('behind')],
    [leftOver.heightMm, t('above')],
  ] as const;
  const over = left.map(([mm, where]) => `${size(mm)} ${where}`).join(', ');
  const fits = t('{count, plural, one {One goes in} other {# go in}}', { count });
  return t('{fits}; {over} left over.', { fits: [fits, ...ways].join(', '), over });
}

/** What is too heavy or can fall, with the figures and what is usual against it. */
export function wordLoadFinding(finding: LoadFinding, name: string, units: UnitSystem): string {
  const [mass, limit] = [formatMass(finding.massG, units), formatMass(finding.limitG, units)];
  switch (finding.code) {
    case 'slot-load':
      return t('{name} is loaded with {mass} and carries {limit}.', { name, mass, limit });
    case 'unit-load':
      return t('In {name} lie {mass}; it carries {limit}.', { name, mass, limit });
    case 'bin-load':
      return t('{name} weighs {mass}; it is made for {limit}.', { name, mass, limit });
    case 'bin-lift':
      return t('{name} weighs {mass}: more than the {limit} one lifts there. Split it, or keep it lower.', {
        name,
        mass,
        limit,
      });
    case 'anchor':
      return t(
        'Nothing anchors {name}: {mass} in all, and a pull of {limit} at the top tips it. Anchor it to the wall.',
        { name, mass, limit },
      );
    case 'rolls':
      return t(
        '{name} rolls, so nothing can hold it: {mass} in all, and a pull of {limit} at the top tips it. Fill it from the bottom and brake its wheels.',
        { name, mass, limit },
      );
    case 'drawers-tip':
    case 'drawers-roll':
      return `${finding.drawers === 1 ? t('One full drawer pulled out tips') : t('{drawers} full drawers pulled out together tip', { drawers: finding.drawers })} ${name}. ${finding.code === 'drawers-tip' ? t('Anchor it to the wall.') : t('Pull out one at a time, and fill it from the bottom.')}`;
  }
}

/** What is wrong with what runs at once. */
export function wordPowerFinding({ code, names, value, limit }: PowerFinding, units: UnitSystem): string {
  const [name = ''] = names;
  const amps = (a: number) => `${formatShort(a, 1)} A`;
  switch (code) {
    case 'breaker':
      return t('{name} would draw {amps}; its fuse goes at {most}. Do not run all of it at once.', {
        name,
        amps: amps(value),
        most: amps(limit),
      });
    case 'continuous':
      return t('{name} draws {amps}: for hours no more than {most}, four fifths of its fuse.', {
        name,
        amps: amps(value),
        most: amps(limit),
      });
    case 'two-hot':
      return t('{names} hang on one socket: never two heaters on one lead.', { names: joinAnd(names) });
    case 'no-socket':
      return t('No socket is known for {name}.', { name });
    case 'long-lead':
      return t('{name} is {size} from the nearest socket: a lead would lie in the way.', {
        name,
        size: formatSize(value, units),
      });
    case 'no-circuit':
      return t('The socket of {names} is on no circuit yet; the room’s form takes one.', {
        names: joinAnd(names),
      });
  }
}

/** The parts shelf in words. */
const PART = perLanguage(() =>
  toTable<string>({
    'cube-shelf': t('cube shelf'),
    bookcase: t('bookcase with shelves'),
    cupboard: t('cupboard with doors'),
    'wall-shelf': t('shelf on the wall'),
    'door-rack': t('rack on a wardrobe door'),
    closet: t('closet with a rail'),
    rail: t('rail on a stand'),
    dresser: t('dresser'),
    'drawer-tower': t('tower of drawers'),
    'under-bed': t('drawer under a bed'),
    chest: t('chest with a lid'),
    cart: t('open cart on wheels'),
    trolley: t('trolley with drawers'),
    table: t('table'),
    'table-below': t('table with space below'),
    'cutting-table': t('cutting table to walk round'),
    'peg-round': t('peg field, round holes'),
    'peg-slotted': t('peg field, slots'),
    'free-hooks': t('row of hooks'),
    'spool-rack': t('spool rack'),
    'ribbon-bar': t('bar for ribbon reels'),
    'jar-shelf': t('shelf for jars'),
    floor: t('spot on the floor'),
    overflow: t('basket for what is left over'),
  }),
);
const BIN_SIZE = perLanguage(() =>
  toTable<string>({
    'cube-bin': t('bin for a cube'),
    'shoe-box': t('shoe box'),
    'clear-box-small': t('clear box, small'),
    'clear-box-large': t('clear box, large'),
    basket: t('basket'),
    jar: t('jar'),
    case: t('flat case'),
  }),
);
export const wordBinSize = (id: string): string => BIN_SIZE()[id] ?? id;

export const wordPart = (id: string): string => PART()[id] ?? id;

/** Whether a table is as high as its work and this sewist want it, and what gets it there. */
export function wordHeight(advice: HeightAdvice, units: UnitSystem): string {
  const size = (mm: number) => formatSize(mm, units);
  const wanted = t('{fromMm} to {mm}', { fromMm: size(advice.fromMm), mm: size(advice.toMm) });
  if (advice.risersMm > 0)
    return t('{wanted}; risers of {risersMm} bring it there', { wanted, risersMm: size(advice.risersMm) });
  if (advice.raiseMm === 0) return t('{wanted}; it is', { wanted });
  const how = advice.seatMm === null ? t('stand on a platform') : t('sit, with a rest for the feet,');
  return t('{wanted}; {how} {raiseMm} higher', { wanted, how, raiseMm: size(advice.raiseMm) });
}

/** What of the widest and longest cloth hangs over a table. */
export function wordSpread(spread: Spread, units: UnitSystem): readonly (readonly [name: string, words: string])[] {
  const size = (mm: number) => formatSize(mm, units);
  const { name, clothMm, overMm, foldedOverMm, longestMm, longestName, shifts, mats, matShare } = spread;
  const over =
    overMm === 0
      ? t('lies on it whole')
      : foldedOverMm === 0
        ? t('{overMm} hang over; folded once it lies on it', { overMm: size(overMm) })
        : t('{overMm} hang over; folded once a leaf of {foldedOverMm} takes it', {
            overMm: size(overMm),
            foldedOverMm: size(foldedOverMm),
          });
  const moves =
    shifts === 0
      ? t('lies on it at once')
      : t('is moved along {shifts, plural, one {# time} other {# times}}', { shifts });
  const rows: (readonly [string, string])[] = [
    [t('Widest cloth'), `${name}, ${size(clothMm)}: ${over}`],
    [t('Longest'), `${longestName}, ${formatClothLength(longestMm, units)}: ${moves}`],
  ];
  if (mats > 0)
    rows.push([
      t('Mats'),
      t('{mats, plural, one {# mat} other {# mats}}: {matShare} % of it', {
        mats,
        matShare: Math.round(100 * matShare),
      }),
    ]);
  return rows;
}
