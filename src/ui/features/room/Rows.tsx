import type { ReactNode } from 'react';
import { Button } from '../../components/Button.tsx';

interface RowsProps {
  readonly of: readonly { readonly rowKey: string }[];
  readonly title: string;
  readonly add: string;
  readonly onAdd: () => void;
  /** The row of that number. */
  readonly children: (index: number) => ReactNode;
}

/** One kind of what a room has, a row for each, and one more by a press. */
export function Rows({ of, title, add, onAdd, children }: RowsProps) {
  return (
    <fieldset className="stitched-t pt-3">
      <legend className="font-bold">{title}</legend>
      <ol className="space-y-3">
        {of.map(({ rowKey }, index) => (
          <li key={rowKey} className="dotted-row pb-2">
            {children(index)}
          </li>
        ))}
      </ol>
      <Button look="quiet" className="mt-1" onClick={onAdd}>
        {add}
      </Button>
    </fieldset>
  );
}
