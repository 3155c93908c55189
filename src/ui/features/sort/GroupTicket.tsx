import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Group, findSmallestHolder, isTooSmall } from '../../../core/grouping/index.ts';
import type { Household, LotId } from '../../../core/records/index.ts';
import { formatPlaceName, findWallId } from '../../../core/storage/index.ts';
import { formatMass } from '../../../core/units/index.ts';
import { CheckField, Row } from '../../components/fields.tsx';
import { LotLine } from '../../components/LotLine.tsx';
import { WhyPanel } from '../../components/WhyPanel.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { useHousehold } from '../../state/app.ts';
import { Button } from '../../components/Button.tsx';
import { getTree } from '../../state/derived.ts';
import { getNeeds } from '../../state/needs.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { wordAmount, wordGroup } from '../../text/index.ts';
import { explainNeeds } from '../../text/needs.ts';
import { wordHowMuch } from '../../text/measures.ts';
import { wordOrder, wordSchool } from '../../text/schools.ts';
import { explainGroupReason } from '../../text/whys.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { HandSort } from './HandSort.tsx';
import { Partners } from './Partners.tsx';
import { GrowthRow } from './GrowthRow.tsx';
import { SplitUp } from './SplitUp.tsx';
import { t } from '../../language/index.ts';

function GroupWhy({ household, group }: { household: Household; group: Group }) {
  const { answer: reasons, again } = useAnswer(household, 'whyGroup', group.id);
  const tree = getTree(household);
  const said = reasons?.map((one) => explainGroupReason(one, household, tree));
  return <WhyPanel title={t('Why it is there')} said={said ?? null} again={again} />;
}

/** A group's ticket: the room it needs, where it is spread today, and its lots in their order. */
export function GroupTicket({ group }: { group: Group }) {
  const household = useHousehold();
  const { units } = household.settings;
  const needs = getNeeds(household, group);
  const tree = getTree(household);
  const holder = useMemo(() => findSmallestHolder(household, tree, group.lots), [household, tree, group]);
  const places = new Set(group.lots.flatMap((lot) => lot.placeId ?? []));
  const { levels, order } = household.settings.sorting[group.kind];
  const [picked, setPicked] = useState<ReadonlySet<LotId> | null>(null);
  const byHand = new Set(household.settings.handPicks?.map((pick) => pick.lotId));
  const navigate = useNavigate();
  const carry = async () => {
    useRebuild.setState({ groupId: group.id, lotId: null, words: '', isGood: true });
    // On the wall where most of it lies.
    const walls = group.lots.flatMap((lot) => (lot.placeId ? (findWallId(tree, lot.placeId) ?? []) : []));
    const count = (of: string) => walls.filter((one) => one === of).length;
    const [most = ''] = walls.toSorted((a, b) => count(b) - count(a));
    await navigate(`/room/${most}`);
  };
  const rooms = new Set([...places].flatMap((id) => tree.getPath(id)[0]?.name ?? []));
  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{wordGroup(group, household)}</h2>
      <p className="text-stone">{`${levels.map(wordSchool).join(t(', inside '))}, ${wordOrder(order)}`}</p>
      <dl className="mt-2">
        <Row name={t('Holds')} how={t("The things that this kind's sorting puts together.")}>
          {t('{n, plural, one {# thing} other {# things}}', { n: group.lots.length })}
        </Row>
        {explainNeeds(needs, units).map(({ words, how }, i) => (
          <Row key={words} name={i === 0 ? t('Needs') : t('or')} how={how}>
            {words}
          </Row>
        ))}
        <Row name={t('Weight')} how={t('What each thing weighs, measured or computed, added up.')}>
          {formatMass(needs.massG, units)}
        </Row>
        <Row
          name={t('Smallest place')}
          how={t(
            'Every place of the household was tried as if it were empty, the smallest first, with real packing; the share is what the group would take of it.',
          )}
        >
          {holder
            ? t('{placeName}, {share} % full', {
                placeName: formatPlaceName(tree, holder.place.id),
                share: Math.round(holder.share * 100),
              })
            : t('none takes all of it')}
        </Row>
        <Row name={t('Today in')} how={t('The places where its things lie today, each counted once.')}>
          {rooms.size > 1
            ? t('{places} places, {rooms} rooms', { places: places.size, rooms: rooms.size })
            : t('{places, plural, one {# place} other {# places}}', { places: places.size })}
        </Row>
        <GrowthRow group={group} />
      </dl>
      <GroupWhy household={household} group={group} />
      <p className="mt-2 flex flex-wrap gap-x-4">
        <Button look="quiet" onClick={() => void carry()}>
          {t('Take it up, and try every place on the wall')}
        </Button>
        <WishButton wish={{ kind: 'stays', groupIds: [group.id] }}>
          {t('Plans leave this group where it is')}
        </WishButton>
      </p>
      {(!holder || group.part) && <SplitUp group={group} />}
      {isTooSmall(group, holder) && <Partners group={group} />}
      <div className="mt-4 flex items-baseline justify-between">
        <h3 className="font-bold">{t('In this order')}</h3>
        {picked === null && (
          <Button look="quiet" onClick={() => setPicked(new Set())}>
            {t('Sort by hand')}
          </Button>
        )}
      </div>
      {picked !== null && <HandSort group={group} picked={picked} onDone={() => setPicked(null)} />}
      <ol className="mt-1">
        {group.lots.map((lot, i) => {
          const item = household.items.get(lot.itemId)!;
          if (picked !== null)
            return (
              <li key={lot.id} className="dotted-row">
                <CheckField
                  label={item.name}
                  checked={picked.has(lot.id)}
                  onChange={(event) => {
                    const next = new Set(picked);
                    if (event.target.checked) next.add(lot.id);
                    else next.delete(lot.id);
                    setPicked(next);
                  }}
                />
              </li>
            );
          return (
            <LotLine
              key={lot.id}
              id={lot.id}
              item={item}
              more={byHand.has(lot.id) ? t('put here by hand') : undefined}
              nth={i + 1}
              how={item.pattern ? t('The number it was given.') : wordHowMuch(item, lot, household.settings)}
            >
              {item.pattern ? item.pattern.number : wordAmount(item, lot, units)}
            </LotLine>
          );
        })}
      </ol>
    </>
  );
}
