import type { ReactNode } from 'react';
import type { LotReason } from '../../../../workers/protocol.ts';
import { findHolder } from '../../../../core/measure/index.ts';
import type { Household, Item, Lot, LotId } from '../../../../core/records/index.ts';
import { formatPlaceName } from '../../../../core/storage/index.ts';
import { formatSize } from '../../../../core/units/index.ts';
import { Button } from '../../../components/Button.tsx';
import { explained } from '../../../components/explained.ts';
import { Row } from '../../../components/fields.tsx';
import { WhyPanel } from '../../../components/WhyPanel.tsx';
import { Swatch } from '../../../drawing/Swatch.tsx';
import { useOpen } from '../../../state/app.ts';
import { getAsPlanned, getTree } from '../../../state/derived.ts';
import { useAnswer } from '../../../state/useAnswer.ts';
import { getWhereabouts } from '../../../state/whereabouts.ts';
import {
  wordAmount,
  wordCare,
  wordDoubt,
  wordForm,
  wordLotReason,
  wordMeasureWay,
  wordThing,
} from '../../../text/index.ts';
import { wordHowMuch, wordMeasures } from '../../../text/measures.ts';
import { LotFacts } from './LotFacts.tsx';
import { ThreadMatch } from './ThreadMatch.tsx';
import { perLanguage, t } from '../../../language/index.ts';

interface LotShownProps {
  readonly household: Household;
  readonly lot: Lot;
  readonly item: Item;
  readonly photos?: ReactNode;
  readonly whereName: string;
  readonly where: ReactNode;
  readonly label?: ReactNode;
  /** What is mostly done with it, below why it is there. */
  readonly acts?: ReactNode;
  /** What else is done with it. */
  readonly children?: ReactNode;
}

/** What a lot is, how much there is of it, where it lives and why. What is done with it is handed in. */
export function LotShown({ household, lot, item, photos, whereName, where, label, acts, children }: LotShownProps) {
  const { settings } = household;
  const { units } = settings;
  const open = useOpen();
  const tree = getTree(household);
  const { placeId } = getWhereabouts(household, lot.id);
  const isHere = lot.state === 'in';
  const isPlanned = lot.homeId !== undefined && isHere && lot.placeId !== lot.homeId;
  return (
    <>
      <div className="flex items-start gap-3">
        <Swatch item={item} className={`shrink-0 ${item.photos ? 'size-24' : 'size-16'}`} />
        <div className="min-w-0">
          <h2 className="font-display text-[21px] leading-tight font-semibold">{item.name}</h2>
          <p
            className="text-sm text-stone"
            {...explained(t('As its form says: what was typed there, or what is usual for its kind.'))}
          >
            {wordThing(item, units)}
          </p>
        </div>
      </div>
      <dl className="mt-2">
        <Row name={whereName}>{lot.state === 'digital' ? t('a file; it takes no room') : where}</Row>
        {isPlanned && (
          <Row name={t('Planned for')}>{formatPlaceName(getTree(getAsPlanned(household)), lot.homeId!)}</Row>
        )}
        {label}
      </dl>
      <Why household={household} id={lot.id} isHere={isHere} />
      {acts}
      <dl className="facts mt-3">
        <Row name={t('There is')} how={wordHowMuch(item, lot, settings)}>
          {wordAmount(item, lot, units)}
          {wordDoubt(item, lot, units)}
          {item.kind === 'fabric' && item.fabric && ` × ${formatSize(lot.widthMm ?? item.fabric.widthMm, units)}`}
        </Row>
        {wordMeasures(item, lot, settings).map(({ name, words, how }) => (
          <Row key={name} name={name} how={how}>
            {words}
          </Row>
        ))}
        {lot.measuredBy && <Row name={t('Measured')}>{wordMeasureWay(lot.measuredBy)}</Row>}
        {lot.state !== 'digital' && <Row name={t('Kept')}>{wordForm(lot.form)}</Row>}
        <LotFacts household={household} item={item} lot={lot} />
        {item.care.length > 0 && (
          <Row isWide name={t('Take care')}>
            {item.care.map(wordCare).join(', ')}
          </Row>
        )}
      </dl>
      {item.notes !== '' && <p className="mt-2 whitespace-pre-line">{item.notes}</p>}
      {placeId !== null && (
        <Button data-name look="quiet" className="mt-1" onClick={() => open({ type: 'place', id: placeId })}>
          {t('What else is in')} {tree.places.get(placeId)?.name}?
        </Button>
      )}
      {photos}
      {(item.kind === 'fabric' || isBobbin(item, lot)) && <ThreadMatch household={household} item={item} />}
      {children}
    </>
  );
}

/** Thread on bobbins, which is matched to the thread it came from or that is nearest. */
function isBobbin(item: Item, lot: Lot): boolean {
  return item.thread !== undefined && (lot.holder ?? findHolder(item.thread.diameterMm).id) === 'bobbin';
}

/** How what speaks for a place was found out. */
const HOW_WHY = perLanguage((): Record<LotReason['code'], string> => ({
  kin: t('The things of its group that lie in the same place, counted.'),
  alone: t('No other thing of its group lies in this place.'),
  reach: t('The height of the hand that takes it out, beside your own height; how often is what the thing says.'),
  dark: t('What the compartment says of its light, and the thing of fading.'),
  seen: t('Whether one looks into the place, from its opening and sides.'),
  'on-table': t('What a thing less on a table is worth to you a month, as House says.'),
  spare: t('The length of the shelf, less what lies on it side by side.'),
  elsewhere: t(
    'Every other place was packed with it and priced like a plan; the cheapest is named, with its seconds a month more.',
  ),
}));

function Why({ household, id, isHere }: { household: Household; id: LotId; isHere: boolean }) {
  const { answer: reasons, again } = useAnswer(household, 'why', id);
  const said = reasons?.map((reason) => ({
    words: wordLotReason(reason, getTree(household), household.settings.units),
    how: HOW_WHY()[reason.code],
  }));
  return <WhyPanel title={isHere ? t('Why here') : t('Why its home is there')} said={said ?? null} again={again} />;
}
