import type { ReactNode } from 'react';
import type { Household, Place, PlaceId } from '../../../../core/records/index.ts';
import { computeSpace, computeTraits, formatPlaceName, getAncestor } from '../../../../core/storage/index.ts';
import { formatMass, formatSize, formatSizes } from '../../../../core/units/index.ts';
import { computePlaceState } from '../../../../core/whereabouts/index.ts';
import { Row } from '../../../components/fields.tsx';
import { LotLine } from '../../../components/LotLine.tsx';
import { WhyPanel } from '../../../components/WhyPanel.tsx';
import { getTree } from '../../../state/derived.ts';
import { useGroups } from '../../../state/groups.ts';
import { useAnswer } from '../../../state/useAnswer.ts';
import { getLotsByPlace } from '../../../state/whereabouts.ts';
import { wordAmount, wordLight, wordReach } from '../../../text/index.ts';
import { wordHowMuch } from '../../../text/measures.ts';
import { explainBinReason, explainPlaceReason } from '../../../text/whys.ts';
import { t } from '../../../language/index.ts';

function PlaceWhy({ household, id }: { household: Household; id: PlaceId }) {
  const { answer: reasons, again } = useAnswer(household, 'whyPlace', id);
  const { answer: bin } = useAnswer(household, 'whyBin', id);
  const tree = getTree(household);
  const groups = useGroups(household);
  const said = reasons?.map((one) => explainPlaceReason(one, household, tree, groups));
  if (said && bin) said.push(explainBinReason(bin, tree));
  return <WhyPanel title={t('Why these things here')} said={said ?? null} again={again} />;
}

interface PlaceShownProps {
  readonly household: Household;
  readonly place: Place;
  readonly label?: ReactNode;
  /** What is done with it. */
  readonly children?: ReactNode;
  /** The way to count what is in it. */
  readonly count?: ReactNode;
}

/** The measures of a compartment or bin, how full it is, and everything in it in order. What is done with it is handed in. */
export function PlaceShown({ household, place, label, children, count }: PlaceShownProps) {
  const { id } = place;
  const tree = getTree(household);
  const { settings } = household;
  const { units } = settings;
  const lots = getLotsByPlace(household).get(place.id) ?? [];
  const space = computeSpace(tree, place);
  const traits = computeTraits(tree, place, settings);
  const state = computePlaceState(household, tree, place, lots, 'is');
  const unit = getAncestor(tree, id, 'unit')!;
  const safe = [
    traits.isDustProof && t('dust'),
    traits.isPetProof && t('pets'),
    traits.isChildSafe && t('small children'),
  ].filter(Boolean);

  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{place.name}</h2>
      <p className="text-stone">{formatPlaceName(tree, id).split(' › ').slice(0, -1).join(' › ') || unit.name}</p>
      <dl className="mt-2">
        <Row
          name={t('Inside')}
          how={t('The measures of this compartment or bin, less its boards, and what stands in the way.')}
        >
          {formatSizes([space.widthMm, space.depthMm, space.heightMm], units)}
        </Row>
        <Row name={t('Holds')} how={t('The things that lie in it now, counted.')}>
          {t('{n, plural, one {# thing} other {# things}}', { n: state.lots })}
        </Row>
        {state.isOverFull ? (
          <Row name={t('Over full')}>
            <span className="text-madder">{t('what is in it does not lie in it')}</span>
          </Row>
        ) : (
          <Row
            name={t('Full')}
            how={t(
              'What its things take, with the air that stays between, of what it holds: of the height of its piles, of its width, of its room or of its hooks. Plans fill it to {fillTarget} % where they can.',
              { fillTarget: Math.round(settings.fillTarget * 100) },
            )}
          >
            {Math.round(state.fill * 100)} %
          </Row>
        )}
        {state.widthLeftMm !== null && (
          <Row
            name={t('Beside them')}
            how={t('Its width less all that stands or lies in it side by side. Piles may take more on top.')}
          >
            {t('{size} wide', { size: formatSize(state.widthLeftMm, units) })}
          </Row>
        )}
        <Row
          name={state.isTooHeavy ? t('Too heavy') : t('Carries')}
          how={t('What its things weigh, added up, of what it is said to carry.')}
        >
          <span className={state.isTooHeavy ? 'text-madder' : ''}>
            {t('{mass} of {most}', { mass: formatMass(state.massG, units), most: formatMass(state.loadG, units) })}
          </span>
        </Row>
        <Row
          name={t('Height')}
          how={t('Where the hand goes, above the floor; the band follows from your stature in House.')}
        >{`${formatSize(traits.handMm, units)}, ${wordReach(traits.reach)}`}</Row>
        {unit.unit?.access === 'around' && place.container && <Row name={t('Reached')}>{t('from either side')}</Row>}
        {place.container?.dividers && (
          <Row name={t('Cells')}>
            {t('{label}: {columns} across, {rows} deep', {
              label: place.container.dividers.columns * place.container.dividers.rows,
              columns: place.container.dividers.columns,
              rows: place.container.dividers.rows,
            })}
          </Row>
        )}
        <Row name={t('Light')}>{wordLight(traits.light)}</Row>
        {label}
        {safe.length > 0 && <Row name={t('Safe from')}>{safe.join(', ')}</Row>}
      </dl>
      {children}
      <PlaceWhy household={household} id={id} />
      <h3 className="mt-4 font-bold">{t('In it, in order')}</h3>
      {lots.length > 0 && count}
      {lots.length === 0 && <p className="text-stone">{t('Nothing yet.')}</p>}
      <ol className="mt-1">
        {lots.map((lot) => {
          const item = household.items.get(lot.itemId)!;
          return (
            <LotLine key={lot.id} id={lot.id} item={item} how={wordHowMuch(item, lot, settings)}>
              {wordAmount(item, lot, units)}
            </LotLine>
          );
        })}
      </ol>
    </>
  );
}
