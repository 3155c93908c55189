import { format } from 'date-fns';
import { Link } from 'react-router';
import { formatCode } from '../../../core/labels/index.ts';
import type { Label } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { Row } from '../../components/fields.tsx';

/** The label of what the ticket is of, and the way to print it. */
export function LabelRow({ label, of }: { label: Label | null; of: string }) {
  return (
    <Row name="Label">
      <Link
        to={`/labels?of=${encodeURIComponent(of)}`}
        className="text-woad underline underline-offset-4"
        {...explained('The code that it bears, and when it was printed.')}
      >
        {typeof label?.printedAtMs === 'number'
          ? `${formatCode(label.code)}, ${format(label.printedAtMs, 'd MMM yyyy')}`
          : 'print one'}
      </Link>
    </Row>
  );
}
