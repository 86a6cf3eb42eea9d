import type { Accepted, HandReading, HappenedOutdoors, Place, Timer, TimerInput, ToldLater, WaitForHome } from '@bright-keeper/contract';
import { v4 as newId } from 'uuid';
import { outside } from '../outside';
import type { Answers } from './answers';
import type { WaitingRoom } from './room';
import { freshly } from './waiting';

/** What is noted here in one tap. */
export class KeptNotes {
  constructor(
    private readonly answers: Answers,
    private readonly room: WaitingRoom,
  ) {}

  async happened(happened: HappenedOutdoors & { later: ToldLater }): Promise<void> {
    const first = await this.answers.itemPage(happened.itemIds[0]!);
    const name = happened.itemIds.length === 1 ? first.name : `${first.name} and ${happened.itemIds.length - 1} more`;
    const itemId = happened.itemIds.length === 1 ? first.id : null;
    await this.room.keep({ ...this.fresh({ itemId, name }, happened.later.id), kind: 'happened', happened });
  }

  async waitForHome(what: WaitForHome & { later: ToldLater }): Promise<void> {
    const { id, name } = await this.answers.itemPage(what.itemId);
    await this.room.keep({ ...this.fresh({ itemId: id, name }, what.later.id), kind: 'for-home', what });
  }

  /** @param of the hygrometer it was read from, or the place that gets one with it. */
  async reading(read: HandReading, of: { deviceId: string; name: string } | { place: Pick<Place, 'id' | 'name'> }): Promise<Accepted> {
    const reading = { ...read, at: read.at ?? outside.now().toISOString() };
    const [deviceId, place] = 'place' in of ? [null, of.place] : [of.deviceId, null];
    const name = 'place' in of ? of.place.name : of.name;
    await this.room.keep({ ...this.fresh({ itemId: null, name }), kind: 'reading', reading, deviceId, place });
    return { accepted: 1, duplicates: 0, setAside: [] };
  }

  /** A wait that runs here until the household knows of it. */
  async timer(timer: TimerInput): Promise<Timer> {
    const now = outside.now();
    const kept = await this.room.keep({ ...this.fresh({ itemId: timer.itemId, name: 'In from the cold' }), kind: 'timer', timer });
    const endsAt = new Date(now.getTime() + timer.minutes * 60_000).toISOString();
    return { ...timer, id: kept.id, startedAt: now.toISOString(), endsAt };
  }

  private fresh(about: { itemId: string | null; name: string }, id = newId()) {
    return freshly({ id, ...about }, outside.now());
  }
}
