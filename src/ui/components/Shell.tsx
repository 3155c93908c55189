import { lazy, Suspense, useDeferredValue, useEffect } from 'react';
import { Outlet, useLocation } from 'react-router';
import { useApp, useIsWhole } from '../state/app.ts';
import { tellShown } from '../state/showing.ts';
import { NoticeLine } from './NoticeLine.tsx';
import { Selvage } from './Selvage.tsx';
import { useCutOff } from './useCutOff.ts';
import { useKeys } from './useKeys.ts';
import { t } from '../language/index.ts';

const ApartBanner = lazy(async () => ({ default: (await import('./ApartBanner.tsx')).ApartBanner }));
const StoreBanner = lazy(async () => ({ default: (await import('./StoreBanner.tsx')).StoreBanner }));
const SetoutStrip = lazy(async () => ({ default: (await import('../features/setout/SetoutStrip.tsx')).SetoutStrip }));
const HowHelp = lazy(async () => ({ default: (await import('./HowHelp.tsx')).HowHelp }));
const KeyHelp = lazy(async () => ({ default: (await import('./KeyHelp.tsx')).KeyHelp }));

/** Says when a household has been drawn. */
function Showing() {
  const household = useDeferredValue(useApp((state) => state.household));
  useEffect(() => tellShown(household), [household]);
  useEffect(() => () => tellShown(null), []);
  return null;
}

/** Said while the household is read. */
export function Opening() {
  return (
    <p role="status" className="grid h-full place-items-center font-display text-xl text-stone">
      {t('Opening the sewing room…')}
    </p>
  );
}

/** The frame of every screen: selvage at the left, the screen, what just happened at the foot. */
export function Shell() {
  const { help, setHelp } = useKeys();
  useCutOff();
  const isFailing = useApp((state) => state.storeFault !== null);
  const hasApart = useApp((state) => state.apart.length > 0);
  const isSettingOut = useApp((state) => state.household?.settings.setout !== undefined);
  const { pathname } = useLocation();
  // The bench begins with what is out; other screens want all of the household.
  const isThere = useIsWhole() || pathname === '/bench' || pathname === '/';

  // A form left by going to another screen is closed; a ticket goes along, but for Fit, whose plan it would hide.
  const screen = pathname.split('/')[1] ?? '';
  useEffect(() => {
    const { ticket, looked, show } = useApp.getState();
    const isItemForm = ticket?.type === 'newItem' || ticket?.type === 'editItem';
    const isRoomForm = ticket?.type === 'newUnit' || ticket?.type === 'editUnit' || ticket?.type === 'editSlot';
    const isLeft = (isItemForm && screen !== 'stash') || (isRoomForm && screen !== 'room');
    if (isLeft || looked || screen === 'fit') show(null);
  }, [screen]);

  return (
    <div className="flex min-h-full flex-col md:h-full md:flex-row lefty:md:flex-row-reverse">
      <Showing />
      <Selvage onHelp={setHelp} />
      <div className="group/screen relative flex min-w-0 flex-1 flex-col pb-16 md:min-h-0 md:pb-0">
        <Suspense>
          {isFailing && <StoreBanner />}
          {hasApart && <ApartBanner />}
          {isSettingOut && <SetoutStrip />}
        </Suspense>
        <Suspense>{isThere ? <Outlet /> : <Opening />}</Suspense>
        <NoticeLine />
      </div>
      {help !== null && (
        <Suspense>
          {help === 'keys' ? <KeyHelp onClose={() => setHelp(null)} /> : <HowHelp onClose={() => setHelp(null)} />}
        </Suspense>
      )}
    </div>
  );
}
