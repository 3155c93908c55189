import type { Heard, Sent } from './line.ts';

interface Scope<Ask, Answer, Tell, Word> {
  onmessage: ((message: MessageEvent<Sent<Ask, Tell>>) => void) | null;
  postMessage: (message: Heard<Answer, Word>) => void;
}

/** The worker's end of a line: every question gets its answer or why there is none, by its id. */
export function serveLine<Ask, Answer, Tell = never, Word = never>(
  answer: (ask: Ask, say: (word: Word) => void) => Answer | Promise<Answer>,
  hear?: (tell: Tell) => void,
): void {
  const scope = self as unknown as Scope<Ask, Answer, Tell, Word>;
  let trouble: unknown = null;
  scope.onmessage = ({ data }) => {
    if ('tell' in data) {
      // It is told by the next question, which would rest on it.
      try {
        hear?.(data.tell);
      } catch (error) {
        trouble = error;
      }
      return;
    }
    const { id, ask } = data;
    const work = async () => {
      if (trouble !== null) throw trouble;
      return answer(ask, (word) => scope.postMessage({ id, word }));
    };
    work().then(
      (answered) => scope.postMessage({ id, answer: answered }),
      (error: unknown) => scope.postMessage({ id, failed: String(error) }),
    );
  };
}
