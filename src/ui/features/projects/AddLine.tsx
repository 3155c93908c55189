import { useId } from 'react';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';

interface AddLineProps {
  readonly label: string;
  readonly placeholder: string;
  /** What stands on the button. */
  readonly add: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** Whether it reads. */
  readonly isGood: boolean;
  readonly onAdd: () => Promise<unknown> | undefined;
  readonly id?: string;
  readonly className?: string;
}

/** One line that adds something: typed, Enter, and the next. */
export function AddLine({ label, placeholder, add, value, onChange, isGood, onAdd, id, className = '' }: AddLineProps) {
  const own = useId();
  return (
    <Form className={`flex min-w-0 items-center gap-2 ${className}`} onSend={onAdd}>
      <input
        id={id ?? own}
        aria-label={label}
        placeholder={placeholder}
        maxLength={120}
        autoComplete="off"
        className="h-11 min-w-0 flex-1 rounded border border-stone/60 bg-field px-2 md:h-9"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      <Button type="submit" disabled={!isGood}>
        {add}
      </Button>
    </Form>
  );
}
