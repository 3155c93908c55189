import { useEffect, useRef, useState } from 'react';
import { CameraView } from '../../../core/labels/index.ts';
import type { CodeReader } from '../../../workers/client.ts';
import { Button } from '../../components/Button.tsx';
import { perLanguage, t } from '../../language/index.ts';

/** Between two looks at what the camera shows. */
const LOOK_MS = 200;

type Trouble = 'none' | 'denied' | 'busy' | 'gone' | 'unread';

const WORDS = perLanguage((): Record<Trouble, string> => ({
  none: t('This browser shows no camera here. A picture of the label does as well.'),
  denied: t('The camera was not allowed. Allow it for this page, or take a picture of the label.'),
  busy: t('The camera does not answer; perhaps something else uses it. A picture of the label does as well.'),
  gone: t('The camera went off. Perhaps it was unplugged, or something else took it.'),
  unread: t('What the camera shows could not be looked at. A picture of the label does as well.'),
}));

/** So many looks in a row may fail before it is told. */
const MOST_FAILED = 3;

interface CameraProps {
  readonly reader: () => CodeReader;
  readonly onCode: (code: string) => void;
}

/** What the camera sees; each code that it reads is told. Where it fails, it says so and can be tried again. */
export function Camera({ reader, onCode }: CameraProps) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  if (!trouble) return <Seen reader={reader} onCode={onCode} onTrouble={setTrouble} />;
  return (
    <p role="alert">
      {WORDS()[trouble]}{' '}
      <Button look="quiet" onClick={() => setTrouble(null)}>
        {t('Try again')}
      </Button>
    </p>
  );
}

function Seen({ reader, onCode, onTrouble }: CameraProps & { onTrouble: (trouble: Trouble) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const listener = useRef(onCode);
  useEffect(() => {
    listener.current = onCode;
  });
  useEffect(() => {
    let isOn = true;
    let stream: MediaStream | null = null;
    let timer = 0;
    let failed = 0;
    const view = new CameraView();
    const giveUp = (why: Trouble) => {
      if (!isOn) return;
      stream?.getTracks().forEach((track) => track.stop());
      onTrouble(why);
    };
    const look = async () => {
      const frame = video.current;
      if (!isOn || !frame) return undefined;
      if (frame.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA) {
        const codes = await createImageBitmap(frame).then(
          (picture) => reader().read(picture),
          () => null,
        );
        failed = codes?.ok ? 0 : failed + 1;
        if (failed > MOST_FAILED) return giveUp('unread');
        const read = codes?.ok ? (codes.value ?? []) : [];
        if (isOn) for (const code of view.look(read, performance.now())) listener.current(code);
      }
      if (isOn) timer = window.setTimeout(() => void look(), LOOK_MS);
      return undefined;
    };
    const start = async () => {
      // Absent where the page is not served safely, whatever the types say.
      const devices = navigator.mediaDevices as MediaDevices | undefined;
      if (!devices) return onTrouble('none');
      try {
        stream = await devices.getUserMedia({ video: { facingMode: 'environment' } });
      } catch (error) {
        const name = error instanceof DOMException ? error.name : '';
        return onTrouble(name === 'NotAllowedError' ? 'denied' : name === 'NotFoundError' ? 'none' : 'busy');
      }
      const frame = video.current;
      if (!isOn || !frame) {
        stream.getTracks().forEach((track) => track.stop());
        return undefined;
      }
      for (const track of stream.getTracks()) track.addEventListener('ended', () => giveUp('gone'));
      frame.srcObject = stream;
      await frame.play().catch(() => undefined);
      return look();
    };
    void start();
    return () => {
      isOn = false;
      window.clearTimeout(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, [reader, onTrouble]);
  return (
    <div className="relative">
      <video
        ref={video}
        muted
        playsInline
        aria-label={t('What the camera sees')}
        className="aspect-4/3 w-full border border-thread bg-black object-cover"
      />
      <p className="pointer-events-none absolute inset-x-0 bottom-0 bg-black/60 px-3 py-1.5 text-center text-white">
        {t('Hold a label before it')}
      </p>
    </div>
  );
}
