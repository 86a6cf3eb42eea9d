import { createBrowserRouter } from 'react-router';
import { Loading } from './ui/parts';
import { HealthBar } from './areas/household';
import { RunBar } from './areas/schedule';
import { Broken, NotHere, Shell } from './ui/Shell';

/** What the stations load, so that a pointer that nears one fetches it before the tap. */
const STATION_CODE: Record<string, () => Promise<unknown>> = {
  '/': () => import('./areas/today/TodayPage'),
  '/gear': () => import('./areas/gear/ShelfPage'),
  '/clean': () => import('./areas/care/CleanPage'),
  '/storage': () => import('./areas/storage/StoragePage'),
  '/calendar': () => import('./areas/schedule/CalendarPage'),
  '/supplies': () => import('./areas/supplies/SuppliesPage'),
  '/handbook': () => import('./areas/handbook/HandbookPage'),
  '/settings': () => import('./areas/settings/SettingsPage'),
};
// Offline or stopped: the tap itself will say so.
const approach = (to: string): void => void STATION_CODE[to]?.().catch(() => undefined);

/** Every address; each area's code comes when it is first opened. */
export const router = createBrowserRouter([
  {
    element: (
      <Shell
        bar={
          <>
            <HealthBar />
            <RunBar />
          </>
        }
        onApproach={approach}
      />
    ),
    hydrateFallbackElement: <Loading />,
    errorElement: <Broken />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./areas/today/TodayPage')).TodayPage }) },
      { path: 'gear', lazy: async () => ({ Component: (await import('./areas/gear/ShelfPage')).ShelfPage }) },
      { path: 'gear/new', lazy: async () => ({ Component: (await import('./areas/gear/AddItemPage')).AddItemPage }) },
      { path: 'gear/import', lazy: async () => ({ Component: (await import('./areas/gear/ImportPage')).ImportPage }) },
      { path: 'gear/:id', lazy: async () => ({ Component: (await import('./areas/gear/ItemPage')).ItemPage }) },
      { path: 'gear/:id/edit', lazy: async () => ({ Component: (await import('./areas/gear/EditItemPage')).EditItemPage }) },
      { path: 'gear/:id/plan', lazy: async () => ({ Component: (await import('./areas/care/PlanPage')).PlanPage }) },
      { path: 'gear/:id/stuck-filter', lazy: async () => ({ Component: (await import('./areas/care/StuckFilterPage')).StuckFilterPage }) },
      { path: 'gear/:id/opening', lazy: async () => ({ Component: (await import('./areas/care/OpeningPage')).OpeningPage }) },
      { path: 'gear/:id/frames', lazy: async () => ({ Component: (await import('./areas/sensor/FramesPage')).FramesPage }) },
      { path: 'gear/:id/front-mark', lazy: async () => ({ Component: (await import('./areas/sensor/FrontMarkPage')).FrontMarkPage }) },
      { path: 'gear/:id/glare', lazy: async () => ({ Component: (await import('./areas/sensor/GlarePage')).GlarePage }) },
      { path: 'teardown/:id', lazy: async () => ({ Component: (await import('./areas/care/TeardownPage')).TeardownPage }) },
      { path: 'field', lazy: async () => ({ Component: (await import('./areas/care/FieldPage')).FieldPage }) },
      { path: 'clean', lazy: async () => ({ Component: (await import('./areas/care/CleanPage')).CleanPage }) },
      { path: 'look/:id', lazy: async () => ({ Component: (await import('./areas/inspection/LookPage')).LookPage }) },
      { path: 'storage', lazy: async () => ({ Component: (await import('./areas/storage/StoragePage')).StoragePage }) },
      { path: 'storage/new', lazy: async () => ({ Component: (await import('./areas/storage/PlaceFormPages')).AddPlacePage }) },
      { path: 'storage/:id', lazy: async () => ({ Component: (await import('./areas/storage/PlacePage')).PlacePage }) },
      { path: 'storage/:id/edit', lazy: async () => ({ Component: (await import('./areas/storage/PlaceFormPages')).EditPlacePage }) },
      { path: 'storage/:id/what-if', lazy: async () => ({ Component: (await import('./areas/storage/WhatIfPage')).WhatIfPage }) },
      { path: 'calendar', lazy: async () => ({ Component: (await import('./areas/schedule/CalendarPage')).CalendarPage }) },
      { path: 'calendar/bench/:day', lazy: async () => ({ Component: (await import('./areas/schedule/BenchDayPage')).BenchDayPage }) },
      { path: 'calendar/week', lazy: async () => ({ Component: (await import('./areas/schedule/WeekPage')).WeekPage }) },
      { path: 'calendar/rhythms', lazy: async () => ({ Component: (await import('./areas/schedule/RhythmsPage')).RhythmsPage }) },
      {
        path: 'calendar/others',
        lazy: async () => ({ Component: (await import('./areas/schedule/OtherCalendarsPage')).OtherCalendarsPage }),
      },
      { path: 'outings', lazy: async () => ({ Component: (await import('./areas/trip/OutingsPage')).OutingsPage }) },
      { path: 'hygrometers', lazy: async () => ({ Component: (await import('./areas/air/HygrometersPage')).HygrometersPage }) },
      { path: 'hygrometers/:id/log', lazy: async () => ({ Component: (await import('./areas/air/LogImportPage')).LogImportPage }) },
      { path: 'warm-up', lazy: async () => ({ Component: (await import('./areas/storage/WarmUpPage')).WarmUpPage }) },
      { path: 'supplies', lazy: async () => ({ Component: (await import('./areas/supplies/SuppliesPage')).SuppliesPage }) },
      { path: 'handbook', lazy: async () => ({ Component: (await import('./areas/handbook/HandbookPage')).HandbookPage }) },
      { path: 'diagnose', lazy: async () => ({ Component: (await import('./areas/inspection/DiagnosePage')).DiagnosePage }) },
      { path: 'settings', lazy: async () => ({ Component: (await import('./areas/settings/SettingsPage')).SettingsPage }) },
      { path: 'settings/data', lazy: async () => ({ Component: (await import('./areas/household/DataPage')).DataPage }) },
      { path: 'settings/data/trail', lazy: async () => ({ Component: (await import('./areas/household/TrailPage')).TrailPage }) },
      { path: '*', element: <NotHere /> },
    ],
  },
  {
    path: 'gear/:id/glare/card',
    hydrateFallbackElement: <Loading />,
    errorElement: <Broken />,
    lazy: async () => ({ Component: (await import('./areas/sensor/GlareCardPage')).GlareCardPage }),
  },
  {
    path: 'bench/:id',
    hydrateFallbackElement: <Loading />,
    errorElement: <Broken />,
    lazy: async () => ({ Component: (await import('./areas/care/BenchPage')).BenchPage }),
  },
]);
