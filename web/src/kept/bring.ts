import { routes, type ItemPage, type Log, type LookPhotos, type Outing, type Places, type ShelfItem } from '@bright-keeper/contract';
import { http } from '../api/http';
import { reach } from '../api/reach';
import { wholeShelf } from '../api/wholeShelf';
import { outside } from '../outside';
import { firstLog, WHOLE } from './addresses';
import type { Answers } from './answers';

/** What did not change on the shelf is asked for anew after so long all the same: not all that a page tells stands in its row. */
const AFRESH_MS = 12 * 3_600_000;
/** So many things at once: the household has others to answer. */
const AT_ONCE = 2;
/** The shelf as it was when its things were last brought along. */
export const BROUGHT = 'brought';

type Rows = Record<string, string>;
/** Which program brought them, and the row of each. */
export type Brought = { program: string; rows: Rows };
/** An address nobody was at for so long is dropped. */
const FORGOTTEN_MS = 60 * 86_400_000;

/** What an outing asks for is looked up out there, and for some days after coming home. */
const LATELY_MS = 7 * 86_400_000;

/** Of another program, whose answers may be in another form, everything is asked for anew. */
const thisProgram = (): string => document.querySelector<HTMLScriptElement>('script[type=module]')?.src ?? '';

/** The pictures of its last look that has any, small: as they were seen. */
async function pictures({ entries }: Log): Promise<void> {
  const last = entries.find(({ data }) => data.kind === 'look' && (data.photos ?? 0) > 0)?.data;
  if (last?.kind !== 'look') return;
  const { photos } = await http.get<LookPhotos>(routes.lookPhotos(last.lookId));
  for (const { blob } of photos) await (await outside.fetch(routes.smallPicture(blob))).blob();
}

/** A thing with all that is asked of it outdoors: its page, its log, its damp, and what is under way with it. */
async function thing(id: string): Promise<void> {
  const page = await http.get<ItemPage>(routes.item(id));
  const log = await http.get<Log>(firstLog(id));
  await http.get(routes.itemExposure(id));
  if (page.openLookId) {
    await http.get(routes.look(page.openLookId));
    await http.get(routes.lookPhotos(page.openLookId));
  }
  if (page.openCleaningId) await http.get(routes.cleaning(page.openCleaningId));
  await pictures(log);
}

/**
 * Brings along what is needed outdoors: asked for, and so kept. Of things only those whose row on the shelf has changed,
 * or that were not asked for in half a day.
 *
 * @returns how many things were brought anew; null where the household fell silent on the way.
 */
export async function bringAlong(answers: Answers): Promise<number | null> {
  const now = outside.now().getTime();
  const program = thisProgram();
  const last = await answers.last<Brought>(BROUGHT);
  const before = last?.program === program ? last.rows : {};
  for (const address of WHOLE) await http.get(address);
  const { places } = await http.get<Places>(routes.places);
  for (const place of places) await http.get(routes.placePage(place.id));
  const outings = await http.get<Outing[]>(routes.outings);
  for (const { id } of outings.filter(({ to }) => Date.parse(to) > now - LATELY_MS)) await http.get(routes.outingAsks(id));
  const shelf = await wholeShelf();
  const rows: Rows = {};
  const due: ShelfItem[] = [];
  for (const item of shelf) {
    const row = JSON.stringify(item);
    const at = await answers.at(routes.item(item.id));
    if (at === null || now - at > AFRESH_MS || before[item.id] !== row) due.push(item);
    else rows[item.id] = row;
  }
  const todo = [...due];
  const worker = async (): Promise<void> => {
    for (let item = todo.shift(); item && !reach.isAway; item = todo.shift()) {
      // One that was taken away meanwhile is no reason to leave the others.
      const isBrought = await thing(item.id).then(
        () => true,
        () => false,
      );
      if (isBrought) rows[item.id] = JSON.stringify(item);
    }
  };
  try {
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
  } finally {
    await answers.remember(BROUGHT, { program, rows } satisfies Brought);
  }
  if (reach.isAway) return null;
  await answers.dropOlderThan(FORGOTTEN_MS);
  return due.length;
}
