import type { CareWork, Chore } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { sayIn, spellOut, unspell, type Spelling } from '../spelling/index.ts';

const DAYS = { day: 1, week: 7, month: 30, year: 365 } as const;
const WORDS: readonly (readonly [RegExp, CareWork])[] = [
  [/^oil/iu, 'oil'],
  [/^(clean|lint|brush)/iu, 'lint'],
  [/^serv/iu, 'service'],
  [/^(change (the )?)?needle/iu, 'needle'],
  [/^(change (the )?)?blade/iu, 'blade'],
  [/^air/iu, 'air'],
  [/^refold/iu, 'refold'],
];
const LINE =
  /^(.+?)\s+every\s+(?:(\d+(?:[.,]\d+)?)\s*)?(h|hours?|days?|weeks?|months?|years?)(?:\s+or\s+(\d+)\s*(h|hours?|days?|weeks?|months?|years?))?$/iu;

type Said = Pick<Chore, 'work' | 'name' | 'everyDays' | 'everyHours'>;

/** What is to be done, and how often, as it is written: `oil every 8 h`, `service every 12 months or 100 h`, `wipe it every week`. */
export function parseChoreLine(text: string, spelling?: Spelling): Result<Said, 'no-chore'> {
  const read = LINE.exec(spellOut(text.trim(), spelling));
  if (!read) return fail('no-chore');
  const what = read[1]!.trim();
  const spans = [
    [read[2], read[3]],
    [read[4], read[5]],
  ].filter(([, unit]) => unit !== undefined);
  const every: { -readonly [Field in 'everyDays' | 'everyHours']?: number } = {};
  for (const [count, unit] of spans) {
    const n = count === undefined ? 1 : Number(count.replace(',', '.'));
    const word = unit!.toLowerCase();
    if (word.startsWith('h')) every.everyHours = n;
    else every.everyDays = Math.round(n * DAYS[word.replace(/s$/u, '') as keyof typeof DAYS]);
  }
  const { everyDays, everyHours } = every;
  if (everyDays !== undefined && (everyDays < 1 || everyDays > 3660)) return fail('no-chore');
  if (everyHours !== undefined && (everyHours < 0.5 || everyHours > 2000)) return fail('no-chore');
  const work = WORDS.find(([pattern]) => pattern.test(what))?.[1] ?? 'other';
  return ok({ work, ...(work === 'other' && { name: unspell(what, text, spelling).slice(0, 80) }), ...every });
}

const WRITTEN: Readonly<Record<Exclude<CareWork, 'other'>, string>> = {
  oil: 'oil',
  lint: 'clean out the lint',
  service: 'service',
  needle: 'change the needle',
  blade: 'change the blade',
  air: 'air',
  refold: 'refold',
};

/** The same, written. */
export function formatChoreLine({ work, name, everyDays, everyHours }: Said, spelling?: Spelling): string {
  const say = (word: string) => sayIn(spelling, word);
  const what = work === 'other' ? (name ?? '') : say(WRITTEN[work]);
  const byHours = everyHours === undefined ? '' : `${everyHours} h`;
  if (everyDays === undefined) return `${what} ${say('every')} ${byHours}`;
  const span = everyDays % 365 === 0 ? `${everyDays / 365} ${say('years')}` : `${everyDays} ${say('days')}`;
  const byDays = everyDays === 365 ? say('every year') : `${say('every')} ${span}`;
  return `${what} ${[byDays, byHours].filter(Boolean).join(` ${say('or')} `)}`;
}
