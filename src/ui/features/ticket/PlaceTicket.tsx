import { lazy, Suspense, useContext } from 'react';
import { Link } from 'react-router';
import type { Household, PlaceId } from '../../../core/records/index.ts';
import { computeSpace, computeTraits, formatPlaceName, getAncestor } from '../../../core/storage/index.ts';
import { formatMass, formatSize, formatSizes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Row } from '../../components/fields.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { LotLine } from '../../components/LotLine.tsx';
import { WhyPanel } from '../../components/WhyPanel.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { PreviewContext, useApp, useHousehold } from '../../state/app.ts';
import { PlaceActs } from '../room/PlaceActs.tsx';
import { getGroups, getTree } from '../../state/derived.ts';
import { getLotsByPlace } from '../../state/whereabouts.ts';
import { wordAmount, wordCount, wordLight, wordReach } from '../../text/index.ts';
import { wordHowMuch } from '../../text/measures.ts';
import { explainPlaceReason } from '../../text/whys.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { computePlaceState } from '../../../core/whereabouts/index.ts';

function PlaceWhy({ household, id }: { household: Household; id: PlaceId }) {
  const { answer: reasons, again } = useAnswer(household, 'whyPlace', id);
  const tree = getTree(household);
  const said = reasons?.map((one) => explainPlaceReason(one, household, tree, getGroups(household)));
  return <WhyPanel title="Why these things here" said={said ?? null} again={again} />;
}

const LabelRow = lazy(async () => ({ default: (await import('./LabelRow.tsx')).LabelRow }));

/** The ticket of a compartment or bin: its measures, how full it is, and everything in it in order. */
export function PlaceTicket({ id }: { id: PlaceId }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const tree = getTree(household);
  const isPreview = useContext(PreviewContext) !== null;
  const place = tree.places.get(id);
  if (!place || !tree.leaves.includes(place)) return <p className="text-stone">That place is no longer in the room.</p>;
  const { settings } = household;
  const { units } = settings;
  const lots = getLotsByPlace(household).get(id) ?? [];
  const space = computeSpace(tree, place);
  const traits = computeTraits(tree, place, settings);
  const state = computePlaceState(household, tree, place, lots, 'is');
  const unit = getAncestor(tree, id, 'unit')!;
  const slot = getAncestor(tree, id, 'slot')!;
  const safe = [
    traits.isDustProof && 'dust',
    traits.isPetProof && 'pets',
    traits.isChildSafe && 'small children',
  ].filter(Boolean);

  return (
    <>
      <PrintDefs />
      <h2 className="font-display text-[21px] leading-tight font-semibold">{place.name}</h2>
      <p className="text-stone">{formatPlaceName(tree, id).split(' › ').slice(0, -1).join(' › ') || unit.name}</p>
      <dl className="mt-2">
        <Row name="Inside" how="The measures of this compartment or bin, less its boards, and what stands in the way.">
          {formatSizes([space.widthMm, space.depthMm, space.heightMm], units)}
        </Row>
        <Row name="Holds" how="The lots that lie in it now, counted.">
          {wordCount(state.lots, 'lot')}
        </Row>
        {state.isOverFull ? (
          <Row name="Over full">
            <span className="text-madder">what is in it does not lie in it</span>
          </Row>
        ) : (
          <Row
            name="Full"
            how={`What its lots take, with the air that stays between, of what it holds: of the height of its piles, of its width, of its room or of its hooks. Plans fill it to ${Math.round(settings.fillTarget * 100)} % where they can.`}
          >
            {Math.round(state.fill * 100)} %
          </Row>
        )}
        {state.widthLeftMm !== null && (
          <Row
            name="Beside them"
            how="Its width less all that stands or lies in it side by side. Piles may take more on top."
          >
            {formatSize(state.widthLeftMm, units)} wide
          </Row>
        )}
        <Row
          name={state.isTooHeavy ? 'Too heavy' : 'Carries'}
          how="What its lots weigh, added up, of what it is said to carry."
        >
          <span className={state.isTooHeavy ? 'text-madder' : ''}>
            {formatMass(state.massG, units)} of {formatMass(state.loadG, units)}
          </span>
        </Row>
        <Row
          name="Height"
          how="Where the hand goes, above the floor; the band follows from your stature in House."
        >{`${formatSize(traits.handMm, units)}, ${wordReach(traits.reach)}`}</Row>
        {unit.unit?.access === 'around' && place.container && <Row name="Reached">from either side</Row>}
        {place.container?.dividers && (
          <Row name="Cells">
            {place.container.dividers.columns * place.container.dividers.rows}: {place.container.dividers.columns}{' '}
            across, {place.container.dividers.rows} deep
          </Row>
        )}
        <Row name="Light">{wordLight(traits.light)}</Row>
        {!isPreview && (
          <Suspense>
            <LabelRow label={place.label ?? null} of={`place:${id}`} />
          </Suspense>
        )}
        {safe.length > 0 && <Row name="Safe from">{safe.join(', ')}</Row>}
      </dl>
      {!isPreview && (
        <div className="mt-3 grid grid-cols-2 gap-2">
          <Button onClick={() => show({ type: 'editUnit', id: unit.id })}>
            Edit {unit.unit?.kind === 'cubes' ? 'the shelf' : 'the piece'}
          </Button>
          <Button onClick={() => show({ type: 'editSlot', id: slot.id })}>Edit this place</Button>
        </div>
      )}
      {!isPreview && <PlaceActs place={place} />}
      {!isPreview && (
        <section aria-label="What plans may do here" className="stitched-t mt-3 flex flex-wrap gap-x-5 gap-y-1 pt-2">
          <WishButton wish={{ kind: 'stays', placeId: id }}>Plans leave this place as it is</WishButton>
          <WishButton wish={{ kind: 'stays', placeId: unit.id }}>{`Plans leave ${unit.name} as it is`}</WishButton>
          <WishButton wish={{ kind: 'free', placeId: id }}>Plans keep it free</WishButton>
        </section>
      )}
      <PlaceWhy household={household} id={id} />
      <h3 className="mt-4 font-bold">In it, in order</h3>
      {!isPreview && lots.length > 0 && (
        <Link to={`/bench/count/${id}`} className="text-woad underline underline-offset-4">
          Count it
        </Link>
      )}
      {lots.length === 0 && <p className="text-stone">Nothing yet.</p>}
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
