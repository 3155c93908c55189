import { useRef, useState } from 'react';
import { Button } from '../../components/Button.tsx';
import { FileInput } from '../../components/FileInput.tsx';
import { Form } from '../../components/Form.tsx';
import type { useScanner } from './useScanner.ts';
import { t } from '../../language/index.ts';

interface CodeFormProps {
  readonly scanner: ReturnType<typeof useScanner>;
  readonly isCamera: boolean;
  readonly isReading: boolean;
  readonly onCode: (code: string) => void;
  readonly onCamera: () => void;
  readonly onPicture: (file: File) => void;
}

/** A code is typed, seen by the camera, found on a picture or sent by the hand scanner. */
export function CodeForm({ scanner, isCamera, isReading, onCode, onCamera, onPicture }: CodeFormProps) {
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  return (
    <Form
      className="flex max-w-xl flex-wrap items-end gap-3"
      onSend={() => {
        if (text.trim() !== '') onCode(text);
        setText('');
        field.current?.focus();
      }}
    >
      <label className="min-w-48 flex-1">
        <span className="block text-sm text-stone">{t('Code on the label')}</span>
        <input
          maxLength={60}
          ref={field}
          autoFocus={!isCamera}
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          className="h-14 w-full rounded border border-stone/60 bg-field px-3 text-xl tracking-widest uppercase"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <Button type="submit" look="strong" className="min-h-14 md:min-h-14">
        {t('Go')}
      </Button>
      <div className="flex w-full flex-wrap gap-3">
        <Button onClick={onCamera}>{isCamera ? t('Camera off') : t('Camera')}</Button>
        <Button disabled={isReading} onClick={() => files.current?.click()}>
          {isReading ? t('Looking for a code …') : t('A picture of a label')}
        </Button>
        <FileInput
          ref={files}
          label={t('Picture of a label')}
          accept="image/*"
          onFiles={([picture]) => onPicture(picture!)}
        />
        <span className="self-center text-sm text-stone">
          {scanner === 'there' ? (
            <>
              <a href="/devices/scanner" target="_blank" rel="noreferrer" className="text-woad underline">
                {t('A made-up hand scanner')}
              </a>{' '}
              {t('listens: its button sends what it reads here.')}
            </>
          ) : scanner === 'absent' ? (
            t('No hand scanner answers here; typing does as well.')
          ) : (
            t('Looking for a hand scanner …')
          )}
        </span>
      </div>
    </Form>
  );
}
