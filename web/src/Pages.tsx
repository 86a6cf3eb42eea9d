import { lazy, type ComponentType } from 'react';
import { Route, Routes } from 'react-router';
import { FindButton } from './areas/find';
import { Gate, ReadingOnly } from './areas/access';
import { HealthBar } from './areas/household';
import { KeptBar, KeptMark } from './areas/kept';
import { RunBar } from './areas/schedule';
import { TodayPage } from './areas/today/TodayPage';
import { BARE_PAGES, PAGES, type PageFacts } from './pages';
import { Guarded } from './ui/Guarded';
import { useScrollMemory } from './ui/scrollMemory';
import { NotHere, Shell } from './ui/Shell';

/** Today is what one opens: its code is the program's own. */
const AT_ONCE: Record<string, ComponentType> = { TodayPage };
/** The code of every other page; it comes when the page is first opened. */
const CODE = import.meta.glob<Record<string, ComponentType>>([
  './areas/*/*Page.tsx',
  './areas/*/*Pages.tsx',
  '!./areas/today/TodayPage.tsx',
]);

/** A pointer that nears a station fetches its code before the tap. Offline or stopped: the tap itself will say so. */
function approach(to: string): void {
  const page = PAGES.find(({ path }) => path === to);
  if (page) void CODE[page.file]?.().catch(() => undefined);
}

const routeOf = (page: PageFacts) => {
  const View = AT_ONCE[page.component] ?? lazy(async () => ({ default: (await CODE[page.file]!())[page.component]! }));
  return <Route key={page.path} path={page.path} element={<View />} />;
};
const UNDER_THE_RAIL = PAGES.map(routeOf);
const BARE = BARE_PAGES.map(routeOf);

const BAR = (
  <>
    <KeptBar />
    <HealthBar />
    <RunBar />
  </>
);

const MARK = (
  <>
    <ReadingOnly />
    <FindButton />
    <KeptMark />
  </>
);

/** Every address; those of the pages stand in `pages.ts`. */
export function Pages() {
  useScrollMemory();
  return (
    <>
      <Gate />
      <Routes>
        <Route element={<Shell bar={BAR} mark={MARK} onApproach={approach} />}>
          {UNDER_THE_RAIL}
          <Route path="*" element={<NotHere />} />
        </Route>
        <Route element={<Guarded />}>{BARE}</Route>
      </Routes>
    </>
  );
}
