import type { ClipboardEvent } from 'react';
import { createImport } from '../../../core/acts/index.ts';
import type { Kind } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useHabits } from '../../state/habits.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import { wordDoubts } from '../../text/doubts.ts';
import { wordAmount, wordKind } from '../../text/index.ts';
import { inSession } from './Session.tsx';
import { NOTHING_SAID, readThing, splitLine, wordProblem, type ReadThing } from './useRead.ts';
import { t } from '../../language/index.ts';

/** More lines than these are a list, which has a page of its own. */
const MANY_THINGS = 40;

/** Several lines that are pasted become one, the things in it apart by semicolons. */
export function pasteLines(event: ClipboardEvent<HTMLInputElement>, onText: (text: string) => void): void {
  const lines = splitLine(event.clipboardData.getData('text/plain'));
  if (lines.length < 2 || lines.length > MANY_THINGS) return;
  event.preventDefault();
  onText(lines.join('; '));
}

/** What keeps one of several from being taken in; what is unlikely is taken in by itself, where it is asked. */
function findProblem(read: ReadThing, units: UnitSystem): string | null {
  const problem = wordProblem(read, units);
  if (problem !== null || read.line.doubts.length === 0) return problem;
  return t('{asked} Take it in by itself.', { asked: wordDoubts(read.line.doubts, units) });
}

/** Takes in all the things of a line in one go; false where one of them does not read. */
export async function takeInMany(lines: readonly string[], kind: Kind): Promise<boolean> {
  const { household } = useApp.getState();
  if (!household) return false;
  const habits = useHabits.getState();
  const read = lines.map((text) => readThing(household, habits, text, { kind, ...NOTHING_SAID }));
  if (read.some((one) => findProblem(one, household.settings.units) !== null)) return false;
  const things = read.flatMap(({ made }) => {
    if (!made.ok) return [];
    const { item, lot } = withNewIds(made.value);
    return [{ item, lots: [inSession(household, lot)] }];
  });
  const words = t('{n, plural, one {# thing} other {# things}}', { n: things.length });
  return act((now) => createImport(now, t('{words} in one line', { words }), things), t('{words} came in.', { words }));
}

interface QuickManyProps {
  readonly lines: readonly string[];
  readonly kind: Kind;
  readonly isTried: boolean;
}

/** Several things in one line, as each of them reads. */
export function QuickMany({ lines, kind, isTried }: QuickManyProps) {
  const household = useHousehold();
  const habits = useHabits();
  const { units } = household.settings;
  return (
    <div
      id="quick-read"
      data-draft
      className="absolute right-0 bottom-full left-0 z-10 mb-2 max-h-[60vh] overflow-y-auto border border-thread bg-paper px-4 py-3 shadow-md"
    >
      <ul
        aria-label={t('What comes in')}
        {...explained(t('Each part between two semicolons, read as a line of its own.'), t('The drafts'))}
      >
        {lines.map((text, i) => {
          const read = readThing(household, habits, text, { kind, ...NOTHING_SAID });
          const problem = findProblem(read, units);
          const { made } = read;
          return (
            <li key={i} className="dotted-row flex items-center gap-3 py-1">
              {made.ok && <Swatch item={made.value.item} className="size-6 shrink-0" />}
              <span className="min-w-0">
                <strong data-name>{made.ok ? made.value.item.name : text}</strong>{' '}
                <span className="text-stone">
                  {made.ok &&
                    `${wordKind(made.value.item.kind)}, ${wordAmount(made.value.item, made.value.lot, units)}`}
                </span>
                {problem !== null && isTried && (
                  <span role="alert" className="block font-semibold text-madder">
                    {problem}
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      <Button look="quiet" type="submit" className="mt-2">
        <kbd>Enter</kbd> {t('Take all {lines} in', { lines: lines.length })}
      </Button>
    </div>
  );
}
