import { format } from 'date-fns';
import type { Against, ClothNeeded, NeedFault, NeedStanding } from '../../core/projects/index.ts';
import type { Make, Project, ProjectState, StepStation, Stitch } from '../../core/records/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { formatAmount } from './things.ts';
import { formatFixed, perLanguage, t, wordTerm } from '../language/index.ts';

const STATE = perLanguage((): Record<ProjectState, string> => ({
  idea: t('an idea'),
  planned: t('planned'),
  gathered: t('gathered'),
  cut: t('cut out'),
  sewing: t('being sewn'),
  waiting: t('waiting'),
  done: t('done'),
  givenUp: t('let go'),
}));
export const wordProjectState = (state: ProjectState): string => STATE()[state];

const STATION = perLanguage((): Record<StepStation, string> => ({
  cutting: t('at the cutting table'),
  sewing: t('at the machine'),
  overlocking: t('at the overlocker'),
  pressing: t('at the iron'),
  handwork: t('by hand'),
  other: t('anywhere'),
}));
export const wordStepStation = (station: StepStation): string => STATION()[station];

/** `Sat 24 Oct`. */
const wordDue = (due: string): string => format(new Date(`${due}T12:00`), t('EEE d MMM'));

export function wordMinutes(minutes: number): string {
  if (minutes < 90) return t('{minutes} min', { minutes: Math.round(minutes) });
  return `${formatFixed(minutes / 60, minutes < 600 ? 1 : 0).replace(/[.,]0$/, '')} h`;
}

const WAY = perLanguage(
  () => ({ said: t('as you said'), table: t('by the pattern’s table'), guess: t('a guess by the garment') }) as const,
);
export const wordNeedWay = (way: ClothNeeded['way']): string => WAY()[way];

/** How the figure was made, from what it begins with to what the wash takes. */
export function wordNeedHow(needed: ClothNeeded, units: UnitSystem): string {
  const length = (mm: number) => formatClothLength(mm, units);
  const { baseMm, oneWayMm, repeatMm, straightenMm, shrinkMm, sigmaMm, figures, way, between } = needed;
  if (way === 'said') return t('As you said, with everything.');
  return [
    `${way === 'table' ? t('The pattern’s table, for this width') : t('A guess by the garment, for this width')}: ${length(baseMm)}.`,
    ...(between.length > 0
      ? [t('Size {between} is taken between its neighbours.', { between: between.join(', ') })]
      : []),
    ...(oneWayMm > 0 ? [t('All pieces one way up: {oneWayMm} more.', { oneWayMm: length(oneWayMm) })] : []),
    ...(repeatMm > 0
      ? [
          t('Whole repeats of {size} and one more: {repeatMm}.', {
            size: formatSize(figures.repeatMm, units),
            repeatMm: length(repeatMm),
          }),
        ]
      : []),
    ...(straightenMm > 0 ? [t('Ends cut straight: {straightenMm}.', { straightenMm: length(straightenMm) })] : []),
    ...(shrinkMm > 0
      ? [
          t('Shrinks {shrinkPercent} % in the wash: {shrinkMm}.', {
            shrinkPercent: figures.shrinkPercent,
            shrinkMm: length(shrinkMm),
          }),
        ]
      : []),
    ...(sigmaMm > 0 ? [t('Give or take {sigmaMm}.', { sigmaMm: length(sigmaMm) })] : []),
  ].join(' ');
}

function wordNeedFault(fault: NeedFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'nothing-known':
      return t('Nobody knows yet how much it takes. Say a length, or give it its pieces.');
    case 'no-such-size':
      return t('The pattern’s table has {known}, not {fault}.', {
        known: fault.known.map((size) => size || t('every size')).join(', '),
        fault: fault.size || t('a project without a size'),
      });
    case 'too-narrow':
      return t('Its widest piece is {piece}; this cloth gives {cloth}.', {
        piece: formatSize(fault.widestMm, units),
        cloth: formatSize(fault.widthMm, units),
      });
  }
}

/** Whether there is enough, in words with numbers. */
export function wordVerdict(standing: NeedStanding, units: UnitSystem): string {
  const { need, unit, needed, found, promisedAmount, missing, state } = standing;
  const amount = (value: number) => formatAmount(value, unit, units);
  const used = need.used ?? 0;
  if (need.isThere) return t('There.');
  if (found && !found.ok) return wordNeedFault(found.fault, units);
  if (needed === null || missing === null) return '';
  if (state === 'there' && promisedAmount === 0 && used > 0) return t('{amount} cut.', { amount: amount(used) });
  if (state === 'there' && promisedAmount === 0) return t('You have it.');
  const spare = promisedAmount + used - needed;
  const cut = used > 0 ? t('{amount} cut already; ', { amount: amount(used) }) : '';
  if (missing > 0 && unit === 'count' && promisedAmount + used === 0) return need.isToGet ? '' : t('Nothing yet.');
  if (missing > 0) {
    const begun = promisedAmount + used > 0;
    return begun
      ? t('{cut}short of {amount}.', { cut, amount: amount(missing) })
      : t('Takes {amount}.', { amount: amount(needed) });
  }
  return spare > 0.5
    ? t('{cut}enough, {amount} to spare.', { cut, amount: amount(spare) })
    : t('{cut}just enough.', { cut });
}

const STITCH = perLanguage((): Record<Stitch, string> => ({
  lockstitch: t('straight stitch'),
  zigzag: t('zigzag'),
  overlock3: t('overlock, three threads'),
  overlock4: t('overlock, four threads'),
  cover: t('cover stitch'),
  hand: t('by hand'),
}));
export const wordStitch = (stitch: Stitch): string => STITCH()[stitch];

/** Thread that its seams take against what is on the spools. */
export function wordThread({ threadMm, onSpoolsMm }: NeedStanding, units: UnitSystem): string {
  if (threadMm === null) return '';
  const takes = t('About {clothLength} of thread', { clothLength: formatClothLength(threadMm, units) });
  if (onSpoolsMm === null) return `${takes}.`;
  const has = formatClothLength(onSpoolsMm, units);
  return onSpoolsMm >= threadMm
    ? t('{takes}; {left} on the spool.', { takes, left: has })
    : t('{takes}; only {left} on the spool.', { takes, left: has });
}

/** What speaks against a cloth. */
export function wordAgainst(against: Against, units: UnitSystem): string {
  switch (against.code) {
    case 'short':
      return t('{clothLength} too short', { clothLength: formatClothLength(against.byMm, units) });
    case 'promised':
      return t('{clothLength} of it promised elsewhere', { clothLength: formatClothLength(against.mm, units) });
    case 'too-narrow':
      return t('too narrow for a piece of {size}', { size: formatSize(against.widestMm, units) });
    case 'too-light':
      return t('light for it, {gsm} g/m²', { gsm: Math.round(against.gsm) });
    case 'too-heavy':
      return t('heavy for it, {gsm} g/m²', { gsm: Math.round(against.gsm) });
    case 'stretches':
      return t('it stretches');
    case 'does-not-stretch':
      return t('it does not stretch');
    case 'too-stiff':
      return t('stiff for it');
    case 'too-limp':
      return t('limp for it');
    case 'unwashed':
      return t('not washed yet');
    case 'heirloom':
      return t('an heirloom');
    case 'no-thread':
      return t('no thread near its colour');
    case 'off-colour':
      return t('far from the colour of {other}', { other: against.of });
  }
}

/** What is missing, short: `lining, 12 toggles`. */
export function wordMissing(missing: readonly NeedStanding[], units: UnitSystem): string {
  return missing
    .map(({ need, unit, missing: amount, promisedAmount }) => {
      if (need.kind === 'fabric' && amount !== null && amount > 0 && promisedAmount > 0)
        return t('{amount} of {part}', { amount: formatAmount(amount, unit, units), part: wordTerm(need.part) });
      return need.kind !== 'fabric' && (need.amount ?? 1) > 1
        ? `${need.amount} ${wordTerm(need.part)}`
        : wordTerm(need.part);
    })
    .join(', ');
}

/** How many of which size, as it is typed: `2 of 38, 42`. */
export function wordMakes(makes: readonly Make[]): string {
  return makes
    .map(({ size, count }) => {
      if (size === '') return t('{n, plural, one {# piece} other {# pieces}}', { n: count });
      return count === 1 ? size : t('{n} of {size}', { n: count, size });
    })
    .join(', ');
}

/** What it is, in one line: for whom, how many of which size, by when. */
export function wordProject({ forWhom, makes, due }: Project): string {
  const count = makes.reduce((sum, make) => sum + make.count, 0);
  const sizes = makes.filter(({ size }) => size !== '');
  return [
    forWhom ? t('for {forWhom}', { forWhom }) : '',
    sizes.length > 0
      ? t('size {sizes}', { sizes: wordMakes(sizes) })
      : count > 1
        ? t('{n, plural, one {# piece} other {# pieces}}', { n: count })
        : '',
    due ? t('due {due}', { due: wordDue(due) }) : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
