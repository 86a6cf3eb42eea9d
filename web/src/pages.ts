import { routes } from '@bright-keeper/contract';

/**
 * A page under the rail: its address, the file and the name of its component, and what it asks the server for first.
 * The build tells the server of it (`pages.json`), whose answer to an address already names the code and the facts of
 * its page, so that the browser fetches all of them at once. Plain data: the build reads it, too.
 */
export type PageFacts = { path: string; file: string; component: string; asks: readonly string[] };

const page = (path: string, file: string, asks: readonly string[] = [], component = file.slice(file.lastIndexOf('/') + 1)): PageFacts => ({
  path,
  file: `./areas/${file}.tsx`,
  component,
  asks,
});

/** What every page asks, and what the rail above most of them does. */
export const ALWAYS_ASKED = [routes.settings];
export const RAIL_ASKS = [routes.health];

const THING = routes.item(':id');
export const PAGES: readonly PageFacts[] = [
  page('/', 'today/TodayPage', [routes.today, routes.storage]),
  page('/gear', 'gear/ShelfPage'),
  page('/gear/new', 'gear/AddItemPage'),
  page('/gear/fit', 'gear/FitPage', [routes.gearFit]),
  page('/gear/inventory', 'gear/InventoryPage', [routes.gearInventory]),
  page('/gear/labels', 'gear/LabelsPage', [routes.places]),
  page('/gear/import', 'gear/ImportPage'),
  page('/gear/:id', 'gear/ItemPage', [THING, `${routes.itemLog(':id')}?limit=20`, routes.places, routes.itemExposure(':id')]),
  page('/gear/:id/edit', 'gear/EditItemPage', [THING]),
  page('/gear/:id/plan', 'care/PlanPage', [THING, routes.supplies, routes.rungsAtTheBench]),
  page('/gear/:id/stuck-filter', 'care/StuckFilterPage', [THING]),
  page('/gear/:id/opening', 'care/OpeningPage', [THING]),
  page('/gear/:id/frames', 'sensor/FramesPage', [THING, `${routes.sensorFrames}?itemId=:id`]),
  page('/gear/:id/front-mark', 'sensor/FrontMarkPage', [THING]),
  page('/gear/:id/glare', 'sensor/GlarePage', [THING, `${routes.glareTests}?itemId=:id`]),
  page('/teardown/:id', 'care/TeardownPage', [routes.teardown(':id')]),
  page('/field', 'care/FieldPage'),
  page('/vapour', 'care/VapourPage'),
  page('/clean', 'care/CleanPage', [routes.agenda]),
  page('/look/:id', 'inspection/LookPage', [routes.look(':id')]),
  page('/look/:id/correct', 'inspection/CorrectLookPage', [routes.look(':id')]),
  page('/storage', 'storage/StoragePage', [routes.storage, routes.agenda]),
  page('/storage/new', 'storage/PlaceFormPages', [], 'AddPlacePage'),
  page('/storage/homes', 'storage/HomesPage', [routes.homes, routes.places]),
  page('/storage/:id', 'storage/PlacePage', [routes.placePage(':id'), routes.placeExplanation(':id'), routes.agenda]),
  page('/storage/:id/edit', 'storage/PlaceFormPages', [routes.places], 'EditPlacePage'),
  page('/storage/:id/what-if', 'storage/WhatIfPage', [routes.placeWhatIf(':id'), routes.places, routes.placePage(':id')]),
  page('/calendar', 'schedule/CalendarPage', [routes.agenda, routes.benchDays]),
  page('/calendar/bench/:day', 'schedule/BenchDayPage', [routes.benchDay(':day')]),
  page('/calendar/week', 'schedule/WeekPage', [routes.agenda, routes.benchDays]),
  page('/calendar/rhythms', 'schedule/RhythmsPage', [routes.rhythms, routes.agenda]),
  page('/calendar/others', 'schedule/OtherCalendarsPage', [routes.feeds, routes.busy]),
  page('/outings', 'trip/OutingsPage', [routes.outings]),
  page('/outings/pack', 'trip/PackPage', [routes.supplies, routes.outings]),
  page('/outings/lens-change', 'trip/LensChangePage', [routes.storage]),
  page('/outings/pictures', 'trip/PicturesPage', [routes.outings]),
  page('/outings/shut-in', 'trip/ShutInPage'),
  page('/outings/:id', 'trip/OutingPage', [routes.outings, routes.outingAsks(':id'), routes.storage]),
  page('/hygrometers', 'air/HygrometersPage', [routes.devices, routes.agenda]),
  page('/hygrometers/:id/log', 'air/LogImportPage', [routes.devices]),
  page('/dew', 'storage/DewPage', [routes.storage]),
  page('/warm-up', 'storage/WarmUpPage', [routes.storage]),
  page('/offer', 'record/OfferPage', [routes.offers]),
  page('/causes', 'record/CausesPage', [routes.causes]),
  page('/practice', 'record/PracticePage', [routes.practiceRuns]),
  page('/report', 'record/ReportPage', [routes.reportKey]),
  page('/report/check', 'record/ReportCheckPage', [routes.reportKey]),
  page('/costs', 'record/CostsPage', [routes.benchUses, routes.supplies]),
  page('/supplies', 'supplies/SuppliesPage', [routes.supplies, routes.benchUses, routes.waitingCleans]),
  page('/handbook', 'handbook/HandbookPage'),
  page('/diagnose', 'inspection/DiagnosePage'),
  page('/kept', 'kept/KeptPage'),
  page('/settings', 'settings/SettingsPage'),
  page('/settings/access', 'access/AccessPage', [routes.access]),
  page('/settings/alarms', 'alarms/AlarmsPage', [routes.alarms]),
  page('/settings/data', 'household/DataPage', [routes.backups]),
  page('/settings/data/trail', 'household/TrailPage', [routes.trail]),
];

/** Pages without the rail. */
export const BARE_PAGES: readonly PageFacts[] = [
  page('/gear/:id/glare/card', 'sensor/GlareCardPage'),
  page('/bench/:id', 'care/BenchPage', [routes.cleaning(':id')]),
];
