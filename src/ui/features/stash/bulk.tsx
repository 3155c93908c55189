import { useRef, useState } from 'react';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { barClass } from './NarrowBar.tsx';
import { t } from '../../language/index.ts';

interface OneWordFormProps {
  readonly label: string;
  readonly placeholder: string;
  readonly maxLength: number;
  readonly send: string;
  /** Nothing where the word does not read. */
  readonly onSend: (word: string) => Promise<boolean> | undefined;
}

/** One word that is set for all, and the button that sets it. */
export function OneWordForm({ label, placeholder, maxLength, send, onSend }: OneWordFormProps) {
  const [text, setText] = useState('');
  return (
    <Form
      className="flex min-w-0 items-center gap-1"
      onSend={() => (text.trim() === '' ? undefined : onSend(text.trim())?.then((isDone) => isDone && setText('')))}
    >
      <input
        aria-label={label}
        placeholder={placeholder}
        maxLength={maxLength}
        className={`${barClass} w-28 min-w-0 max-md:flex-1`}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button look="quiet" type="submit">
        {send}
      </Button>
    </Form>
  );
}

interface PickForProps {
  readonly label: string;
  readonly first: string;
  readonly of: readonly (readonly [value: string, words: string])[];
  readonly onPick: (value: string) => Promise<boolean>;
}

/**
 * A choice that is carried out at once, and then stands on nothing again. Gone through by keys it waits for Enter: each arrow chooses
 * another one.
 */
export function PickFor({ label, first, of, onPick }: PickForProps) {
  const [held, setHeld] = useState('');
  const isByKeys = useRef(false);
  const pick = (value: string) => {
    setHeld('');
    if (value !== '') void onPick(value);
  };
  return (
    <span className="flex min-w-0 items-center gap-1">
      <select
        aria-label={label}
        className={`${barClass} max-md:w-full max-md:max-w-none md:max-w-36`}
        value={held}
        onPointerDown={() => (isByKeys.current = false)}
        onKeyDown={({ key }) => {
          isByKeys.current = true;
          if (key === 'Enter') pick(held);
        }}
        onBlur={() => (isByKeys.current = false)}
        onChange={({ target: { value } }) => (isByKeys.current ? setHeld(value) : pick(value))}
      >
        <option value="">{first}</option>
        {of.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      {held !== '' && (
        <Button look="quiet" onClick={() => pick(held)}>
          {t('Set')}
        </Button>
      )}
    </span>
  );
}
