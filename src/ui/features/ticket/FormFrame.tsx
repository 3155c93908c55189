import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { t } from '../../language/index.ts';

/** A small form that opens below the acts of a ticket. */
export function FormFrame({
  title,
  save,
  onSave,
  onDone,
  children,
}: {
  title: string;
  save: string;
  onSave: () => Promise<unknown> | undefined;
  onDone: () => void;
  children: React.ReactNode;
}) {
  return (
    <Form
      opensBelow
      aria-label={title}
      className="scroll-mb-4 space-y-3 border-l-4 border-woad bg-linen p-3"
      onSend={onSave}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <h3 className="font-bold">{title}</h3>
      {children}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit">
          {save}
        </Button>
        <Button onClick={onDone}>{t('Leave it')}</Button>
      </div>
    </Form>
  );
}
