import type { Lot } from '../../../../core/records/index.ts';
import { toDay } from '../../../../core/units/index.ts';
import { Row } from '../../../components/fields.tsx';
import { wordChore } from '../../../text/year.ts';
import { t } from '../../../language/index.ts';
import { wordDay } from '../../../text/days.ts';

/** What the year says of a thing: when it was opened, to whom it goes, what comes round. */
export function YearRows({ lot }: { lot: Lot }) {
  return (
    <>
      {lot.openedOn !== undefined && (
        <Row name={t('Opened')} how={t('The day on which its packet was opened.')}>
          {wordDay(lot.openedOn)}
        </Row>
      )}
      {lot.leaving && (
        <Row name={t('To go')} how={t('As you said when you went through it.')}>
          {[
            lot.leaving.toWhom && t('to {whom}', { whom: lot.leaving.toWhom }),
            lot.leaving.by && t('by {by}', { by: wordDay(lot.leaving.by) }),
          ]
            .filter(Boolean)
            .join(' ') || t('soon')}
        </Row>
      )}
      {lot.chores?.map((chore) => (
        <Row
          key={chore.id}
          name={wordChore(chore)}
          how={t('Since it was done last, by the day or by the hours of the steps that you finished.')}
        >
          {chore.everyHours === undefined
            ? t('every {everyDays} days, last {day}', {
                everyDays: chore.everyDays,
                day: wordDay(toDay(chore.doneAtMs)),
              })
            : t('{hours} h of {everyHours}', {
                hours: Math.round(10 * chore.hours) / 10,
                everyHours: chore.everyHours,
              })}
        </Row>
      ))}
    </>
  );
}
