import { lazy, Suspense, useState } from 'react';
import { useIsWhole } from '../state/app.ts';
import { BOX_ID, findClass, findFrameClass, useTyped, useTypedOn } from './find.ts';
import { t } from '../language/index.ts';

const FindBox = lazy(async () => ({ default: (await import('./FindBox.tsx')).FindBox }));

/** The find box; its list of answers loads after the screen, and takes over what was typed meanwhile. */
export function FindField() {
  const [isWanted, setWanted] = useState(false);
  const text = useTyped((typed) => typed.text);
  const begin = useTypedOn();
  const [entered, setEntered] = useState('');
  // Before all is there, nothing is found but what is out.
  const isWhole = useIsWhole();
  const field = (
    <div className={findFrameClass}>
      <input
        maxLength={200}
        id={BOX_ID}
        aria-label={t('Where is the…')}
        placeholder={t('Where is the…')}
        autoComplete="off"
        className={findClass}
        value={text}
        onFocus={() => {
          setWanted(true);
          begin();
        }}
        onBlur={() => setWanted(false)}
        onChange={(event) => useTyped.setState({ text: event.target.value })}
        onKeyDown={({ key }) => key === 'Enter' && setEntered(text)}
      />
    </div>
  );
  return (
    <Suspense fallback={field}>
      {isWhole ? <FindBox isWanted={isWanted} onBegin={begin} entered={entered} /> : field}
    </Suspense>
  );
}
