import { useRef, type ComponentProps, type ReactNode } from 'react';

interface FormProps extends Omit<ComponentProps<'form'>, 'onSubmit' | 'noValidate' | 'children'> {
  /** Says what is typed; a promise where something is to be kept. */
  readonly onSend: () => Promise<unknown> | void;
  /** The next line is typed while the last one is kept. */
  readonly isEndless?: boolean;
  /** It opens below what is there: the whole of it is brought into view. */
  readonly opensBelow?: boolean;
  readonly children: ReactNode;
}

const comeIntoView = (form: HTMLFormElement | null) => form?.scrollIntoView({ block: 'nearest' });

/**
 * A form that is sent once: until what was typed is kept, or refused, it is not sent again, and keys are no longer typed
 * into it but mean what they mean on the page. Refused, it has the focus where it had it.
 */
export function Form({ onSend, isEndless = false, opensBelow = false, children, ...rest }: FormProps) {
  const isSent = useRef(false);
  const send = async (form: HTMLFormElement) => {
    if (isSent.current) return;
    // A day that is typed by half is none to the page: the browser knows, and says what is missing.
    const half = [...form.querySelectorAll('input')].find(({ validity }) => validity.badInput);
    if (half) {
      half.reportValidity();
      return;
    }
    const sent = onSend();
    if (!sent || isEndless) return;
    isSent.current = true;
    const field = document.activeElement;
    const isIn = field instanceof HTMLElement && form.contains(field);
    if (isIn) field.blur();
    try {
      await sent;
    } finally {
      isSent.current = false;
      if (isIn && field.isConnected && document.activeElement === document.body) field.focus();
    }
  };
  return (
    <form
      {...rest}
      ref={opensBelow ? comeIntoView : undefined}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send(event.currentTarget);
      }}
    >
      {children}
    </form>
  );
}
