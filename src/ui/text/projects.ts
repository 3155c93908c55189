import { format } from 'date-fns';
import type { Against, ClothNeeded, NeedFault, NeedStanding } from '../../core/projects/index.ts';
import type { Project, ProjectState, StepStation, Stitch } from '../../core/records/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import { formatAmount } from './things.ts';

const STATE: Record<ProjectState, string> = {
  idea: 'an idea',
  planned: 'planned',
  gathered: 'gathered',
  cut: 'cut out',
  sewing: 'being sewn',
  waiting: 'waiting',
  done: 'done',
  givenUp: 'let go',
};
export const wordProjectState = (state: ProjectState): string => STATE[state];

const STATION: Record<StepStation, string> = {
  cutting: 'at the cutting table',
  sewing: 'at the machine',
  overlocking: 'at the overlocker',
  pressing: 'at the iron',
  handwork: 'by hand',
  other: 'anywhere',
};
export const wordStepStation = (station: StepStation): string => STATION[station];

/** `Sat 24 Oct`. */
const wordDue = (due: string): string => format(new Date(`${due}T12:00`), 'EEE d MMM');

export function wordMinutes(minutes: number): string {
  if (minutes < 90) return `${Math.round(minutes)} min`;
  return `${(minutes / 60).toFixed(minutes < 600 ? 1 : 0).replace(/\.0$/, '')} h`;
}

const WAY = { said: 'as you said', table: 'by the pattern’s table', guess: 'a guess by the garment' } as const;
export const wordNeedWay = (way: ClothNeeded['way']): string => WAY[way];

/** How the figure was made, from what it begins with to what the wash takes. */
export function wordNeedHow(needed: ClothNeeded, units: UnitSystem): string {
  const length = (mm: number) => formatClothLength(mm, units);
  const { baseMm, oneWayMm, repeatMm, straightenMm, shrinkMm, sigmaMm, figures, way, between } = needed;
  if (way === 'said') return 'As you said, with everything.';
  return [
    `${way === 'table' ? 'The pattern’s table, for this width' : 'A guess by the garment, for this width'}: ${length(baseMm)}.`,
    ...(between.length > 0 ? [`Size ${between.join(', ')} is taken between its neighbours.`] : []),
    ...(oneWayMm > 0 ? [`All pieces one way up: ${length(oneWayMm)} more.`] : []),
    ...(repeatMm > 0
      ? [`Whole repeats of ${formatSize(figures.repeatMm, units)} and one more: ${length(repeatMm)}.`]
      : []),
    ...(straightenMm > 0 ? [`Ends cut straight: ${length(straightenMm)}.`] : []),
    ...(shrinkMm > 0 ? [`Shrinks ${figures.shrinkPercent} % in the wash: ${length(shrinkMm)}.`] : []),
    ...(sigmaMm > 0 ? [`Give or take ${length(sigmaMm)}.`] : []),
  ].join(' ');
}

function wordNeedFault(fault: NeedFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'nothing-known':
      return 'Nobody knows yet how much it takes. Say a length, or give it its pieces.';
    case 'no-such-size':
      return `The pattern’s table has ${fault.known.map((size) => size || 'every size').join(', ')}, not ${fault.size || 'a project without a size'}.`;
    case 'too-narrow':
      return `Its widest piece is ${formatSize(fault.widestMm, units)}; this cloth gives ${formatSize(fault.widthMm, units)}.`;
  }
}

/** Whether there is enough, in words with numbers. */
export function wordVerdict(standing: NeedStanding, units: UnitSystem): string {
  const { need, unit, needed, found, promisedAmount, missing, state } = standing;
  const amount = (value: number) => formatAmount(value, unit, units);
  const used = need.used ?? 0;
  if (need.isThere) return 'There.';
  if (found && !found.ok) return wordNeedFault(found.fault, units);
  if (needed === null || missing === null) return '';
  if (state === 'there' && promisedAmount === 0 && used > 0) return `${amount(used)} cut.`;
  if (state === 'there' && promisedAmount === 0) return 'You have it.';
  const spare = promisedAmount + used - needed;
  const cut = used > 0 ? `${amount(used)} cut already; ` : '';
  if (missing > 0 && unit === 'count' && promisedAmount + used === 0) return need.isToGet ? '' : 'Nothing yet.';
  if (missing > 0) {
    const begun = promisedAmount + used > 0;
    return begun ? `${cut}short of ${amount(missing)}.` : `Takes ${amount(needed)}.`;
  }
  return spare > 0.5 ? `${cut}enough, ${amount(spare)} to spare.` : `${cut}just enough.`;
}

const STITCH: Record<Stitch, string> = {
  lockstitch: 'straight stitch',
  zigzag: 'zigzag',
  overlock3: 'overlock, three threads',
  overlock4: 'overlock, four threads',
  cover: 'cover stitch',
  hand: 'by hand',
};
export const wordStitch = (stitch: Stitch): string => STITCH[stitch];

/** Thread that its seams take against what is on the spools. */
export function wordThread({ threadMm, onSpoolsMm }: NeedStanding, units: UnitSystem): string {
  if (threadMm === null) return '';
  const takes = `About ${formatClothLength(threadMm, units)} of thread`;
  if (onSpoolsMm === null) return `${takes}.`;
  const has = formatClothLength(onSpoolsMm, units);
  return onSpoolsMm >= threadMm ? `${takes}; ${has} on the spool.` : `${takes}; only ${has} on the spool.`;
}

/** What speaks against a cloth. */
export function wordAgainst(against: Against, units: UnitSystem): string {
  switch (against.code) {
    case 'short':
      return `${formatClothLength(against.byMm, units)} too short`;
    case 'promised':
      return `${formatClothLength(against.mm, units)} of it promised elsewhere`;
    case 'too-narrow':
      return `too narrow for a piece of ${formatSize(against.widestMm, units)}`;
    case 'too-light':
      return `light for it, ${Math.round(against.gsm)} g/m²`;
    case 'too-heavy':
      return `heavy for it, ${Math.round(against.gsm)} g/m²`;
    case 'stretches':
      return 'it stretches';
    case 'does-not-stretch':
      return 'it does not stretch';
    case 'too-stiff':
      return 'stiff for it';
    case 'too-limp':
      return 'limp for it';
    case 'unwashed':
      return 'not washed yet';
    case 'heirloom':
      return 'an heirloom';
    case 'no-thread':
      return 'no thread near its colour';
    case 'off-colour':
      return `far from the colour of ${against.of}`;
  }
}

/** What is missing, short: `lining, 12 toggles`. */
export function wordMissing(missing: readonly NeedStanding[], units: UnitSystem): string {
  return missing
    .map(({ need, unit, missing: amount, promisedAmount }) => {
      if (need.kind === 'fabric' && amount !== null && amount > 0 && promisedAmount > 0)
        return `${formatAmount(amount, unit, units)} of ${need.part}`;
      return need.kind !== 'fabric' && (need.amount ?? 1) > 1 ? `${need.amount} ${need.part}` : need.part;
    })
    .join(', ');
}

/** What it is, in one line: for whom, how many of which size, by when. */
export function wordProject({ forWhom, makes, due }: Project): string {
  const count = makes.reduce((sum, make) => sum + make.count, 0);
  const sizes = makes
    .filter(({ size }) => size !== '')
    .map(({ size, count: n }) => (n === 1 ? size : `${n} of ${size}`));
  return [
    forWhom ? `for ${forWhom}` : '',
    sizes.length > 0 ? `size ${sizes.join(', ')}` : count > 1 ? wordCount(count, 'piece') : '',
    due ? `due ${wordDue(due)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
