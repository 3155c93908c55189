import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import type { WallDrawing } from '../../../core/drawing/index.ts';
import { getFetchSeconds } from '../../../core/records/index.ts';
import type { BandsFor } from '../../../core/storage/index.ts';
import { formatMinutes, formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField } from '../../components/fields.tsx';
import { NeedsFirst } from '../../components/NeedsFirst.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { WallView } from '../../drawing/WallView.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { findWallOrMain, getAsPlanned, getStrays, getTree } from '../../state/derived.ts';
import { useWallDrawing } from '../../drawing/wallDrawing.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Legend } from './Legend.tsx';
import { useWallPhoto } from './photo/wallPhoto.ts';
import { RoomTabs } from './RoomTabs.tsx';
import { SheetMenu } from './SheetMenu.tsx';
import { t } from '../../language/index.ts';

const WallBuild = lazy(async () => ({ default: (await import('./build/WallBuild.tsx')).WallBuild }));
const LotBar = lazy(async () => ({ default: (await import('./build/LotBar.tsx')).LotBar }));
const GroupTargets = lazy(async () => ({ default: (await import('./build/LotTargets.tsx')).GroupTargets }));
const GroupBar = lazy(async () => ({ default: (await import('./build/LotBar.tsx')).GroupBar }));
const LotTargets = lazy(async () => ({ default: (await import('./build/LotTargets.tsx')).LotTargets }));
const PhotoBehind = lazy(async () => ({ default: (await import('./photo/PhotoBehind.tsx')).PhotoBehind }));
const PhotoPoints = lazy(async () => ({ default: (await import('./photo/PhotoBehind.tsx')).PhotoPoints }));
const PhotoPanel = lazy(async () => ({ default: (await import('./photo/PhotoPanel.tsx')).PhotoPanel }));
const BuildBar = lazy(async () => ({ default: (await import('./build/BuildBar.tsx')).BuildBar }));

/** The room, wall by wall, front on and to scale, with what is in every compartment. */
export function RoomPage() {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const params = useParams();
  const { wallId: lastWall, wallView, bandsFor: bandsChosen } = useChoices();
  const { smallStatureMm } = household.settings;
  const bandsFor = bandsChosen === 'small' && smallStatureMm === undefined ? 'standing' : bandsChosen;
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const { answer: today, again } = useAnswer(household, 'today', null);
  const { isOn, lotId, groupId } = useRebuild();
  const isSetting = useWallPhoto((state) => state.isSetting);
  // A thing to be put somewhere comes before what is rebuilt.
  const isRebuilt = isOn && lotId === null && groupId === null;
  const { toMove } = getStrays(household);

  const chosen = findWallOrMain(household, params['wallId'] ?? lastWall);
  const view = toMove > 0 ? wallView : 'is';
  const drawn = view === 'home' ? getAsPlanned(household) : household;
  const drawing = useWallDrawing(drawn, chosen?.id, view, bandsFor);
  if (!chosen || !drawing) return <Page title={t('Room')}>{null}</Page>;
  const wallId = chosen.id;
  const hasPhotos = (chosen.room.room?.photos?.length ?? 0) > 0;
  return (
    <Page
      title={chosen.room.name}
      paperTitle={`${chosen.room.name}, ${chosen.wall.name}`}
      tabs={<RoomTabs roomId={chosen.room.id} here={wallId} />}
      aside={
        <>
          <TicketPane hint={t('Choose a compartment or a thing on the wall. Tab walks the compartments.')} />
          {!ticket && <WallChoices bandsFor={bandsFor} chosen={chosen} drawing={drawing} />}
        </>
      }
      foot={
        <>
          <Unanswered again={again} />
          <Figure
            value={today ? formatMinutes(getFetchSeconds(today)) : '…'}
            label={t('a month fetching')}
            how={t(
              'Uses a month of every thing × the seconds to walk there and back from where it is used, to reach, open and look for it; things without a home are looked for everywhere. The seconds are estimates that House lets you change.',
            )}
          />
          <WallFigures drawing={drawing} />
          <Legend drawing={drawing} />
          <Button
            data-key="w"
            aria-pressed={isRebuilt}
            onClick={() => useRebuild.setState({ isOn: !isRebuilt, carriedId: null, lotId: null, groupId: null })}
          >
            {isRebuilt ? t('Done') : t('Rebuild')} <kbd className="pl-1 font-normal">W</kbd>
          </Button>
          <Button data-key="n" onClick={() => show({ type: 'newUnit', wallId })}>
            {t('Add a piece')} <kbd className="pl-1 font-normal">N</kbd>
          </Button>
        </>
      }
    >
      {toMove > 0 && (
        <p className="flex flex-wrap items-center gap-x-4 px-5 pt-2">
          {t('{move, plural, one {# thing is} other {# things are}} planned for another place.', { move: toMove })}
          <Button
            look="quiet"
            data-key="v"
            aria-pressed={view === 'home'}
            onClick={() => useChoices.setState({ wallView: view === 'is' ? 'home' : 'is' })}
          >
            {view === 'is' ? t('Show it as planned') : t('Show it as it is')} <kbd className="font-normal">V</kbd>
          </Button>
        </p>
      )}
      <NeedsFirst says={t('Nothing stands in this room yet.')} needs="places" />
      <WallBars isRebuilt={isRebuilt} />
      <WallView
        drawing={drawing}
        label={`${chosen.wall.name}, ${view === 'is' ? t('as it is') : t('as planned')}`}
        units={units}
        chosenPlace={ticket?.type === 'place' || ticket?.type === 'editSlot' ? ticket.id : null}
        chosenLot={ticket?.type === 'lot' ? ticket.id : null}
        tree={tree}
        onPlace={(id) => show({ type: 'place', id })}
        onLot={(id) => show({ type: 'lot', id })}
        behind={
          hasPhotos &&
          !isSetting && (
            <Suspense fallback={null}>
              <PhotoBehind room={chosen.room} wallId={chosen.wall.id} wallHeightMm={drawing.heightMm} />
            </Suspense>
          )
        }
        overlay={<WallOverlay chosen={chosen} drawing={drawing} isRebuilt={isRebuilt} />}
      />
    </Page>
  );
}

type WallChosen = NonNullable<ReturnType<typeof findWallOrMain>>;

interface OnWall {
  readonly chosen: WallChosen;
  readonly drawing: WallDrawing;
}

/** How the wall is looked at, where no ticket hangs: whose reach the bands show, and the way to paper. */
function WallChoices({ bandsFor, chosen, drawing }: OnWall & { bandsFor: BandsFor }) {
  const household = useHousehold();
  const tree = getTree(household);
  const { units, smallStatureMm } = household.settings;
  const name = `${chosen.room.name}, ${chosen.wall.name}`;
  return (
    <>
      <div className="my-3">
        <SelectField
          label={t('Bands show the reach of')}
          value={bandsFor}
          onChange={(event) => useChoices.setState({ bandsFor: event.target.value as BandsFor })}
        >
          <option value="standing">{t('you, standing')}</option>
          <option value="seated">{t('you, from the chair')}</option>
          {smallStatureMm !== undefined && (
            <option value="small">
              {t('the small one, {size} tall', { size: formatSize(smallStatureMm, units) })}
            </option>
          )}
        </SelectField>
      </div>
      <SheetMenu
        name={`${chosen.room.name} ${chosen.wall.name}`}
        draw={async (scale) => {
          const { createWallSheet } = await import('../../../core/formats/sheet/index.ts');
          const standing = tree
            .getChildren(chosen.room.id)
            .flatMap(({ unit }) => (unit?.wallId === chosen.wall.id ? [unit] : []));
          return createWallSheet(drawing, name, standing, scale, units);
        }}
      />
      <Suspense fallback={null}>
        <PhotoPanel key={chosen.id} room={chosen.room} wall={chosen.wall} widthMm={drawing.widthMm} />
      </Suspense>
    </>
  );
}

/** How full the wall is. */
function WallFigures({ drawing }: Pick<OnWall, 'drawing'>) {
  const states = [...drawing.places.values()];
  const used = states.length === 0 ? 0 : states.reduce((sum, one) => sum + Math.min(1, one.fill), 0) / states.length;
  const over = states.filter((one) => one.isOverFull).length;
  return (
    <>
      <Figure
        value={`${Math.round(used * 100)} %`}
        label={t('of this wall in use')}
        how={t('What the things there take, of what the compartments of this wall hold.')}
      />
      <Figure
        value={String(over)}
        label={t('{over, plural, one {place over full} other {places over full}}', { over })}
        how={t(
          'Places of this wall whose things do not lie in them without overlapping, or take more than they measure.',
        )}
      />
    </>
  );
}

/** What is being put or rebuilt on the wall, said above it. */
function WallBars({ isRebuilt }: { isRebuilt: boolean }) {
  const { lotId, groupId } = useRebuild();
  return (
    <Suspense fallback={null}>
      {lotId ? <LotBar lotId={lotId} /> : groupId && <GroupBar groupId={groupId} />}
      {isRebuilt && <BuildBar />}
    </Suspense>
  );
}

/** The same, over the places of the wall. */
function WallOverlay({ chosen, drawing, isRebuilt }: OnWall & { isRebuilt: boolean }) {
  const { lotId, groupId } = useRebuild();
  const isSetting = useWallPhoto((state) => state.isSetting);
  const { id, room, wall } = chosen;
  return (
    <Suspense fallback={null}>
      {isSetting ? (
        <PhotoPoints room={room} wallId={wall.id} widthMm={drawing.widthMm} heightMm={drawing.heightMm} />
      ) : lotId ? (
        <LotTargets key={`${id} ${lotId}`} lotId={lotId} drawing={drawing} />
      ) : groupId ? (
        <GroupTargets key={`${id} ${groupId}`} groupId={groupId} drawing={drawing} />
      ) : (
        isRebuilt && <WallBuild key={id} room={room} wall={wall} drawing={drawing} />
      )}
    </Suspense>
  );
}
