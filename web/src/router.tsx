import type { ComponentType } from 'react';
import { createBrowserRouter, type RouteObject } from 'react-router';
import { HealthBar } from './areas/household';
import { RunBar } from './areas/schedule';
import { BARE_PAGES, PAGES, type PageFacts } from './pages';
import { Loading } from './ui/parts';
import { Broken, NotHere, Shell } from './ui/Shell';

/** The code of every page; it comes when the page is first opened. */
const CODE = import.meta.glob<Record<string, ComponentType>>(['./areas/*/*Page.tsx', './areas/*/*Pages.tsx']);
const codeOf = ({ file }: PageFacts) => CODE[file]!();

/** A pointer that nears a station fetches its code before the tap. Offline or stopped: the tap itself will say so. */
function approach(to: string): void {
  const page = PAGES.find(({ path }) => path === to);
  if (page) void codeOf(page).catch(() => undefined);
}

const route = (page: PageFacts): RouteObject => ({
  path: page.path,
  lazy: async () => ({ Component: (await codeOf(page))[page.component]! }),
});

/** Every address; those of the pages stand in `pages.ts`. */
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
    children: [...PAGES.map(route), { path: '*', element: <NotHere /> }],
  },
  ...BARE_PAGES.map((page) => ({ ...route(page), hydrateFallbackElement: <Loading />, errorElement: <Broken /> })),
]);
