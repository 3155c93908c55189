import { useEffect, useState } from 'react';
import type { Household } from '../../core/records/index.ts';
import { ask } from '../../workers/client.ts';
import type { QuestionName, Questions } from '../../workers/protocol.ts';

/** The explainer's answer about the household as it is; null until it is there. */
export function useAnswer<Name extends QuestionName>(
  household: Household,
  name: Name,
  about: Questions[Name]['ask'],
): Questions[Name]['answer'] | null {
  const [known, setKnown] = useState<{ about: unknown; answer: Questions[Name]['answer'] } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void ask(household, name, about).then((answer) => {
      if (isWanted) setKnown({ about, answer });
    });
    return () => {
      isWanted = false;
    };
  }, [household, name, about]);
  // What was found for another thing is not shown for this one.
  return known && known.about === about ? known.answer : null;
}
