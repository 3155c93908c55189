import { Button } from './Button.tsx';
import { t } from '../language/index.ts';

/** Where a question was asked that got no answer: says so, and asks again. */
export function Unanswered({ again }: { again: (() => void) | null }) {
  if (!again) return null;
  return (
    <p role="alert" className="mt-1 flex flex-wrap items-baseline gap-x-3 text-madder">
      {t('This could not be worked out.')}
      <Button look="quiet" onClick={again}>
        {t('Try again')}
      </Button>
    </p>
  );
}
