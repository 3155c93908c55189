import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Shell } from './components/Shell.tsx';
import { Trouble } from './components/Trouble.tsx';
import { useApp } from './state/app.ts';

/** Screens load when they are opened. */
const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Trouble />,
    children: [
      { index: true, element: <Navigate to="/stash" replace /> },
      {
        path: 'stash/:kind?',
        lazy: async () => ({ Component: (await import('./features/stash/StashPage.tsx')).StashPage }),
      },
      { path: 'sort', lazy: async () => ({ Component: (await import('./features/sort/SortPage.tsx')).SortPage }) },
      {
        path: 'room/:wallId?',
        lazy: async () => ({ Component: (await import('./features/room/RoomPage.tsx')).RoomPage }),
      },
      { path: 'fit', lazy: async () => ({ Component: (await import('./features/fit/FitPage.tsx')).FitPage }) },
      {
        path: 'find/:lotId?',
        lazy: async () => ({ Component: (await import('./features/find/FindPage.tsx')).FindPage }),
      },
      {
        path: 'daybook',
        lazy: async () => ({ Component: (await import('./features/daybook/DaybookPage.tsx')).DaybookPage }),
      },
      {
        path: 'household',
        lazy: async () => ({ Component: (await import('./features/household/HouseholdPage.tsx')).HouseholdPage }),
      },
      { path: '*', element: <Navigate to="/stash" replace /> },
    ],
  },
]);

export function App() {
  const phase = useApp((state) => state.phase);
  if (phase === 'loading')
    return (
      <p role="status" className="grid h-full place-items-center font-display text-xl text-stone">
        Opening the sewing room…
      </p>
    );
  if (phase === 'damaged') return <Trouble />;
  return <RouterProvider router={router} />;
}
