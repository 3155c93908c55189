import { lazy, Suspense, type ComponentType } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Opening, Shell } from './components/Shell.tsx';
import { ErrorBoundary } from './components/ErrorBoundary.tsx';
import { useApp } from './state/app.ts';

/** Screens load when they are opened. */
function screen<K extends string>(load: () => Promise<Readonly<Record<K, ComponentType>>>, name: K) {
  return lazy(async () => ({ default: (await load())[name] }));
}

const DamagedStore = screen(() => import('./components/DamagedStore.tsx'), 'DamagedStore');
const BenchPage = screen(() => import('./features/bench/BenchPage.tsx'), 'BenchPage');
const TidyPage = screen(() => import('./features/bench/TidyPage.tsx'), 'TidyPage');
const PutAwayPage = screen(() => import('./features/bench/PutAwayPage.tsx'), 'PutAwayPage');
const StashPage = screen(() => import('./features/stash/StashPage.tsx'), 'StashPage');
const ListPage = screen(() => import('./features/list/ListPage.tsx'), 'ListPage');
const OnePage = screen(() => import('./features/photos/OnePage.tsx'), 'OnePage');
const PhotosPage = screen(() => import('./features/photos/PhotosPage.tsx'), 'PhotosPage');
const SortPage = screen(() => import('./features/sort/SortPage.tsx'), 'SortPage');
const SetoutPage = screen(() => import('./features/setout/SetoutPage.tsx'), 'SetoutPage');
const HeapsPage = screen(() => import('./features/heaps/HeapsPage.tsx'), 'HeapsPage');
const BalancePage = screen(() => import('./features/room/BalancePage.tsx'), 'BalancePage');
const RoomPage = screen(() => import('./features/room/RoomPage.tsx'), 'RoomPage');
const PlanPage = screen(() => import('./features/room/PlanPage.tsx'), 'PlanPage');
const FitPage = screen(() => import('./features/fit/FitPage.tsx'), 'FitPage');
const MovesPage = screen(() => import('./features/moves/MovesPage.tsx'), 'MovesPage');
const StepPage = screen(() => import('./features/moves/StepPage.tsx'), 'StepPage');
const LabelsPage = screen(() => import('./features/labels/LabelsPage.tsx'), 'LabelsPage');
const ScanPage = screen(() => import('./features/scan/ScanPage.tsx'), 'ScanPage');
const CountPage = screen(() => import('./features/bench/CountPage.tsx'), 'CountPage');
const FindPage = screen(() => import('./features/find/FindPage.tsx'), 'FindPage');
const ProjectsPage = screen(() => import('./features/projects/ProjectsPage.tsx'), 'ProjectsPage');
const ProjectPage = screen(() => import('./features/projects/ProjectPage.tsx'), 'ProjectPage');
const ShopPage = screen(() => import('./features/projects/ShopPage.tsx'), 'ShopPage');
const GoalsPage = screen(() => import('./features/scraps/GoalsPage.tsx'), 'GoalsPage');
const SumsPage = screen(() => import('./features/projects/SumsPage.tsx'), 'SumsPage');
const GatherPage = screen(() => import('./features/projects/GatherPage.tsx'), 'GatherPage');
const RoundPage = screen(() => import('./features/year/RoundPage.tsx'), 'RoundPage');
const ThroughPage = screen(() => import('./features/year/ThroughPage.tsx'), 'ThroughPage');
const AheadPage = screen(() => import('./features/year/AheadPage.tsx'), 'AheadPage');
const PackPage = screen(() => import('./features/year/PackPage.tsx'), 'PackPage');
const SeasonPage = screen(() => import('./features/year/SeasonPage.tsx'), 'SeasonPage');
const DaybookPage = screen(() => import('./features/daybook/DaybookPage.tsx'), 'DaybookPage');
const WaysPage = screen(() => import('./features/ways/WaysPage.tsx'), 'WaysPage');
const GuidePage = screen(() => import('./features/guide/GuidePage.tsx'), 'GuidePage');
const HouseholdPage = screen(() => import('./features/household/HouseholdPage.tsx'), 'HouseholdPage');

/** A household that is being set out opens on that. */
function First() {
  const isSetOut = useApp((state) => (state.household ?? state.glimpse?.household)?.settings.setout === undefined);
  return <Navigate to={isSetOut ? '/bench' : '/setout'} replace />;
}

export function App() {
  const phase = useApp((state) => state.phase);
  const hasGlimpse = useApp((state) => state.glimpse !== null);
  if (phase === 'loading' && !hasGlimpse) return <Opening />;
  if (phase === 'damaged' || phase === 'newer')
    return (
      <Suspense>
        <DamagedStore />
      </Suspense>
    );
  return (
    <ErrorBoundary>
      <BrowserRouter>
        <Routes>
          <Route element={<Shell />}>
            <Route path="bench" element={<BenchPage />} />
            <Route path="bench/tidy" element={<TidyPage />} />
            <Route path="bench/count/:placeId?" element={<CountPage />} />
            <Route path="bench/away" element={<PutAwayPage />} />
            <Route path="stash/:kind?" element={<StashPage />} />
            <Route path="photos" element={<PhotosPage />} />
            <Route path="photos/one" element={<OnePage />} />
            <Route path="list" element={<ListPage />} />
            <Route path="sort" element={<SortPage />} />
            <Route path="setout" element={<SetoutPage />} />
            <Route path="heaps" element={<HeapsPage />} />
            <Route path="room/balance" element={<BalancePage />} />
            <Route path="room/plan/:roomId?" element={<PlanPage />} />
            <Route path="room/:wallId?" element={<RoomPage />} />
            <Route path="fit" element={<FitPage />} />
            <Route path="moves" element={<MovesPage />} />
            <Route path="moves/step" element={<StepPage />} />
            <Route path="labels/:section?" element={<LabelsPage />} />
            <Route path="scan" element={<ScanPage />} />
            <Route path="find/:lotId?" element={<FindPage />} />
            <Route path="projects" element={<ProjectsPage />} />
            <Route path="projects/:projectId/gather" element={<GatherPage />} />
            <Route path="projects/shop" element={<ShopPage />} />
            <Route path="projects/goals" element={<GoalsPage />} />
            <Route path="projects/sums" element={<SumsPage />} />
            <Route path="projects/:projectId" element={<ProjectPage />} />
            <Route path="year" element={<RoundPage />} />
            <Route path="year/through" element={<ThroughPage />} />
            <Route path="year/ahead/:placeId?" element={<AheadPage />} />
            <Route path="year/moving" element={<PackPage />} />
            <Route path="year/season/:seasonId/:turn" element={<SeasonPage />} />
            <Route path="daybook" element={<DaybookPage />} />
            <Route path="ways" element={<WaysPage />} />
            <Route path="guide/:slug?" element={<GuidePage />} />
            <Route path="household" element={<HouseholdPage />} />
            <Route path="*" element={<First />} />
          </Route>
        </Routes>
      </BrowserRouter>
    </ErrorBoundary>
  );
}
