import { format } from 'date-fns';
import { Link } from 'react-router';
import { formatCode } from '../../../core/labels/index.ts';
import type { Label } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { Row } from '../../components/fields.tsx';
import { t } from '../../language/index.ts';

/** The label of what the ticket is of, and the way to print it. */
export function LabelRow({ label, of }: { label: Label | null; of: string }) {
  return (
    <Row name={t('Label')}>
      <Link
        to={`/labels?of=${encodeURIComponent(of)}`}
        className="text-woad underline underline-offset-4"
        {...explained(t('The code that it bears, and when it was printed.'))}
      >
        {typeof label?.printedAtMs === 'number'
          ? `${formatCode(label.code)}, ${format(label.printedAtMs, t('d MMM yyyy'))}`
          : t('print one')}
      </Link>
    </Row>
  );
}
