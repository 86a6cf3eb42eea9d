import {
  commonErrors,
  routes,
  type Accepted,
  type CarriedCleaning,
  type CarriedLook,
  type Cleaning,
  type LookDoc,
  type LookPhoto,
  type Timer,
} from '@bright-keeper/contract';
import { ApiError, http, queryString } from '../api/http';
import { dialIn } from '../api/dial';
import { outside } from '../outside';
import { picturesOf } from './overlay';
import { PICTURES } from './pictures';
import type { WaitingRoom } from './room';
import type { Waiting, WaitingCleaning, WaitingLook, WaitingReading } from './waiting';

/** More than the household takes: a clock that leapt back is not asked to prove how long ago it was. */
const LONGEST_AGO_S = 400 * 86_400;

/** How long ago, by this device's clock at both ends; one that was set back meanwhile makes it now. */
const agoS = (thenMs: number): number => Math.min(LONGEST_AGO_S, Math.max(0, Math.round((outside.now().getTime() - thenMs) / 1000)));

async function look({ look: doc, base, endedMs, id }: WaitingLook): Promise<LookDoc> {
  const endedAgoS = endedMs === null ? null : agoS(endedMs);
  const body: CarriedLook = {
    itemId: doc.itemId,
    startedAgoS: Math.max(agoS(Date.parse(doc.startedAt)), endedAgoS ?? 0),
    endedAgoS,
    at: doc.at,
    answers: doc.answers,
    base,
  };
  return http.put<LookDoc>(routes.lookCarried(id), body);
}

async function cleaning({ cleaning: doc, schools, base, endedMs, id }: WaitingCleaning): Promise<Cleaning> {
  const endedAgoS = endedMs === null ? null : agoS(endedMs);
  const body: CarriedCleaning = {
    itemId: doc.itemId,
    startedAgoS: Math.max(agoS(Date.parse(doc.startedAt)), endedAgoS ?? 0),
    endedAgoS,
    request: doc.request,
    schools,
    events: doc.events,
    base,
  };
  return http.put<Cleaning>(routes.cleaningCarried(id), body);
}

async function reading({ reading: read, deviceId, place }: WaitingReading): Promise<void> {
  const device = deviceId ?? (await dialIn(place!));
  const at = new Date(outside.now().getTime() - agoS(Date.parse(read.at)) * 1000).toISOString();
  await http.post<Accepted>(routes.deviceReadings(device), { ...read, at });
}

/** Hands one thing over; what it returns is what the household has of it now. */
async function handOver(waiting: Waiting): Promise<unknown> {
  switch (waiting.kind) {
    case 'look':
      return look(waiting);
    case 'cleaning':
      return cleaning(waiting);
    case 'photo': {
      const { id, surface, keepAll } = waiting;
      const address = routes.lookPhotos(waiting.lookId) + queryString({ id, surface, keepAll });
      await http.postFile<LookPhoto>(address, waiting.file, waiting.file.type || 'image/jpeg');
      const cache = await caches.open(PICTURES);
      return Promise.all(picturesOf(id).map((picture) => cache.delete(picture)));
    }
    case 'happened':
      return http.post<void>(routes.happenings, { ...waiting.happened, later: { id: waiting.id, agoS: agoS(waiting.keptMs) } });
    case 'for-home':
      return http.post<void>(routes.waitForHome, { ...waiting.what, later: { id: waiting.id, agoS: agoS(waiting.keptMs) } });
    case 'reading':
      return reading(waiting);
    case 'timer': {
      const left = waiting.timer.minutes - agoS(waiting.keptMs) / 60;
      // One that has run down is of no more use.
      return left < 1 ? null : http.post<Timer>(routes.timers, { ...waiting.timer, minutes: Math.round(left) });
    }
    default:
      return waiting satisfies never;
  }
}

/** What a refusal means: that it may be taken later, or that a person has to see to it. */
const isForLater = (error: ApiError): boolean => {
  const { status, code } = error.problem;
  return error.isForLater || status >= 500 || status === 429 || code === ('busy' satisfies keyof typeof commonErrors);
};

/** What was carried over under this id, as the household has it now. */
export type Carried = { waiting: Waiting; now: unknown };

/** So much at once, each of another thing: the household writes down together what comes together. */
const AT_ONCE = 4;

/** What waits, thing by thing, each in its order: what is of one thing hangs on what was before it. */
function chains(waiting: readonly Waiting[]): string[][] {
  const ofThing = new Map<string | null, string[]>();
  for (const { id, itemId } of waiting) ofThing.set(itemId, [...(ofThing.get(itemId) ?? []), id]);
  return [...ofThing.values()];
}

/**
 * Carries over what waits, of each thing in order. What the household refuses stays with the reason, and so does what of that
 * thing came after it; when it falls silent the rest stays as it is. Each is known by its id, so that what is sent twice is
 * one.
 *
 * @param carried told of each that arrived.
 * @returns whether the household answered to the end.
 */
export async function carryOver(room: WaitingRoom, carried: (told: Carried) => Promise<void>): Promise<boolean> {
  const todo = chains(room.list());
  let answers = true;
  const worker = async (): Promise<void> => {
    for (let chain = todo.shift(); chain && answers; chain = todo.shift())
      for (const id of chain) {
        const how = await carryOne(room, id, carried);
        if (how === 'later') answers = false;
        if (how !== 'carried' || !answers) break;
      }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return answers;
}

async function carryOne(
  room: WaitingRoom,
  id: string,
  carried: (told: Carried) => Promise<void>,
): Promise<'carried' | 'refused' | 'later'> {
  const waiting = room.of(id);
  if (!waiting) return 'carried';
  if (waiting.trouble) return 'refused';
  try {
    const now = await handOver(waiting);
    // Shown first: whoever taps meanwhile goes on from what has arrived.
    await carried({ waiting, now });
    await arrived(room, waiting, now);
    return 'carried';
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    if (isForLater(error)) return 'later';
    const current = room.of(id);
    if (current) await room.keep({ ...current, trouble: error.problem });
    return 'refused';
  }
}

/** It waits no more, unless it was gone on with while it was on its way: then that waits, on top of what has arrived. */
async function arrived(room: WaitingRoom, sent: Waiting, now: unknown): Promise<void> {
  const present = room.of(sent.id);
  if (!present || present.rev === sent.rev) return room.drop(sent.id);
  if (present.kind === 'look') await room.keep({ ...present, base: (now as LookDoc).answers });
  if (present.kind === 'cleaning') await room.keep({ ...present, base: (now as Cleaning).events });
}
