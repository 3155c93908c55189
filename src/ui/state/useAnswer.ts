import { startTransition, useCallback, useEffect, useState } from 'react';
import type { Household } from '../../core/records/index.ts';
import type { QuestionName, Questions } from '../../workers/protocol.ts';

/** What is known of a question: null until the answer is there; or how to ask again, where it failed. */
export interface Answer<T> {
  readonly answer: T | null;
  readonly again: (() => void) | null;
}

interface Known<T> {
  readonly about: unknown;
  /** Of which try it is. */
  readonly nth: number;
  readonly answer: T | null;
}

/** The explainer's answer about the household as it is; nothing is asked while there is none. */
export function useAnswer<Name extends QuestionName>(
  household: Household | null,
  name: Name,
  about: Questions[Name]['ask'],
): Answer<Questions[Name]['answer']> {
  const [known, setKnown] = useState<Known<Questions[Name]['answer']> | null>(null);
  const [nth, setNth] = useState(0);
  useEffect(() => {
    if (!household) return undefined;
    let isWanted = true;
    const answer = async () => {
      // The first screen is there before anything is asked.
      const { ask } = await import('../../workers/client.ts');
      const told = await ask(household, name, about, () => isWanted);
      // A long answer is drawn in slices.
      if (isWanted) startTransition(() => setKnown({ about, nth, answer: told.ok ? told.value : null }));
    };
    // What cannot even be asked has no answer either.
    answer().catch(() => {
      if (isWanted) setKnown({ about, nth, answer: null });
    });
    return () => {
      isWanted = false;
    };
  }, [household, name, about, nth]);
  const again = useCallback(() => setNth((now) => now + 1), []);
  // What was found for another thing is not shown for this one.
  const isKnown = known !== null && known.about === about && (known.answer !== null || known.nth === nth);
  return { answer: isKnown ? known.answer : null, again: isKnown && known.answer === null ? again : null };
}
