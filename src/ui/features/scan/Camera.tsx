import { useEffect, useRef, useState } from 'react';
import { View } from '../../../core/labels/view.ts';
import type { CodeReader } from '../../../workers/client.ts';

/** Between two looks at what the camera shows. */
const LOOK_MS = 200;

type Trouble = 'none' | 'denied' | 'busy';

const WORDS: Record<Trouble, string> = {
  none: 'This browser shows no camera here. A picture of the label does as well.',
  denied: 'The camera was not allowed. Allow it for this page, or take a picture of the label.',
  busy: 'The camera does not answer; perhaps something else uses it. A picture of the label does as well.',
};

/** What the camera sees; each code that it reads is told. */
export function Camera({ reader, onCode }: { reader: () => CodeReader; onCode: (code: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const listener = useRef(onCode);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  useEffect(() => {
    listener.current = onCode;
  });
  useEffect(() => {
    let isOn = true;
    let stream: MediaStream | null = null;
    let timer = 0;
    const view = new View();
    const look = async () => {
      const frame = video.current;
      if (!isOn || !frame) return;
      if (frame.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA) {
        const codes = await reader().read(await createImageBitmap(frame));
        if (isOn) for (const code of view.look(codes ?? [], performance.now())) listener.current(code);
      }
      if (isOn) timer = window.setTimeout(() => void look(), LOOK_MS);
    };
    const start = async () => {
      // Absent where the page is not served safely, whatever the types say.
      const devices = navigator.mediaDevices as MediaDevices | undefined;
      if (!devices) return setTrouble('none');
      try {
        stream = await devices.getUserMedia({ video: { facingMode: 'environment' } });
      } catch (error) {
        const name = error instanceof DOMException ? error.name : '';
        return setTrouble(name === 'NotAllowedError' ? 'denied' : name === 'NotFoundError' ? 'none' : 'busy');
      }
      const frame = video.current;
      if (!isOn || !frame) {
        stream.getTracks().forEach((track) => track.stop());
        return undefined;
      }
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
  }, [reader]);
  if (trouble) return <p role="alert">{WORDS[trouble]}</p>;
  return (
    <video
      ref={video}
      muted
      playsInline
      aria-label="What the camera sees"
      className="aspect-video w-full max-w-md border border-thread bg-ink"
    />
  );
}
