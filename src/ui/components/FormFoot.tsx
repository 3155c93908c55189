import type { ReactNode } from 'react';
import { Button } from './Button.tsx';
import { t } from '../language/index.ts';

/** The foot of a small form: keep it, or leave it; further acts at the right. */
export function FormFoot({ save, onDone, children }: { save: string; onDone: () => void; children?: ReactNode }) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <Button look="strong" type="submit">
        {save}
      </Button>
      <Button onClick={onDone}>{t('Leave it')}</Button>
      {children && <span className="ml-auto">{children}</span>}
    </div>
  );
}
