import { Button } from './Button.tsx';

/** Where a question was asked that got no answer: says so, and asks again. */
export function Unanswered({ again }: { again: (() => void) | null }) {
  if (!again) return null;
  return (
    <p role="alert" className="mt-1 flex flex-wrap items-baseline gap-x-3 text-madder">
      This could not be worked out.
      <Button look="quiet" onClick={again}>
        Try again
      </Button>
    </p>
  );
}
