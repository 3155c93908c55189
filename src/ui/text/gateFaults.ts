import type { EditConflict, GateFault } from '../../core/daybook/index.ts';
import type { Household, RecordFault } from '../../core/records/index.ts';
import { wordCount } from './grammar.ts';
import { toTable } from '../../core/words/index.ts';

const FIELDS = toTable<string>({
  forWhat: 'What it is for',
  name: 'The name',
  note: 'The note',
  notes: 'The notes',
  lentTo: 'Whom it is lent to',
  tags: 'The tags',
  source: 'Where it is from',
  words: 'The label',
  count: 'How many there are',
  lengthMm: 'The length',
  widthMm: 'The width',
  usesPerMonth: 'How often it is used',
});

/** Why a field does not take what it was given. */
export function wordFieldFault({ path, rule, message }: RecordFault): string {
  const steps = path.split('.').filter((step) => !/^\d+$/.test(step));
  const field = FIELDS[steps.at(-1) ?? ''] ?? `“${steps.slice(2).join(' ') || path}”`;
  const limit = /(-?\d+)(?!.*\d)/.exec(message)?.[1] ?? '';
  switch (rule) {
    case 'maxLength':
      return `${field} can have at most ${limit} letters.`;
    case 'minLength':
      return `${field} cannot be empty.`;
    case 'max':
      return `${field} can be at most ${limit}.`;
    case 'min':
      return `${field} must be at least ${limit}.`;
    case 'arrayMaxSize':
      return `${field}: there can be at most ${limit}.`;
    case 'dangling':
    case 'no-station':
      return 'It stands on something that is not there.';
    case 'gaveWay':
      return 'It could not stay where it was.';
    case 'twice':
      return 'Its name within the household stands there twice.';
    case 'order':
      return 'It does not follow on the line before it.';
    default:
      return `${field} cannot be kept as it is.`;
  }
}

const RULES: Record<Extract<GateFault, { code: 'invariant' }>['rule'], string> = {
  dangling: 'something else still stands on what would go',
  'not-a-leaf': 'something would lie where nothing can be put',
  tree: 'a place would stand in no room',
  'container-does-not-fit': 'a bin would not fit where it stands',
  'hook-does-not-hold': 'a hook would not hold where it is',
  'no-station': 'things would be used at a station that is gone',
  'gone-but-placed': 'something that is gone would lie somewhere',
  'over-reserved': 'more would be promised than there is',
  wrapped: 'something would be wrapped in what is not there',
  'code-twice': 'two labels would have one code',
  'bag-twice': 'two projects would lie in one bag',
  chore: 'something that is to be done again and again has no days and no hours, or no name',
  'project-over': 'something would be promised to a project that is over',
};

function wordOne(fault: GateFault, { items, lots, places }: Household): string {
  if (fault.code === 'conflict') return 'It was changed meanwhile, in another window perhaps; look at it again.';
  if (fault.code === 'record') return wordFieldFault(fault);
  if (fault.code === 'daybook') return 'It does not go with what the daybook tells.';
  const [table, id = ''] = fault.path.split('.');
  const itemId = table === 'lots' ? lots.get(id as never)?.itemId : id;
  const name = table === 'places' ? places.get(id as never)?.name : items.get(itemId as never)?.name;
  return `${name ? `${name}: ` : ''}${RULES[fault.rule]}.`;
}

/** Why the gate did not let something through: three reasons, and how many more. Nothing was changed. */
export function wordGateFaults(faults: readonly GateFault[], household: Household): string {
  const words = [...new Set(faults.map((fault) => wordOne(fault, household)))];
  const more = words.length > 3 ? ` And ${wordCount(words.length - 3, 'more reason')}.` : '';
  return `${words.slice(0, 3).join(' ')}${more} Nothing was changed.`;
}

/** What a form and something else both changed. */
export function wordConflicts(conflicts: readonly EditConflict[]): string {
  const fields = [...new Set(conflicts.map(({ field }) => FIELDS[field.split('.').at(-1)!] ?? `“${field}”`))];
  const named = fields.slice(0, 3).join(', ');
  return `${named}${fields.length > 3 ? ' and more' : ''} changed meanwhile, elsewhere.`;
}
