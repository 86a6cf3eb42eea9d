import { routes } from '@bright-keeper/contract';

/** What was cleaned of late, as the page of cleaning asks for it. */
export const RECENT_CLEANINGS = `${routes.cleanings}?open=false&limit=12`;

/** What is asked for whatever one does outdoors, and what it is shown by. */
export const WHOLE = [
  routes.settings,
  routes.today,
  routes.storage,
  routes.agenda,
  routes.benchDays,
  routes.supplies,
  routes.rungsAtTheBench,
  routes.places,
  routes.outings,
  routes.devices,
  routes.rhythms,
  RECENT_CLEANINGS,
  routes.health,
] as const;

export const SHELF_PAGE = 100;
/** The whole shelf by name, page by page, as it is kept. */
export const shelfPage = (cursor: string | null): string =>
  `${routes.gear}?sort=name&limit=${SHELF_PAGE}${cursor === null ? '' : `&cursor=${encodeURIComponent(cursor)}`}`;

const LOG_PAGE = 20;
export const firstLog = (itemId: string): string => `${routes.itemLog(itemId)}?limit=${LOG_PAGE}`;

/** What belongs to the machine the household runs on, or is of this moment only, is not kept. */
const NOT_KEPT = [routes.live, routes.trail, routes.access, routes.backups, '/api/blobs', '/api/docs'];
/** Nor is what has another address each time it is asked for. */
const PASSING = /\/(chart|what-if|preview)(\?|$)/;
export const isKept = (address: string): boolean => !PASSING.test(address) && !NOT_KEPT.some((prefix) => address.startsWith(prefix));
