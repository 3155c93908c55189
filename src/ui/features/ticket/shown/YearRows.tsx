import type { Lot } from '../../../../core/records/index.ts';
import { toDay } from '../../../../core/units/index.ts';
import { Row } from '../../../components/fields.tsx';
import { wordChore } from '../../../text/year.ts';

/** What the year says of a thing: when it was opened, to whom it goes, what comes round. */
export function YearRows({ lot }: { lot: Lot }) {
  return (
    <>
      {lot.openedOn !== undefined && (
        <Row name="Opened" how="The day on which its packet was opened.">
          {lot.openedOn}
        </Row>
      )}
      {lot.leaving && (
        <Row name="To go" how="As you said when you went through it.">
          {[lot.leaving.toWhom && `to ${lot.leaving.toWhom}`, lot.leaving.by && `by ${lot.leaving.by}`]
            .filter(Boolean)
            .join(' ') || 'soon'}
        </Row>
      )}
      {lot.chores?.map((chore) => (
        <Row
          key={chore.id}
          name={wordChore(chore)}
          how="Since it was done last, by the day or by the hours of the steps that you finished."
        >
          {chore.everyHours === undefined
            ? `every ${chore.everyDays} days, last ${toDay(chore.doneAtMs)}`
            : `${Math.round(10 * chore.hours) / 10} h of ${chore.everyHours}`}
        </Row>
      ))}
    </>
  );
}
