import type { ReactNode } from 'react';
import { Button } from '../../components/Button.tsx';

interface RowsProps {
  readonly title: string;
  readonly add: string;
  readonly onAdd: () => void;
  readonly children: ReactNode;
}

/** One kind of what a room has, a row for each, and one more by a press. */
export function Rows({ title, add, onAdd, children }: RowsProps) {
  return (
    <fieldset className="stitched-t pt-3">
      <legend className="font-bold">{title}</legend>
      <ol className="space-y-3">{children}</ol>
      <Button look="quiet" className="mt-1" onClick={onAdd}>
        {add}
      </Button>
    </fieldset>
  );
}
