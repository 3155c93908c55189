import { useEffect, useRef, useState } from 'react';
import { getLanguage } from '../language/index.ts';

/** What of the browser's speech recognition is used; no browser types it yet. */
interface Recognition {
  lang: string;
  processLocally: boolean;
  onresult: ((event: { readonly results: ArrayLike<ArrayLike<object>> }) => void) | null;
  onend: (() => void) | null;
  onerror: (() => void) | null;
  start(): void;
  stop(): void;
}
interface RecognitionMaker {
  new (): Recognition;
  available?(wanted: { readonly langs: readonly string[]; readonly processLocally: boolean }): Promise<string>;
}

const findMaker = (): RecognitionMaker | undefined =>
  (window as unknown as { readonly SpeechRecognition?: RecognitionMaker }).SpeechRecognition;

/** What was heard: an answer has one text, beside how sure the browser is of it. */
function getHeard(answer: object | undefined): string {
  for (const field in answer) {
    const value: unknown = answer[field as keyof typeof answer];
    if (typeof value === 'string') return value;
  }
  return '';
}

/**
 * Speech as the browser gives it. Only where it is understood on this device: elsewhere the browser would send the voice to a server,
 * and nothing of a household leaves it.
 */
export function useSpeech(onHeard: (text: string) => void) {
  const [isThere, setThere] = useState(false);
  const [listening, setListening] = useState<Recognition | null>(null);
  const heard = useRef(onHeard);
  useEffect(() => {
    heard.current = onHeard;
  });
  useEffect(() => {
    let isAsked = true;
    void findMaker()
      ?.available?.({ langs: [getLanguage()], processLocally: true })
      .then(
        (answer) => isAsked && setThere(answer === 'available'),
        () => undefined,
      );
    return () => {
      isAsked = false;
    };
  }, []);
  useEffect(() => () => listening?.stop(), [listening]);
  const start = () => {
    const Maker = findMaker();
    if (!Maker) return;
    const recognition = new Maker();
    recognition.lang = getLanguage();
    recognition.processLocally = true;
    recognition.onresult = ({ results }) =>
      heard.current(
        Array.from(results, (one) => getHeard(one[0]))
          .join(' ')
          .trim(),
      );
    recognition.onend = () => setListening(null);
    recognition.onerror = () => setListening(null);
    recognition.start();
    setListening(recognition);
  };
  return { isThere, isListening: listening !== null, start, stop: () => listening?.stop() };
}
