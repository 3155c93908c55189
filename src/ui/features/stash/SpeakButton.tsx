import { Button } from '../../components/Button.tsx';
import { useSpeech } from '../../state/speech.ts';
import { t } from '../../language/index.ts';

/** Says the line instead of typing it; only where the browser understands speech by itself. */
export function SpeakButton({ onHeard }: { onHeard: (text: string) => void }) {
  const speech = useSpeech(onHeard);
  if (!speech.isThere) return null;
  return (
    <Button
      look="quiet"
      className="absolute top-1 right-2 z-10"
      aria-pressed={speech.isListening}
      onClick={speech.isListening ? speech.stop : speech.start}
    >
      {speech.isListening ? t('Listening … stop') : t('Say it')}
    </Button>
  );
}
